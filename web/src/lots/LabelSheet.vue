<script setup lang="ts">
import { labelPlace, labelSheets, type LabelSheet, type LabelSheetId } from '@vadose/contract/label-sheets'
import { computed } from 'vue'
import { say } from './say'

/** The sheet of labels as it will print: what is used already, and which lot's label goes where. */
const props = defineProps<{ sheet: LabelSheetId; /** fewer than it has */ used: number; codes: string[] }>()
const emit = defineEmits<{ start: [used: number] }>()

const paper = computed<LabelSheet>(() => labelSheets[props.sheet])
const perSheet = computed(() => paper.value.columns * paper.value.rows)
const labels = computed(() => {
  return Array.from({ length: perSheet.value }, (_, n) => ({
    n,
    ...labelPlace(paper.value, n),
    gone: n < props.used,
    code: props.codes[n - props.used] ?? '',
  }))
})
const more = computed(() => props.codes.length - labels.value.filter(({ code }) => code).length)
const width = computed(() => paper.value.size[0])
const height = computed(() => paper.value.size[1])
</script>

<template>
  <figure>
    <figcaption>
      <strong>{{ say('asItWillPrint') }}</strong>
      <span v-if="perSheet > 1" class="soft">{{ say('sheetStartsAt') }}</span>
    </figcaption>
    <svg
      :viewBox="`-1 -1 ${paper.page[0] + 2} ${paper.page[1] + 2}`"
      :class="{ roll: perSheet === 1 }"
      role="img"
      :aria-label="say('sheetAsItWillPrint', { used, codes: codes.join(', ') })"
    >
      <rect class="page" x="0" y="0" :width="paper.page[0]" :height="paper.page[1]" />
      <g
        v-for="label in labels"
        :key="label.n"
        :class="{ gone: label.gone, ours: label.code }"
        @click="emit('start', label.n)"
      >
        <rect :x="label.x + 0.5" :y="label.y + 0.5" :width="width - 1" :height="height - 1" rx="2" />
        <path
          v-if="label.gone"
          :d="`M${label.x + 4} ${label.y + 4}l${width - 8} ${height - 8}m0 ${8 - height}l${8 - width} ${height - 8}`"
        />
        <text v-if="label.code" :x="label.x + width / 2" :y="label.y + height / 2 + 4">{{ label.code }}</text>
      </g>
    </svg>
    <p v-if="more > 0" class="soft">{{ say('moreOnTheNextSheet', { n: more }) }}</p>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
figcaption {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-4) var(--s-12);
  margin-bottom: var(--s-8);
}
svg {
  display: block;
  width: 100%;
  max-height: 52vh;
}
svg.roll {
  max-height: 160px;
}
.page {
  fill: var(--paper);
  stroke: var(--line);
}
g rect {
  fill: var(--card);
  stroke: var(--soft);
  stroke-width: 0.6;
}
g {
  cursor: pointer;
}
g path {
  fill: none;
  stroke: var(--soft);
  stroke-width: 0.8;
}
.gone rect {
  fill: var(--paper-deep);
}
.ours rect {
  stroke: var(--accent);
  stroke-width: 1.6;
}
text {
  font: 700 var(--t-small) var(--font);
  text-anchor: middle;
  fill: var(--ink);
}
</style>
