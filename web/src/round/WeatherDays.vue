<script setup lang="ts">
import type { RoundView } from '@vadose/contract/round'
import { computed } from 'vue'
import { degree, fromCelsius, fullDate, weekdayOf, rainfall } from '../households'
import { straight } from '../charts'
import { say } from './say'

const props = defineProps<{ days: RoundView['weather'] }>()
const width = 336
const y = computed(() =>
  straight([Math.min(0, ...props.days.map((d) => d.lowC)), Math.max(...props.days.map((d) => d.highC))], [86, 26]),
)
const x = (i: number) => ((i + 0.5) * width) / props.days.length
const round = (c: number) => String(Math.round(fromCelsius(c))).replace('-', '−')
</script>

<template>
  <svg :viewBox="`0 0 ${width} 148`" role="img" :aria-label="say('highestAndLowestTemperature')" class="weather">
    <line class="grid-line" x1="0" :x2="width" :y1="y(0)" :y2="y(0)" />
    <g v-for="(d, i) in days" :key="`${d.on} ${d.ahead}`">
      <title>
        {{
          say('toExpected', {
            on: fullDate(d.on),
            lowC: round(d.lowC),
            highC: round(d.highC),
            degree: degree(),
            humidityPct: Math.round(d.humidityPct),
            rainMm: d.rainMm ? say('ofRain', { rain: rainfall(d.rainMm, 1) }) : '',
            ahead: d.ahead ? 'yes' : 'no',
          })
        }}
      </title>
      <rect
        :x="x(i) - 5"
        :y="y(d.highC)"
        width="10"
        :height="Math.max(4, y(d.lowC) - y(d.highC))"
        rx="5"
        :class="{ ahead: d.ahead, frost: d.lowC < 0.5 }"
      />
      <text class="value" :x="x(i)" :y="y(d.highC) - 6" text-anchor="middle">{{ round(d.highC) }}°</text>
      <text class="axis" :x="x(i)" :y="y(d.lowC) + 14" text-anchor="middle">{{ round(d.lowC) }}°</text>
      <text class="axis" :x="x(i)" y="114" text-anchor="middle">{{ weekdayOf(d.on) }}</text>
      <text class="axis" :x="x(i)" y="129" text-anchor="middle">{{ Math.round(d.humidityPct) }} %</text>
      <text class="axis rain" :x="x(i)" y="144" text-anchor="middle">
        {{ d.rainMm === null ? '' : d.rainMm < 0.1 ? say('dry') : rainfall(d.rainMm, d.rainMm < 10 ? 1 : 0) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.weather {
  width: 100%;
  height: auto;
}
rect {
  fill: var(--stock);
}
rect.ahead {
  fill: none;
  stroke: var(--stock);
  stroke-width: 2;
  stroke-dasharray: 3 2;
}
rect.frost {
  stroke: var(--cold);
  fill: var(--cold);
}
.rain {
  fill: var(--cold);
}
.value {
  font-size: var(--t-small);
  font-weight: 600;
  fill: var(--ink);
}
</style>
