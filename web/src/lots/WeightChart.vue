<script setup lang="ts">
import type { LineLotDetail } from '@vadose/contract/line'
import { scaleLinear, scaleTime } from 'd3-scale'
import { computed } from 'vue'
import { dateRange, fromGrams, shortDate, smallUnit, useFrame, weight } from '../households'
import {
  bandPath,
  DayAxis,
  linePath,
  midnightOf,
  midnightTicks,
  TableBelow,
  UprightLine,
  useReader,
  ValueAxis,
} from '../charts'
import { say } from './say'

const props = defineProps<{ detail: LineLotDetail; now: string; colour: string }>()
type Point = LineLotDetail['curve'][number]
const width = 400
const height = 190
const curve = computed(() => props.detail.curve)
const frame = useFrame()
const when = (at: string) => new Date(at)
const zone = computed(() => frame.frame?.household.timeZone ?? 'UTC')
const midnight = (on: string) => midnightOf(on, zone.value)
const x = computed(() => scaleTime([when(curve.value[0]!.at), when(curve.value.at(-1)!.at)], [52, width - 10]))
const days = computed(() =>
  midnightTicks(when(curve.value[0]!.at), when(curve.value.at(-1)!.at), zone.value, 5)
    .map(({ on, at }) => ({ x: x.value(at), label: shortDate(on) }))
    .filter((d) => d.x < width - 24),
)
const y = computed(() => {
  const all = [...curve.value.flatMap((p) => [p.p10, p.p90]), ...props.detail.weighings.map((w) => w.weightG)]
  return scaleLinear([fromGrams(Math.min(...all) * 0.98), fromGrams(Math.max(...all) * 1.01)], [height - 28, 14])
})
const yOf = (g: number) => y.value(fromGrams(g))
const xOf = (p: { at: string }) => x.value(when(p.at))
const band = computed(() =>
  bandPath(
    curve.value,
    xOf,
    (p) => yOf(p.p10),
    (p) => yOf(p.p90),
  ),
)
const grams = computed(() => y.value.ticks(4).map((t) => ({ y: y.value(t), label: t.toLocaleString('en-GB') })))
const before = computed(() => curve.value.filter((p) => p.at <= props.now))
const after = computed(() => [...before.value.slice(-1), ...curve.value.filter((p) => p.at > props.now)])
const draw = (list: Point[]) => linePath(list, xOf, (p) => yOf(p.p50))
const ready = computed(() => props.detail.options[0]!.ready)
const last = computed(() => props.detail.weighings.at(-1))
const { at, listeners } = useReader<Point>({
  points: () => curve.value,
  xOf,
  width: () => width,
  from: () => before.value.length - 1,
})
const says = (g: number) => weight(Math.round(g))
</script>

<template>
  <figure v-if="curve.length > 1">
    <p class="soft">
      {{ say('wholeLotTheBandHolds', { basis: detail.basis === 'lot' ? 'yes' : 'no', smallUnit: smallUnit() }) }}
    </p>
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      tabindex="0"
      role="img"
      :aria-label="
        say('weighingsLastReadyArrowKeys', {
          weighings: detail.weighings.length,
          last: last ? says(last.weightG) : say('none'),
          dateRange: dateRange(ready.p10, ready.p90),
        })
      "
      v-on="listeners"
    >
      <ValueAxis :ticks="grams" :left="52" :right="width - 10" />
      <DayAxis :ticks="days" :y="height - 8" />
      <rect
        v-if="ready.p10 && ready.p90"
        class="window"
        :x="Math.max(52, x(midnight(ready.p10)))"
        y="8"
        :width="Math.max(3, Math.min(width - 10, x(midnight(ready.p90))) - Math.max(52, x(midnight(ready.p10))))"
        :height="height - 36"
      />
      <path :d="band" :fill="colour" opacity="0.22" />
      <path :d="draw(before)" :stroke="colour" stroke-width="2.5" fill="none" />
      <path :d="draw(after)" :stroke="colour" stroke-width="2.5" fill="none" stroke-dasharray="4 4" />
      <circle v-for="w in detail.weighings" :key="w.at" class="dot" :cx="x(when(w.at))" :cy="yOf(w.weightG)" r="4.5">
        <title>{{ say('weighedOn', { says: says(w.weightG), shortDate: shortDate(frame.dayOf(w.at)) }) }}</title>
      </circle>
      <text v-if="last" class="axis strong" :x="x(when(last.at)) + 8" :y="yOf(last.weightG) - 7">
        {{ says(last.weightG) }}
      </text>
      <UprightLine of="now" :x="x(when(now))" :top="8" :bottom="height - 28" />
      <circle v-if="at" :cx="x(when(at.at))" :cy="yOf(at.p50)" r="4" :fill="colour" />
    </svg>
    <figcaption class="soft" aria-live="polite">
      <template v-if="at">{{
        say('weightOnADay', {
          shortDate: shortDate(frame.dayOf(at.at)),
          says: says(at.p50),
          says2: says(at.p10),
          says3: says(at.p90),
        })
      }}</template>
      <template v-else>{{ say('shadedReady', { dateRange: dateRange(ready.p10, ready.p90) }) }}</template>
    </figcaption>
    <TableBelow>
      <thead>
        <tr>
          <th>{{ say('day') }}</th>
          <th>{{ say('weighed') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="w in detail.weighings" :key="w.at">
          <td>{{ shortDate(frame.dayOf(w.at)) }}</td>
          <td>{{ says(w.weightG) }}</td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
  <p v-else class="soft">
    {{ say('noWeighingYetWeighOne') }}
  </p>
</template>

<style scoped>
figure {
  margin: 0;
}
svg {
  width: 100%;
  height: auto;
}
.window {
  fill: color-mix(in srgb, var(--good) 20%, transparent);
}
.dot {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
.strong {
  fill: var(--ink);
  font-weight: 600;
}
</style>
