<script setup lang="ts">
import type { StandView } from '@vadose/contract/beds'
import { addDays, daysBetween } from '@vadose/core/households'
import { scaleLinear } from 'd3-scale'
import { computed, useId } from 'vue'
import { monthTicks } from '../charts'
import { dateRange, longDate, monthOf, shortDate } from '../households'
import { say } from './say'
import { sayFact } from '../voice'

/** A bed's season on one line: what was seen, today, and when to lift. What it says stands in the list beside it. */
const props = defineProps<{ stand: StandView; today: string }>()
const ripe = useId()
/** drawn for the width it is read at: letters are as large on a phone */
const width = window.matchMedia('(max-width: 820px)').matches ? 330 : 560
const base = 42
const seen = computed(() => props.stand.entries.filter((entry) => entry.what !== 'watered'))
const lifting = computed(() => props.stand.verdict?.window ?? null)
const ends = computed(() => {
  const days = [
    props.today,
    ...seen.value.map((entry) => entry.on),
    ...props.stand.lifted.map((lifted) => lifted.on),
    ...(lifting.value ? [lifting.value.from, lifting.value.to] : []),
    // a planting a year ago would press all the rest into a corner
    ...(props.stand.plantedOn && daysBetween(props.stand.plantedOn, props.today) < 150 ? [props.stand.plantedOn] : []),
  ].sort()
  return { from: addDays(days[0]!, -10), to: addDays(days.at(-1)!, 10) }
})
const x = computed(() => {
  const scale = scaleLinear([0, Math.max(42, daysBetween(ends.value.from, ends.value.to))], [0, width])
  return (date: string) => scale(daysBetween(ends.value.from, date))
})
const months = computed(() => monthTicks(ends.value.from, Math.max(42, daysBetween(ends.value.from, ends.value.to))))
/** the month's name would stand in the window's dates */
const nearWindow = (date: string) =>
  lifting.value !== null && Math.abs(x.value(date) - (x.value(lifting.value.from) + x.value(lifting.value.to)) / 2) < 80
const says = computed(() =>
  [
    ...[...seen.value].reverse().map((entry) => say('on2', { says: sayFact(entry.says), on: longDate(entry.on) })),
    ...(lifting.value
      ? [say('toLiftFromTo', { from: longDate(lifting.value.from), to: longDate(lifting.value.to) })]
      : []),
  ].join('; '),
)
</script>

<template>
  <svg
    class="line"
    :viewBox="`0 0 ${width} 62`"
    role="img"
    :aria-label="`${stand.bed}: ${says || say('nothingSeenYet')}`"
  >
    <defs>
      <pattern :id="ripe" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="7" height="7" class="ripe" />
        <line y2="7" class="hatch" />
      </pattern>
    </defs>
    <g v-for="m in months" :key="m.day" class="month">
      <line :x1="x(m.on)" :x2="x(m.on)" y1="14" :y2="base" />
      <text v-if="!nearWindow(m.on)" :x="x(m.on) + 4" y="58">
        {{ monthOf(m.on) }}
      </text>
    </g>
    <rect
      v-if="lifting"
      class="window"
      :fill="`url(#${ripe})`"
      :x="x(lifting.from)"
      :width="Math.max(5, x(lifting.to) - x(lifting.from))"
      y="20"
      :height="base - 20"
    />
    <text v-if="lifting" class="when" :x="(x(lifting.from) + x(lifting.to)) / 2" y="58" text-anchor="middle">
      {{ dateRange(lifting.from, lifting.to) }}
    </text>
    <line class="soil" x1="0" :x2="width" :y1="base" :y2="base" />
    <g v-for="entry in seen" :key="entry.id">
      <line class="stalk" :x1="x(entry.on)" :x2="x(entry.on)" y1="26" :y2="base" />
      <circle :class="entry.what" :cx="x(entry.on)" cy="26" r="5">
        <title>{{ sayFact(entry.says) }}, {{ shortDate(entry.on) }}</title>
      </circle>
    </g>
    <path v-for="l in stand.lifted" :key="l.on" class="lifted" :d="`M${x(l.on) - 6},${base} l6,-11 l6,11 z`" />
    <g class="today">
      <line :x1="x(today)" :x2="x(today)" y1="12" :y2="base + 5" />
      <text :x="x(today)" y="10" text-anchor="middle">{{ say('today') }}</text>
    </g>
  </svg>
</template>

<style scoped>
.line {
  display: block;
  width: 100%;
  max-width: 680px;
}
.month line {
  stroke: var(--line);
}
text {
  font-size: var(--t-small);
  fill: var(--soft);
}
.when {
  fill: var(--ink);
  font-weight: 650;
}
.ripe {
  fill: var(--crop);
  opacity: 0.35;
}
.hatch {
  stroke: var(--crop);
  stroke-width: 4;
}
.window {
  stroke: var(--crop);
}
.soil {
  stroke: var(--wall);
  stroke-width: 2;
}
.stalk {
  stroke: var(--good);
  stroke-width: 2;
}
circle {
  fill: var(--good);
  stroke: var(--card);
  stroke-width: 1.5;
}
circle.scapes-cut,
circle.tried {
  fill: var(--card);
  stroke: var(--good);
  stroke-width: 2.5;
}
.lifted {
  fill: var(--crop);
}
.today line {
  stroke: var(--ink);
  stroke-width: 2;
}
.today text {
  fill: var(--ink);
  font-weight: 650;
}
</style>
