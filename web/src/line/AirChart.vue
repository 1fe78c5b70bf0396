<script setup lang="ts">
import type { LineView } from '@vadose/contract/line'
import { scaleLinear, scaleTime } from 'd3-scale'
import { computed } from 'vue'
import { civilDateOf } from '@vadose/core/households'
import { momentOf, shortDate, useFrame } from '../households'
import { DayAxis, linePath, midnightTicks, TableBelow, UprightLine, useReader, ValueAxis } from '../charts'
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
const xOf = (p: { at: string }) => x.value(new Date(p.at))
const draw = (list: Point[]) => linePath(list, xOf, (p) => y.value(p.pullKPa), true)
const kPa = computed(() => y.value.ticks(4).map((t) => ({ y: y.value(t), label: t.toFixed(1) })))
const past = computed(() => points.value.filter((p) => !p.ahead))
const ahead = computed(() => [...past.value.slice(-1), ...points.value.filter((p) => p.ahead)])
const frame = useFrame()
const zone = computed(() => frame.frame?.household.timeZone ?? 'UTC')
const days = computed(() => {
  const [from, to] = x.value.domain() as [Date, Date]
  return midnightTicks(from, to, zone.value, 5)
    .map(({ on, at }) => ({ x: x.value(at), label: shortDate(on) }))
    .filter((d) => d.x < width - 24)
})
const { at, listeners } = useReader<Point>({
  points: () => points.value,
  xOf,
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
      <ValueAxis :ticks="kPa" :left="40" :right="width - 8" />
      <DayAxis :ticks="days" :y="height - 8" />
      <path :d="draw(past)" class="past" />
      <path :d="draw(ahead)" class="ahead" />
      <UprightLine of="now" :x="x(new Date(now))" :top="8" :bottom="y(0)" />
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
.reader {
  fill: var(--stock);
  stroke: var(--ink);
  stroke-width: 1.5;
}
</style>
