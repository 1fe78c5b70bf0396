<script setup lang="ts">
import type { YearView } from '@vadose/contract/year'
import { addDays, daysBetween } from '@vadose/core/households'
import { computed } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { DayAxis, monthTicks, TableBelow, UprightLine, useReader } from '../charts'
import { longDate, monthOf, shortDate, weight } from '../households'
import { along, heldOn, ribbonOf } from './ribbon'
import { say } from './say'

/** A ribbon for each crop: as thick as there is of it, counted solid and expected pale. */
const props = defineProps<{ view: YearView; lines: YearView['lines'] }>()
const left = 150
const width = 1180
const tall = 74
const top = 34
const height = computed(() => top + props.lines.length * tall + 8)
const x = (on: string) => left + along(on, props.view) * (width - left - 30)
const ribbons = computed(() => props.lines.map((line) => ({ line, ...ribbonOf(line, x, tall * 0.4) })))
const days = computed(() => {
  const all = daysBetween(props.view.from, props.view.to)
  return Array.from({ length: Math.floor(all / 7) + 1 }, (_, i) => addDays(props.view.from, i * 7))
})
const ticks = computed(() => monthTicks(props.view.from, daysBetween(props.view.from, props.view.to)))
const { at, listeners } = useReader({
  points: () => days.value,
  xOf: x,
  width: () => width,
  from: () => Math.max(0, days.value.findIndex((on) => on >= props.view.today) - 1),
})
const says = computed(() => {
  const on = at.value
  if (!on) return ''
  return `${longDate(on)}: ${props.lines
    .map((line) => {
      const held = heldOn(line, on, props.view.today)
      const spread = held.low === undefined ? '' : say('to', { low: weight(held.low), weight: weight(held.high!) })
      return `${cropOf(line.crop).name.toLowerCase()} ${weight(held.g)}${spread}`
    })
    .join(', ')}`
})
const summary = computed(() =>
  say('whatIsInTheHouse', { from: longDate(props.view.from), to: longDate(props.view.to), lines: props.lines.length }),
)
</script>

<template>
  <figure class="chart">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" tabindex="0" :aria-label="says || summary" v-on="listeners">
      <DayAxis
        :ticks="ticks.map((t) => ({ x: x(t.on), label: monthOf(t.on) }))"
        :y="16"
        :beside="5"
        :lines="{ top: top - 10, bottom: height }"
      />
      <g
        v-for="(r, i) in ribbons"
        :key="r.line.crop"
        :transform="`translate(0 ${top + i * tall + tall / 2})`"
        :style="{ '--crop': cropColour(r.line.crop) }"
      >
        <text x="0" y="-4" class="name">{{ cropOf(r.line.crop).name }}</text>
        <text x="0" y="15" class="axis">{{ say('now', { nowG: weight(r.line.nowG) }) }}</text>
        <path :d="r.past" class="past" />
        <path :d="r.ahead" class="ahead" />
        <path :d="r.low" class="edge" />
        <path :d="r.high" class="edge" />
        <g v-if="r.line.gapFrom && r.line.gapFrom < view.to" :transform="`translate(${x(r.line.gapFrom)} 0)`">
          <path d="M0 -12V12" class="gap" />
          <text x="6" y="5" class="axis gone">{{ say('gone', { gapFrom: shortDate(r.line.gapFrom) }) }}</text>
        </g>
        <g v-if="r.line.nextCropOn && r.line.nextCropOn <= view.to" :transform="`translate(${x(r.line.nextCropOn)} 0)`">
          <path d="M0 14v-8m-5 4l5-5l5 5" class="next" />
          <text x="0" y="30" text-anchor="middle" class="axis">{{ say('nextCrop') }}</text>
        </g>
      </g>
      <UprightLine of="now" :x="x(view.today)" :top="top - 14" :bottom="height" />
      <UprightLine v-if="at" of="reader" :x="x(at)" :top="top - 10" :bottom="height" />
    </svg>
    <p class="says" aria-live="polite">{{ says || say('pointAtTheChartOr') }}</p>
    <TableBelow>
      <thead>
        <tr>
          <th scope="col">{{ say('weekOf') }}</th>
          <th v-for="line in lines" :key="line.crop" scope="col">{{ cropOf(line.crop).name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="on in days.filter((_, i) => i % 4 === 0)" :key="on">
          <th scope="row">{{ shortDate(on) }}</th>
          <td v-for="line in lines" :key="line.crop">{{ weight(heldOn(line, on, view.today).g) }}</td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
.chart :deep(details) {
  overflow-x: auto;
}
.name {
  font: 650 var(--t-text) var(--font-head);
  fill: var(--ink);
}
.past {
  fill: var(--crop);
}
.ahead {
  fill: color-mix(in srgb, var(--crop) 38%, var(--card));
}
.edge {
  fill: none;
  stroke: var(--crop);
  stroke-dasharray: 4 4;
  stroke-width: 1.3;
}
.gap {
  stroke: var(--bad);
  stroke-width: 2;
}
.gone {
  fill: var(--bad);
  font-weight: 650;
}
.next {
  fill: none;
  stroke: var(--good);
  stroke-width: 2;
}
.says {
  min-height: 44px;
  font-size: var(--t-note);
  color: var(--soft);
  margin: var(--s-4) 0 0;
}
</style>
