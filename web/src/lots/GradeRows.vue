<script lang="ts">
import type { Grade } from '@vadose/core/lots'

/** What has been typed for a size. */
export interface GradeEntry {
  weight: string
  pieces: string
}
export type GradeEntries = Partial<Record<Grade['grade'], GradeEntry>>
</script>

<script setup lang="ts">
import { gradeNames } from '@vadose/core/lots'
import { ElInput } from 'element-plus'
import { largeUnit } from '../households'
import { say } from './say'

/** Sizes to be taken out of a lot, each weighed and, where they are counted, counted. */
const props = defineProps<{ many: string; only?: Grade['grade'][] }>()
const entries = defineModel<GradeEntries>({ required: true })
const labels = {
  large: say('large'),
  middling: say('middling'),
  small: say('small'),
  seconds: say('secondsMarkedForTheKitchen'),
}
const change = (grade: Grade['grade'], part: Partial<GradeEntry>) => {
  entries.value = { ...entries.value, [grade]: { weight: '', pieces: '', ...entries.value[grade], ...part } }
}
const shown = () => gradeNames.filter((g) => props.only?.includes(g) ?? true)
</script>

<template>
  <div class="grades">
    <div v-for="g in shown()" :key="g" class="grade">
      <span>{{ labels[g] }}</span>
      <ElInput
        :model-value="entries[g]?.weight ?? ''"
        class="number"
        inputmode="decimal"
        placeholder="0"
        :aria-label="`${labels[g]}, ${largeUnit()}`"
        @update:model-value="change(g, { weight: $event })"
        ><template #suffix>{{ largeUnit() }}</template></ElInput
      >
      <ElInput
        :model-value="entries[g]?.pieces ?? ''"
        class="number"
        inputmode="numeric"
        :placeholder="say('count2')"
        :aria-label="say('numberOf2', { labels: labels[g], many })"
        @update:model-value="change(g, { pieces: $event })"
      />
    </div>
  </div>
</template>

<style scoped>
.grades {
  display: grid;
  gap: var(--s-6);
}
.grade {
  display: grid;
  grid-template-columns: minmax(110px, 270px) 120px 110px;
  gap: var(--s-8);
  align-items: center;
}
@media (max-width: 820px) {
  .grade {
    grid-template-columns: minmax(0, 1fr) 104px 92px;
  }
}
</style>
