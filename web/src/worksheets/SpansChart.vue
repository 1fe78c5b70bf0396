<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import { useChartWidth } from './chart-width'
import { computed } from 'vue'
import type { SpansDrawing } from './drawing'
import { axisUnit, number } from './units'
import ValueRows from './ValueRows.vue'
import { TableBelow } from '../charts'
import { say } from './say'

const props = defineProps<{ drawing: SpansDrawing }>()
const { isNarrow, width } = useChartWidth()
/** narrow: names stand above their bars */
const row = computed(() => (isNarrow.value ? 56 : 40))
const left = computed(() => (isNarrow.value ? 4 : 170))
const barY = computed(() => (isNarrow.value ? 22 : 9))
const height = computed(() => props.drawing.rows.length * row.value + 48)
const x = computed(() => {
  const lo = props.drawing.axis.min ?? Math.min(...props.drawing.rows.map((r) => r.from))
  const hi = Math.max(lo + 1e-6, ...props.drawing.rows.map((r) => r.to))
  return scaleLinear([lo, hi * 1.03], [left.value, width.value - 96])
})
const told = (r: SpansDrawing['rows'][number]) =>
  `${number(r.from, 1)}–${number(r.to, 1)} ${axisUnit(props.drawing.axis)}${r.mid === undefined ? '' : say('middle', { mid: number(r.mid, 1) })}`
</script>

<template>
  <figure ref="frame" class="chart">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="say('theTableBelowSaysThe', { label: drawing.axis.label })"
    >
      <ValueRows
        v-slot="{ index }"
        :names="drawing.rows.map((r) => r.label)"
        :axis="drawing.axis"
        :scale="x"
        :ticks="isNarrow ? 4 : 6"
        :row="row"
        :height="height"
        :left="left"
        :narrow="isNarrow"
      >
        <g v-for="r in [drawing.rows[index]!]" :key="r.label">
          <rect
            :x="x(r.from)"
            :y="barY"
            :width="Math.max(2, x(r.to) - x(r.from))"
            height="22"
            rx="4"
            :class="{ hatched: r.hatched }"
          >
            <title>{{ r.label }}: {{ told(r) }}</title>
          </rect>
          <line v-if="r.mid !== undefined" class="mid" :x1="x(r.mid)" :x2="x(r.mid)" :y1="barY - 5" :y2="barY + 27" />
          <text class="axis" :x="Math.min(x(r.to) + 7, width - 92)" :y="barY + 16">{{ r.says }}</text>
        </g>
      </ValueRows>
    </svg>
    <TableBelow>
      <tbody>
        <tr v-for="(r, i) in drawing.rows" :key="i">
          <th scope="row">{{ r.label }}</th>
          <td>{{ told(r) }} · {{ r.says }}</td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
rect {
  fill: var(--accent);
}
rect.hatched {
  fill: var(--paper-deep);
  stroke: var(--accent);
  stroke-dasharray: 5 3;
}
.mid {
  stroke: var(--ink);
  stroke-width: 3;
}
</style>
