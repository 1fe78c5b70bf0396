<script setup lang="ts">
import { busiestOf, type Score } from '@vadose/core/kitchen'
import { computed } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { DayAxis } from '../charts'
import { clockAt } from './evening'
import { say } from './say'

/** The busiest half hour drawn out, minute by minute: what goes into the pan while what comes out of it. */
const props = defineProps<{ score: Score; from: string }>()
const left = 92
const width = 860
const lanes = ['hands', 'pan', 'water'] as const
const names = { hands: say('hands'), pan: say('pan'), water: say('coldWater') }
const laneY = { hands: 34, pan: 78, water: 122 }
const height = 158
const span = computed(() => busiestOf(props.score))
const x = (minute: number) => {
  const { from, to } = span.value!
  return left + ((Math.min(to, Math.max(from, minute)) - from) / (to - from)) * (width - left - 16)
}
const notes = computed(() => {
  const here = span.value
  if (!here) return []
  return props.score.notes.filter(
    ({ lane, from, to }) => (lanes as readonly string[]).includes(lane) && to > here.from && from < here.to,
  ) as (Score['notes'][number] & { lane: (typeof lanes)[number] })[]
})
const ticks = computed(() => {
  const { from, to } = span.value!
  const first = Math.ceil(from / 5) * 5
  return Array.from({ length: Math.floor((to - first) / 5) + 1 }, (_, i) => {
    const minute = first + 5 * i
    return { x: x(minute), label: clockAt(props.from, minute) }
  })
})
const room = (n: { from: number; to: number }) => x(n.to) - x(n.from)
</script>

<template>
  <figure v-if="span" class="chart">
    <figcaption class="soft">
      {{ say('theBusiestHalfHourTo', { clockAt: clockAt(from, span.from), clockAt2: clockAt(from, span.to) }) }}
    </figcaption>
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      role="img"
      :aria-label="say('theBusiestHalfHourFrom', { clockAt: clockAt(from, span.from), notes: notes.length })"
    >
      <DayAxis :ticks="ticks" :y="11" :lines="{ top: 16, bottom: height - 18 }" />
      <text v-for="lane in lanes" :key="lane" x="0" :y="laneY[lane] + 5" class="lane">{{ names[lane] }}</text>
      <g v-for="(n, i) in notes" :key="i">
        <rect
          :x="x(n.from)"
          :y="laneY[n.lane] - 15"
          :width="Math.max(3, room(n) - 2)"
          height="30"
          rx="4"
          :class="n.lane"
          :style="n.lane === 'water' ? {} : { fill: cropColour(n.crop) }"
        />
        <template v-if="room(n) > 26">
          <rect
            :x="(x(n.from) + x(n.to)) / 2 - 11"
            :y="laneY[n.lane] - 10"
            width="22"
            height="20"
            rx="3"
            class="plate"
          />
          <text :x="(x(n.from) + x(n.to)) / 2" :y="laneY[n.lane] + 5" text-anchor="middle" class="axis number">
            {{ n.batch }}
          </text>
        </template>
        <title>
          {{
            say('batchTo', {
              batch: n.batch,
              name: cropOf(n.crop).name.toLowerCase(),
              clockAt: clockAt(from, n.from),
              clockAt2: clockAt(from, n.to),
            })
          }}
        </title>
      </g>
    </svg>
  </figure>
</template>

<style scoped>
.lane {
  font: 600 var(--t-note) var(--font);
  fill: var(--ink);
}
.water {
  fill: var(--cold);
}
.plate {
  fill: var(--card);
}
.number {
  font-weight: 700;
  fill: var(--ink);
}
</style>
