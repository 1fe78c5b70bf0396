<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import AxisTitles from './AxisTitles.vue'
import { useChartWidth } from './chart-width'
import { computed } from 'vue'
import type { PlotDrawing } from './drawing'
import { axisTitle, axisUnit, number, onAxis } from './units'
import { bandPath, DayAxis, linePath, nearest, TableBelow, useReader, ValueAxis } from '../charts'
import { say } from './say'

/** Lines, bands and marks over two axes, in the household's units; hover and arrow keys read values out. */
const props = defineProps<{ drawing: PlotDrawing }>()
const { isNarrow, width } = useChartWidth()
const height = 340
const box = { left: 58, right: 14, top: 16, bottom: 46 }

const ax = (v: number) => onAxis(props.drawing.x, v)
const ay = (v: number) => onAxis(props.drawing.y, v)
const extent = (values: number[], min?: number, max?: number): [number, number] => {
  const lo = min ?? Math.min(...values)
  const hi = max ?? Math.max(...values)
  return lo === hi ? [lo - 1, hi + 1] : [lo, hi]
}
const all = computed(() => {
  const { lines, bands = [], dots = [], rules = [] } = props.drawing
  const xs = [
    ...lines.flatMap((l) => l.points.map((p) => p[0])),
    ...bands.flatMap((b) => b.points.map((p) => p[0])),
    ...dots.map((d) => d.x),
    ...rules.flatMap((r) => (r.x === undefined ? [] : [r.x])),
  ]
  const ys = [
    ...lines.flatMap((l) => l.points.map((p) => p[1])),
    ...bands.flatMap((b) => b.points.flatMap((p) => [p[1], p[2]])),
    ...dots.map((d) => d.y),
    ...rules.flatMap((r) => (r.y === undefined ? [] : [r.y])),
  ]
  return { xs, ys }
})
const x = computed(() => {
  const { min, max } = props.drawing.x
  const [lo, hi] = extent(all.value.xs, min, max)
  return scaleLinear([ax(lo), ax(hi)], [box.left, width.value - box.right])
})
const y = computed(() => {
  const { min, max } = props.drawing.y
  const [lo, hi] = extent(all.value.ys, min, max)
  const room = max === undefined ? (ay(hi) - ay(lo)) * 0.06 : 0
  return scaleLinear([ay(lo), ay(hi) + room], [height - box.bottom, box.top])
})
const xOf = (p: readonly number[]) => x.value(ax(p[0]!))
const yOf = (p: readonly number[]) => y.value(ay(p[1]!))
const upperOf = (p: readonly number[]) => y.value(ay(p[2]!))
const across = computed(() => y.value.ticks(5).map((t) => ({ y: y.value(t), label: number(t, 2) })))
const along = computed(() => x.value.ticks(isNarrow.value ? 4 : 7).map((t) => ({ x: x.value(t), label: number(t, 2) })))
const main = computed(() => props.drawing.lines.find((l) => !l.dashed) ?? props.drawing.lines[0])
const { at: reading, listeners } = useReader<[number, number]>({
  points: () => main.value?.points ?? [],
  xOf,
  width: () => width.value,
})
const told = (v: number, of: 'x' | 'y') => {
  const axis = props.drawing[of]
  return `${number(onAxis(axis, v), 2)} ${axisUnit(axis)}`.trim()
}
const inside = (p: { x: number; y: number }) => x.value(ax(p.x)) > width.value - 130
</script>

<template>
  <figure ref="frame" class="chart">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      tabindex="0"
      role="img"
      :aria-label="say('overArrowKeysReadIt', { label: drawing.y.label, label2: drawing.x.label.toLowerCase() })"
      v-on="listeners"
    >
      <ValueAxis :ticks="across" :left="box.left" :right="width - box.right" :gap="7" />
      <DayAxis :ticks="along" :y="height - box.bottom + 18" />
      <AxisTitles :x="drawing.x" :y="drawing.y" :width="width" :height="height" :box="box" />
      <path v-for="b in drawing.bands ?? []" :key="b.label" :d="bandPath(b.points, xOf, yOf, upperOf)" class="swath" />
      <g v-for="r in drawing.rules ?? []" :key="r.label">
        <template v-if="r.y !== undefined">
          <line class="rule" :x1="box.left" :x2="width - box.right" :y1="y(ay(r.y))" :y2="y(ay(r.y))" />
          <text class="rule-name" :x="width - box.right - 4" :y="y(ay(r.y)) - 5" text-anchor="end">{{ r.label }}</text>
        </template>
        <template v-else>
          <line class="rule" :x1="x(ax(r.x!))" :x2="x(ax(r.x!))" :y1="box.top" :y2="height - box.bottom" />
          <text class="rule-name" :x="x(ax(r.x!)) + 5" :y="box.top + 11">{{ r.label }}</text>
        </template>
      </g>
      <path
        v-for="l in drawing.lines"
        :key="l.label"
        :d="linePath(l.points, xOf, yOf)"
        class="curve"
        :class="{ dashed: l.dashed }"
      />
      <g v-for="(d, i) in drawing.dots ?? []" :key="i">
        <circle class="dot" :cx="x(ax(d.x))" :cy="y(ay(d.y))" r="5.5" />
        <text
          v-if="d.label"
          class="dot-name"
          :x="x(ax(d.x)) + (inside(d) ? -10 : 10)"
          :y="y(ay(d.y)) + (y(ay(d.y)) < box.top + 18 ? 22 : -8)"
          :text-anchor="inside(d) ? 'end' : 'start'"
        >
          {{ d.label }}
        </text>
      </g>
      <circle v-if="reading" class="reader" :cx="x(ax(reading[0]))" :cy="y(ay(reading[1]))" r="5" />
    </svg>
    <figcaption class="soft" aria-live="polite">
      <template v-if="reading">{{ told(reading[0], 'x') }}: {{ told(reading[1], 'y') }}</template>
      <template v-else>
        <span v-for="l in drawing.lines" :key="l.label" class="key"
          ><i :class="{ dashed: l.dashed }" /> {{ l.label }}</span
        >
        <span v-for="b in drawing.bands ?? []" :key="b.label" class="key"><i class="swath" /> {{ b.label }}</span>
      </template>
    </figcaption>
    <TableBelow>
      <thead>
        <tr>
          <th>{{ axisTitle(drawing.x) }}</th>
          <th v-for="l in drawing.lines" :key="l.label">{{ l.label }}, {{ axisUnit(drawing.y) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="(p, i) in (main?.points ?? []).filter((_, k, list) => k % Math.ceil(list.length / 14) === 0)"
          :key="i"
        >
          <td>{{ number(ax(p[0]), 2) }}</td>
          <td v-for="l in drawing.lines" :key="l.label">
            {{ number(ay(l.points[nearest(l.points, (q) => q[0], p[0])]?.[1] ?? p[1]), 2) }}
          </td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
.curve {
  fill: none;
  stroke: var(--accent);
  stroke-width: 3;
}
.curve.dashed {
  stroke: var(--soft);
  stroke-dasharray: 7 5;
  stroke-width: 2.2;
}
path.swath {
  fill: var(--accent);
  opacity: 0.18;
}
.rule {
  stroke: var(--ink);
  stroke-dasharray: 3 4;
}
.rule-name,
.dot-name {
  font-size: var(--t-small);
  font-weight: 600;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
.dot {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2.5;
}
.reader {
  fill: var(--accent);
}
.key {
  margin-right: var(--s-16);
}
.key i {
  display: inline-block;
  width: 22px;
  border-top: 3px solid var(--accent);
  vertical-align: middle;
}
.key i.dashed {
  border-top: 2.5px dashed var(--soft);
}
.key i.swath {
  height: 10px;
  border: 0;
  background: var(--accent);
  opacity: 0.25;
}
</style>
