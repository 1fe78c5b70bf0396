<script setup lang="ts">
import type { Frame } from '@vadose/contract/households'
import { addDays } from '@vadose/core/households'
import { area } from 'd3-shape'
import { computed } from 'vue'
import { monthTicks, straight } from '../charts'
import { fullDate, monthOf, weight } from './words'
import { say } from './say'

const props = defineProps<{ year: Frame['year']; today: string; chosen?: string | undefined }>()
const emit = defineEmits<{ choose: [date: string] }>()

const width = 900
const top = 20
const base = 46
const days = computed(() => props.year.stock.at(-1)?.day ?? 365)
const x = computed(() => straight([0, Math.max(days.value, 364)], [0, width]))
const y = computed(() => straight([0, Math.max(1000, ...props.year.stock.map((p) => p.weightG)) * 1.05], [base, top]))
const counted = computed(() => props.year.stock.filter((p) => !p.forecast))
const todayDay = computed(() => counted.value.at(-1)?.day ?? 0)
const shape = (points: { day: number; weightG: number }[]) =>
  area<{ day: number; weightG: number }>()
    .x((p) => x.value(p.day))
    .y0(base)
    .y1((p) => y.value(p.weightG))(points) ?? ''
const forecast = computed(() => {
  const last = counted.value.at(-1)
  return last ? [last, ...props.year.stock.filter((p) => p.forecast)] : []
})
const months = computed(() => monthTicks(props.year.startsOn, 364))
const dayAt = (event: MouseEvent) => {
  const box = (event.currentTarget as SVGElement).getBoundingClientRect()
  const day = Math.round(straight([0, box.width], [0, Math.max(days.value, 364)])(event.clientX - box.left))
  emit('choose', addDays(props.year.startsOn, Math.min(364, Math.max(0, day))))
}
const summary = computed(() => {
  const now = counted.value.at(-1)?.weightG ?? 0
  return say('theYearInTheHouse', {
    weight: weight(now),
    jobDays: props.year.jobDays
      .slice(0, 8)
      .map((d) => fullDate(addDays(props.year.startsOn, d)))
      .join(', '),
    harvests: props.year.harvests.length
      ? say('likelyHarvests', {
          harvests: props.year.harvests
            .map((h) => say('from', { bed: h.bed, fullDate: fullDate(addDays(props.year.startsOn, h.from)) }))
            .join(', '),
        })
      : '',
  })
})
</script>

<template>
  <svg
    class="strip"
    :viewBox="`0 0 ${width} 56`"
    preserveAspectRatio="none"
    role="img"
    :aria-label="summary"
    @click="dayAt"
  >
    <g class="months">
      <line v-for="m in months" :key="m.day" :x1="x(m.day)" :x2="x(m.day)" y1="20" :y2="base" />
    </g>
    <path class="counted" :d="shape(counted)" />
    <path class="forecast" :d="shape(forecast)" />
    <rect
      v-for="h in year.harvests"
      :key="`${h.crop} ${h.bed} ${h.from}`"
      class="harvest"
      :x="x(h.from)"
      :width="Math.max(4, x(h.to) - x(h.from))"
      :y="base - 7"
      height="7"
    />
    <line class="base" x1="0" :x2="width" :y1="base" :y2="base" />
    <line class="today" :x1="x(todayDay)" :x2="x(todayDay)" y1="16" y2="52" />
    <ellipse v-for="d in year.jobDays" :key="d" class="job" :cx="x(d)" cy="51.5" rx="2.3" ry="2.6" />
  </svg>
  <div class="labels" aria-hidden="true">
    <span v-for="m in months" :key="m.day" :style="{ left: `${(x(m.day) / width) * 100}%` }">{{ monthOf(m.on) }}</span>
  </div>
</template>

<style scoped>
.strip {
  display: block;
  width: 100%;
  height: 56px;
  cursor: pointer;
}
.months line {
  stroke: var(--band-line);
  stroke-width: 1;
}
.counted {
  fill: var(--stock);
}
.forecast {
  fill: var(--stock-ahead);
}
.harvest {
  fill: none;
  stroke: var(--stock);
  stroke-width: 1.6;
  stroke-dasharray: 3 2;
}
.base {
  stroke: var(--band-line);
}
.today {
  stroke: var(--band-ink);
  stroke-width: 2;
}
.job {
  fill: var(--band-ink);
}
.labels {
  position: absolute;
  inset: 2px 0 auto;
  height: 14px;
  pointer-events: none;
}
.labels span {
  position: absolute;
  padding-left: var(--s-4);
  font-size: var(--t-small);
  color: var(--band-soft);
}
</style>
