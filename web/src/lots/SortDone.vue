<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { lotCrop } from '../almanac'
import { amount, longDate, untilDate } from '../households'
import { say } from './say'

/** What a sorting made: lots to tag, and what it did to the dates of the rest. */
const props = defineProps<{
  lot: LotView
  made: { code: string; label: string }[]
  /** nine in ten were sound until, before it was sorted */
  before: string | undefined
}>()
const crop = computed(() => lotCrop(props.lot))
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>{{ say('sorted', { code: lot.code }) }}</h1>
      <p class="soft">
        {{
          lot.stage === 'gone'
            ? say('nothingIsLeftOfIt')
            : say('wentBack', { amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed) })
        }}
      </p>
    </header>
    <section v-if="(lot.keeping && before) || made.length" class="card stack">
      <p v-if="lot.keeping && before">
        {{ say('backIntoStoreInSound') }}
        <strong>{{ untilDate(lot.keeping.nineInTenUntil.p50, lot.keeping.beyond) }}</strong>
        <span class="soft">{{ say('wasWithTheOthersAmong', { longDate: longDate(before) }) }}</span>
      </p>
      <ul class="bare">
        <li v-for="m in made" :key="m.code">
          <RouterLink class="code" :to="`/lots/${m.code}`">{{ m.code }}</RouterLink> {{ m.label.toLowerCase() }} ·
          <RouterLink :to="`/lots/${m.code}/tag`">{{ say('itsTag2') }}</RouterLink>
        </li>
      </ul>
    </section>
    <div class="row">
      <RouterLink
        v-if="made.length > 1"
        class="el-button el-button--primary"
        :to="`/lots/${made.map((m) => m.code).join(',')}/tag`"
        >{{ say('allTags', { made: made.length }) }}</RouterLink
      >
      <RouterLink class="el-button" :to="`/lots/${lot.code}`">{{ say('toTheLot') }}</RouterLink>
      <RouterLink class="el-button" to="/">{{ say('toTheRound') }}</RouterLink>
    </div>
  </div>
</template>
