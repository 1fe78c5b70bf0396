<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { useChartWidth } from './chart-width'
import { computed } from 'vue'
import type { BarsDrawing } from './drawing'
import { axisUnit, number, onAxis } from './units'
import ValueRows from './ValueRows.vue'
import { TableBelow } from '../charts'
import { say } from './say'

const props = defineProps<{ drawing: BarsDrawing }>()
const { isNarrow, width } = useChartWidth()
/** narrow: names stand above their bars */
const row = computed(() => (isNarrow.value ? 62 : 46))
const left = computed(() => (isNarrow.value ? 4 : 150))
const right = computed(() => (isNarrow.value ? 110 : 120))
const barY = computed(() => (isNarrow.value ? 22 : 8))
const height = computed(() => props.drawing.bars.length * row.value + 48)
const total = (bar: BarsDrawing['bars'][number]) => bar.parts.reduce((sum, p) => sum + p.value, 0)
const x = computed(() =>
  scaleLinear(
    [0, Math.max(1e-9, ...props.drawing.bars.map((b) => onAxis(props.drawing.axis, total(b)))) * 1.02],
    [left.value, width.value - right.value],
  ),
)
const placed = computed(() =>
  props.drawing.bars.map((bar) => {
    let at = 0
    return {
      ...bar,
      says: bar.says || told(total(bar)),
      end: x.value(onAxis(props.drawing.axis, total(bar))),
      parts: bar.parts.map((p) => {
        const from = x.value(onAxis(props.drawing.axis, at))
        at += p.value
        return { ...p, from, width: Math.max(0, x.value(onAxis(props.drawing.axis, at)) - from) }
      }),
    }
  }),
)
const names = computed(() => [...new Map(props.drawing.bars.flatMap((b) => b.parts).map((p) => [p.label, p])).values()])
const told = (v: number) => `${number(onAxis(props.drawing.axis, v), 1)} ${axisUnit(props.drawing.axis)}`
</script>

<template>
  <figure ref="frame" class="chart">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="say('asBarsTheTableBelow', { label: drawing.axis.label })"
    >
      <defs>
        <pattern id="bar-hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="8" height="8" fill="var(--card)" />
          <line x1="0" y1="0" x2="0" y2="8" stroke="var(--accent)" stroke-width="5" />
        </pattern>
      </defs>
      <ValueRows
        v-slot="{ index }"
        :names="placed.map((bar) => bar.label)"
        :axis="drawing.axis"
        :scale="x"
        :ticks="isNarrow ? 3 : 5"
        :row="row"
        :height="height"
        :left="left"
        :narrow="isNarrow"
      >
        <rect
          v-for="p in placed[index]!.parts"
          :key="p.label"
          :x="p.from"
          :y="barY"
          :width="p.width"
          height="28"
          :class="`part-${names.findIndex((q) => q.label === p.label)}`"
          :fill="p.hatched ? 'url(#bar-hatch)' : undefined"
          class="part"
        >
          <title>{{ placed[index]!.label }}, {{ p.label }}: {{ told(p.value) }}</title>
        </rect>
        <text class="name" :x="placed[index]!.end + 8" :y="barY + 19">{{ placed[index]!.says }}</text>
      </ValueRows>
    </svg>
    <figcaption v-if="names.length > 1" class="soft">
      <span v-for="(p, i) in names" :key="p.label" class="key"
        ><i :class="[`part-${i}`, { hatched: p.hatched }]" /> {{ p.label }}</span
      >
    </figcaption>
    <TableBelow>
      <tbody>
        <template v-for="b in drawing.bars" :key="b.label">
          <tr v-for="p in b.parts" :key="p.label">
            <th scope="row">{{ b.label }}, {{ p.label }}</th>
            <td>{{ told(p.value) }}</td>
          </tr>
        </template>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
.name {
  font-size: var(--t-note);
  fill: var(--ink);
}
.part {
  stroke: var(--ink);
  stroke-width: 1;
}
.part-0:not([fill]),
i.part-0 {
  fill: var(--accent);
  background: var(--accent);
}
.part-1:not([fill]),
i.part-1 {
  fill: var(--stock);
  background: var(--stock);
}
.part-2:not([fill]),
i.part-2 {
  fill: var(--paper-deep);
  background: var(--paper-deep);
}
.key {
  margin-right: var(--s-16);
}
.key i {
  display: inline-block;
  width: 18px;
  height: 13px;
  border: 1px solid var(--ink);
  vertical-align: -2px;
}
.key i.hatched {
  background: repeating-linear-gradient(45deg, var(--accent) 0 4px, var(--card) 4px 7px);
}
</style>
