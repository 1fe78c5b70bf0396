<script setup lang="ts">
import { scaleLinear } from 'd3-scale'
import AxisTitles from './AxisTitles.vue'
import { useChartWidth } from './chart-width'
import { computed, ref } from 'vue'
import type { PlaneDrawing } from './drawing'
import { axisTitle, axisUnit, number, onAxis } from './units'
import { DayAxis, TableBelow } from '../charts'
import { say } from './say'

/** How long it keeps over temperature and humidity: cells with their days written in, and where the household is. */
const props = defineProps<{ drawing: PlaneDrawing }>()
const { width } = useChartWidth()
const height = 380
const box = { left: 58, right: 10, top: 12, bottom: 46 }
/** “12 mo” has room in so much */
const leastCellW = 44
/** every other temperature where there is less, so that the days stay legible */
const shown = computed(() => {
  const all = props.drawing.xs.map((_, i) => i)
  const isTight = (width.value - box.left - box.right) / all.length < leastCellW
  return isTight ? all.filter((i) => i % 2 === 1) : all
})
const xs = computed(() => shown.value.map((i) => props.drawing.xs[i]!))
const cells = computed(() => props.drawing.values.map((line) => shown.value.map((i) => line[i]!)))
const columns = computed(() => xs.value.length)
const rows = computed(() => props.drawing.ys.length)
const cellW = computed(() => (width.value - box.left - box.right) / columns.value)
const cellH = computed(() => (height - box.top - box.bottom) / rows.value)
const best = computed(() => Math.max(...props.drawing.values.flat()))
/** Where a value falls between the cells' middles. */
const position = (values: number[], v: number) => {
  const scale = scaleLinear(
    values,
    values.map((_, i) => i + 0.5),
  ).clamp(true)
  return scale(v)
}
const here = computed(() => ({
  x: box.left + position(xs.value, props.drawing.at.x) * cellW.value,
  y: height - box.bottom - position(props.drawing.ys, props.drawing.at.y) * cellH.value,
}))
const along = computed(() =>
  xs.value.map((c, col) => ({
    x: box.left + (col + 0.5) * cellW.value,
    label: number(onAxis(props.drawing.x, c), 0),
  })),
)
const strength = (v: number) => 0.06 + 0.74 * Math.sqrt(v / best.value)
const days = (v: number) =>
  v >= 730 ? `${Math.round(v / 365)} y` : v >= 95 ? say('mo', { v: Math.round(v / 30.4) }) : `${Math.round(v)} d`
const at = ref<{ col: number; row: number }>()
function step(event: KeyboardEvent) {
  const moves: Record<string, [number, number]> = {
    ArrowRight: [1, 0],
    ArrowLeft: [-1, 0],
    ArrowUp: [0, 1],
    ArrowDown: [0, -1],
  }
  const move = moves[event.key]
  if (!move) return
  event.preventDefault()
  const now = at.value ?? { col: 0, row: 0 }
  at.value = {
    col: Math.min(columns.value - 1, Math.max(0, now.col + move[0])),
    row: Math.min(rows.value - 1, Math.max(0, now.row + move[1])),
  }
}
const t = (c: number) => `${number(onAxis(props.drawing.x, c), 0)} ${axisUnit(props.drawing.x)}`
</script>

<template>
  <figure ref="frame" class="chart">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      tabindex="0"
      role="img"
      :aria-label="say('halfAreStillSoundAfter')"
      @keydown="step"
      @mouseleave="at = undefined"
    >
      <g v-for="(line, row) in cells" :key="row">
        <g
          v-for="(v, col) in line"
          :key="col"
          :transform="`translate(${box.left + col * cellW} ${height - box.bottom - (row + 1) * cellH})`"
          @mousemove="at = { col, row }"
        >
          <rect class="cell" :width="cellW - 1.5" :height="cellH - 1.5" :fill-opacity="strength(v)" />
          <text
            class="value"
            :class="{ dark: strength(v) > 0.52 }"
            :x="cellW / 2"
            :y="cellH / 2 + 4"
            text-anchor="middle"
          >
            {{ days(v) }}
          </text>
        </g>
        <text class="axis" :x="box.left - 7" :y="height - box.bottom - (row + 0.5) * cellH + 4" text-anchor="end">
          {{ drawing.ys[row] }}
        </text>
      </g>
      <DayAxis :ticks="along" :y="height - box.bottom + 17" />
      <AxisTitles :x="drawing.x" :y="drawing.y" :width="width" :height="height" :box="box" />
      <rect
        v-if="at"
        class="reader"
        :x="box.left + at.col * cellW"
        :y="height - box.bottom - (at.row + 1) * cellH"
        :width="cellW - 1.5"
        :height="cellH - 1.5"
      />
      <circle class="here" :cx="here.x" :cy="here.y" r="9" />
      <text class="here-name" :x="here.x + 14" :y="here.y + 5">{{ drawing.at.label }}</text>
    </svg>
    <figcaption class="soft" aria-live="polite">
      <template v-if="at">{{
        say('halfAreSoundAfter', { t: t(xs[at.col]!), ys: drawing.ys[at.row], days: days(cells[at.row]![at.col]!) })
      }}</template>
      <template v-else>{{ say('halfAreStillSoundAfter2') }}</template>
    </figcaption>
    <TableBelow>
      <thead>
        <tr>
          <th>{{ axisTitle(drawing.y) }}</th>
          <th v-for="c in drawing.xs" :key="c">{{ number(onAxis(drawing.x, c), 0) }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(line, row) in drawing.values" :key="row">
          <th scope="row">{{ drawing.ys[row] }}</th>
          <td v-for="(v, col) in line" :key="col">{{ days(v) }}</td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
.cell {
  fill: var(--accent);
}
.value {
  font-size: var(--t-small);
  fill: var(--ink);
}
.value.dark {
  fill: var(--on-accent);
}
.here {
  fill: none;
  stroke: var(--ink);
  stroke-width: 3.5;
}
.here-name {
  font-size: var(--t-note);
  font-weight: 700;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
.reader {
  fill: none;
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
