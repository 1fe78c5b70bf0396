<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { cropColour, LearntLine, lotCrop } from '../almanac'
import { amount, longDate, untilDate, useFrame } from '../households'
import { SurvivalChart } from '../lots'
import { say } from './say'

/** What a look at a lot came to: its new date, when to look again, and what its dates stand on. */
const props = defineProps<{
  lot: LotView
  /** nine in ten were said to be sound to this day before it was looked at; empty where nothing was said */
  before: string
}>()
const frame = useFrame()
const crop = computed(() => lotCrop(props.lot))
</script>

<template>
  <section class="card stack">
    <p class="soft">
      {{ say('now', { code: lot.code, amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed) }) }}
    </p>
    <template v-if="lot.keeping">
      <p class="figure">
        {{ say('inSoundTo', { untilDate: untilDate(lot.keeping.nineInTenUntil.p50, lot.keeping.beyond) }) }}
      </p>
      <p v-if="before && before !== lot.keeping.nineInTenUntil.p50" class="soft">
        {{ say('beforeYouLooked', { longDate: longDate(before) }) }}
      </p>
      <SurvivalChart
        :keeping="lot.keeping"
        :today="frame.today"
        :checks="lot.checks"
        :colour="cropColour(lot.crop)"
        small
      />
      <p>
        {{ say('lookAgainOn') }} <strong>{{ longDate(lot.keeping.nextCheckOn) }}</strong>.
      </p>
      <LearntLine v-if="lot.keeping.learnt" :learnt="lot.keeping.learnt" :crop="lot.crop" />
      <p class="soft">
        {{
          say('whenItIsGoneIts', {
            variety: lot.variety ? say('keeps', { variety: lot.variety }) : say('theNextOnesKeep'),
          })
        }}
      </p>
    </template>
  </section>
</template>
