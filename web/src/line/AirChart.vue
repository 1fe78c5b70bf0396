<script setup lang="ts">
import type { LineView } from '@vadose/contract/line'
import { scaleLinear, scaleTime } from 'd3-scale'
import { curveMonotoneX, line } from 'd3-shape'
import { computed } from 'vue'
import { civilDateOf, instantOf } from '@vadose/core/households'
import { momentOf, shortDate, useFrame } from '../households'
import { TableBelow, useReader } from '../kit'
import { say } from './say'

const props = defineProps<{ air: LineView['air']; placeId: string | null; now: string }>()
type Point = LineView['air'][number]['points'][number]
const width = 400
const height = 190
const place = computed(() => props.air.find((a) => a.placeId === props.placeId) ?? props.air[0])
const points = computed(() => place.value?.points ?? [])
const x = computed(() =>
  scaleTime(
    [new Date(points.value[0]?.at ?? props.now), new Date(points.value.at(-1)?.at ?? props.now)],
    [40, width - 8],
  ),
)
const y = computed(() =>
  scaleLinear([0, Math.max(0.6, ...points.value.map((p) => p.pullKPa)) * 1.08], [height - 28, 12]),
)
const draw = (list: Point[]) =>
  line<Point>(
    (p) => x.value(new Date(p.at)),
    (p) => y.value(p.pullKPa),
  ).curve(curveMonotoneX)(list) ?? ''
const past = computed(() => points.value.filter((p) => !p.ahead))
const ahead = computed(() => [...past.value.slice(-1), ...points.value.filter((p) => p.ahead)])
const frame = useFrame()
const zone = computed(() => frame.frame?.household.timeZone ?? 'UTC')
/** Midnights of the household, every third day. */
const days = computed(() => {
  const on = [...new Set(points.value.map((p) => civilDateOf(Date.parse(p.at), zone.value)))]
  return on
    .map((day) => ({ x: x.value(new Date(instantOf(day, 0, zone.value))), label: shortDate(day) }))
    .filter((d, i) => i % 3 === 0 && d.x >= 40 && d.x < width - 24)
})
const { at, listeners } = useReader<Point>({
  points: () => points.value,
  xOf: (p) => x.value(new Date(p.at)),
  width: () => width,
  from: () => past.value.length - 1,
})
const when = (p: Point) => momentOf(p.at, zone.value, frame.today)
/** A day's mean of its six-hour means. */
const byDay = computed(() => {
  const days = new Map<string, Point[]>()
  for (const p of points.value) {
    const on = civilDateOf(Date.parse(p.at), zone.value)
    days.set(on, [...(days.get(on) ?? []), p])
  }
  return [...days].map(([on, of]) => ({
    on,
    kPa: of.reduce((sum, p) => sum + p.pullKPa, 0) / of.length,
    ahead: of.every((p) => p.ahead),
  }))
})
const mean = computed(() => past.value.reduce((sum, p) => sum + p.pullKPa, 0) / Math.max(1, past.value.length))
</script>

<template>
  <figure v-if="place">
    <p class="soft">
      {{ say('kpaTheAirOfPulls', { place: place.place.toLowerCase() }) }}
    </p>
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      tabindex="0"
      role="img"
      :aria-label="say('dryingPowerOfKpaOn', { place: place.place, mean: mean.toFixed(2) })"
      v-on="listeners"
    >
      <g v-for="t in y.ticks(4)" :key="t">
        <line class="grid-line" x1="40" :x2="width - 8" :y1="y(t)" :y2="y(t)" />
        <text class="axis" x="34" :y="y(t) + 4" text-anchor="end">{{ t.toFixed(1) }}</text>
      </g>
      <text v-for="d in days" :key="d.label" class="axis" :x="d.x" :y="height - 8" text-anchor="middle">
        {{ d.label }}
      </text>
      <path :d="draw(past)" class="past" />
      <path :d="draw(ahead)" class="ahead" />
      <line class="now" :x1="x(new Date(now))" :x2="x(new Date(now))" y1="8" :y2="y(0)" />
      <circle v-if="at" class="reader" :cx="x(new Date(at.at))" :cy="y(at.pullKPa)" r="4.5" />
    </svg>
    <figcaption class="soft" aria-live="polite">
      {{ at ? `${when(at)}: ${at.pullKPa.toFixed(2)} kPa${at.ahead ? say('expected') : ''}` : say('dashedExpected') }}
    </figcaption>
    <TableBelow>
      <thead>
        <tr>
          <th>{{ say('day') }}</th>
          <th>{{ say('meanPullKpa') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="d in byDay" :key="d.on">
          <td>{{ shortDate(d.on) }}{{ d.ahead ? say('expected') : '' }}</td>
          <td>{{ d.kPa.toFixed(2) }}</td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
}
.past {
  fill: none;
  stroke: var(--stock);
  stroke-width: 2.5;
}
.ahead {
  fill: none;
  stroke: var(--stock);
  stroke-width: 2.5;
  stroke-dasharray: 4 4;
}
.stall {
  fill: color-mix(in srgb, var(--bad) 14%, transparent);
}
.stall-says {
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
  fill: var(--bad);
}
.reader {
  fill: var(--stock);
  stroke: var(--ink);
  stroke-width: 1.5;
}
.now {
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
