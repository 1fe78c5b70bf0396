<script setup lang="ts">
import type { LarderLot } from '@vadose/contract/larder'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { lotName } from '../almanac'
import { useAct } from '../lots'
import { say } from './say'
import { Notice } from '../kit'

/** A line nobody has touched for half a year: is it worth its shelf? One at a time. */
const props = defineProps<{ lots: readonly LarderLot[] }>()
const longDays = 180
const asked = computed(() =>
  props.lots
    .filter(
      (lot) => !lot.verdict && lot.stage === 'stored' && lot.fate !== 'plant' && (lot.untouchedDays ?? 0) >= longDays,
    )
    .sort((a, b) => b.untouchedDays! - a.untouchedDays!)
    .at(0),
)
const { act, busy, refusal } = useAct()
const verdicts = [
  { id: 'more', label: say('moreOfIt') },
  { id: 'same', label: say('asMuchAgain') },
  { id: 'never', label: say('neverAgain') },
] as const
</script>

<template>
  <section v-if="asked" class="card">
    <h2>{{ say('isItEarningItsShelf', { lotName: lotName(asked) }) }}</h2>
    <p class="soft">
      {{ say('thereForMonthsOpenedNever', { untouchedDays: Math.round(asked.untouchedDays! / 30.4) }) }}
    </p>
    <div class="row">
      <ElButton
        v-for="v in verdicts"
        :key="v.id"
        :disabled="busy"
        @click="act(asked.code, { act: 'judge', verdict: v.id })"
        >{{ v.label }}</ElButton
      >
    </div>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
  </section>
</template>
