<script setup lang="ts">
import type { PlaceClimate } from '@vadose/contract/stores'
import { scaleLinear, scalePoint } from 'd3-scale'
import { computed } from 'vue'
import { humidity, monthOf, temperature } from '../households'
import { bandPath, DayAxis, linePath, TableBelow, UprightLine, useReader, ValueAxis } from '../charts'
import { say } from './say'

/** Twelve months of a place: the line most likely, pale eight chances in ten; frost outside and in. */
const props = defineProps<{ view: PlaceClimate; narrow?: boolean }>()
type Month = PlaceClimate['months'][number]
// its letters keep their size where it has less room
const phone = window.matchMedia('(max-width: 820px)').matches
const width = phone ? 400 : props.narrow ? 540 : 800
const strokeStep = phone ? 1.7 : props.narrow ? 2.2 : 3
const height = 330
const left = 58
const bottom = { t: 178, rh: 316 }
const top = { t: 26, rh: 232 }
const months = computed(() => props.view.months)
const x = computed(() =>
  scalePoint(
    months.value.map(({ month }) => month),
    [left + 24, width - 30],
  ),
)
const at = (m: Month) => x.value(m.month)!
const temperatures = computed(() => months.value.flatMap(({ temperatureC: t }) => [t.p10, t.p90]))
const y = computed(() =>
  scaleLinear([Math.min(0, ...temperatures.value), Math.max(12, ...temperatures.value)], [bottom.t, top.t]),
)
const humidities = computed(() => months.value.flatMap(({ relativeHumidityPct: rh }) => [rh.p10, rh.p90]))
const yRh = computed(() =>
  scaleLinear([Math.min(50, ...humidities.value), Math.max(75, ...humidities.value)], [bottom.rh, top.rh]),
)
const band = (of: (m: Month) => { p10: number; p90: number }, scale: (v: number) => number) =>
  bandPath(
    months.value,
    at,
    (m) => scale(of(m).p10),
    (m) => scale(of(m).p90),
    true,
  )
const middle = (of: (m: Month) => { p50: number }, scale: (v: number) => number) =>
  linePath(months.value, at, (m) => scale(of(m).p50), true)
const degrees = computed(() => y.value.ticks(4).map((t) => ({ y: y.value(t), label: temperature(t, 0) })))
const damp = computed(() => yRh.value.ticks(3).map((t) => ({ y: yRh.value(t), label: humidity(t) })))
const t = (m: Month) => m.temperatureC
const rh = (m: Month) => m.relativeHumidityPct
/** a stroke for every frosty night outdoors, at most fifteen a month */
const strokes = (m: Month) => Array.from({ length: Math.min(15, Math.round(m.frostOutdoors / 2)) }, (_, i) => i)
const nights = (n: number) =>
  n < 0.5 ? say('nightIn', { what: Math.round(30 / Math.max(0.03, n)) }) : say('nights', { n: Math.round(n) })
const coldest = computed(() => [...months.value].sort((a, b) => b.frostNights - a.frostNights)[0])
const reader = useReader<Month>({
  points: () => months.value,
  xOf: at,
  width: () => width,
  from: () => 0,
})
const says = computed(() => {
  const m = reader.at.value
  if (!m) return say('twelveMonthsAheadTemperatureAnd')
  return say('to4', {
    monthOf: monthOf(`${m.month}-15`),
    p50: temperature(m.temperatureC.p50),
    p10: temperature(m.temperatureC.p10),
    p90: temperature(m.temperatureC.p90),
    p502: humidity(m.relativeHumidityPct.p50),
  })
})
</script>

<template>
  <figure class="chart">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" tabindex="0" :aria-label="says" v-on="reader.listeners">
      <DayAxis
        :ticks="months.map((m, i) => ({ x: at(m), label: phone && i % 2 ? '' : monthOf(`${m.month}-15`) }))"
        :y="14"
        :lines="{ top: top.t - 4, bottom: bottom.rh }"
      />
      <ValueAxis :ticks="degrees" :left="left + 6" :right="width - 10" />
      <path :d="band(t, y)" class="band warm" />
      <path :d="middle(t, y)" class="middle warm" />
      <line class="freezing" :x1="left + 6" :x2="width - 10" :y1="y(0)" :y2="y(0)" />
      <text
        v-if="coldest && coldest.frostNights >= 0.1"
        class="axis cold"
        :x="at(coldest)"
        :y="y(0) + 16"
        text-anchor="middle"
      >
        {{ say('belowFreezingInHere', { nights: nights(coldest.frostNights) }) }}
      </text>
      <text class="axis" :x="left" y="210" text-anchor="end">{{ say('frostOut') }}</text>
      <g v-for="m in months" :key="`f${m.month}`">
        <line
          v-for="i in strokes(m)"
          :key="i"
          class="stroke"
          :x1="at(m) + (i - 7) * strokeStep"
          :x2="at(m) + (i - 7) * strokeStep"
          y1="200"
          y2="212"
        />
      </g>
      <ValueAxis :ticks="damp" :left="left + 6" :right="width - 10" />
      <path :d="band(rh, yRh)" class="band damp" />
      <path :d="middle(rh, yRh)" class="middle damp" />
      <template v-if="reader.at.value">
        <UprightLine of="reader" :x="at(reader.at.value)" :top="top.t - 4" :bottom="bottom.rh" />
      </template>
    </svg>
    <p class="read" aria-hidden="true">{{ reader.at.value ? says : ' ' }}</p>
    <TableBelow>
      <tr>
        <th>{{ say('month') }}</th>
        <th>{{ say('temperature') }}</th>
        <th>8 in 10</th>
        <th>{{ say('humidity') }}</th>
        <th>{{ say('frostyNightsInHere') }}</th>
        <th>{{ say('outdoors') }}</th>
      </tr>
      <tr v-for="m in months" :key="m.month">
        <td>{{ m.month }}</td>
        <td>{{ temperature(m.temperatureC.p50) }}</td>
        <td>{{ say('to3', { p10: temperature(m.temperatureC.p10), p90: temperature(m.temperatureC.p90) }) }}</td>
        <td>{{ humidity(m.relativeHumidityPct.p50) }}</td>
        <td>{{ m.frostNights.toFixed(1) }}</td>
        <td>{{ m.frostOutdoors.toFixed(0) }}</td>
      </tr>
    </TableBelow>
  </figure>
</template>

<style scoped>
.band {
  opacity: 0.28;
}
.band.warm {
  fill: var(--stock);
}
.band.damp {
  fill: var(--cold);
}
.middle {
  fill: none;
  stroke-width: 2.5;
}
.middle.warm {
  stroke: var(--stock);
}
.middle.damp {
  stroke: var(--cold);
  stroke-dasharray: 2 4;
}
.freezing {
  stroke: var(--cold);
  stroke-dasharray: 7 4;
}
.cold {
  fill: var(--cold);
  font-weight: 650;
}
.stroke {
  stroke: var(--cold);
  stroke-width: 1.6;
}
.read {
  min-height: 1.4em;
  margin: 0;
  font-size: var(--t-note);
}
</style>
