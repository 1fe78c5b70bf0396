<script setup lang="ts">
import type { KeepingView } from '@vadose/contract/lots'
import { daysBetween } from '@vadose/core/households'
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import {
  bandPath,
  DayAxis,
  linePath,
  monthTicks,
  nearest,
  TableBelow,
  UprightLine,
  useReader,
  ValueAxis,
} from '../charts'
import { fullDate, monthOf, shortDate } from '../households'
import { monthStep, shownCurve, tenths, type SurvivalPoint as Point } from './survival'
import { say } from './say'

const props = defineProps<{
  keeping: KeepingView
  today: string
  checks: { on: string; lookedAt: number; bad: number }[]
  colour: string
  /** beside other things, without its table */
  small?: boolean
  /** a column's width: fewer units across, so that words stay legible */
  narrow?: boolean
}>()

const width = computed(() => (props.small ? 340 : props.narrow ? 420 : 760))
const height = computed(() => (props.small ? 150 : props.narrow ? 260 : 330))
const left = 56
const bottom = 26

const start = computed(() => props.keeping.curve[0]!.on)
const day = (date: string) => daysBetween(start.value, date)
const points = computed(() => shownCurve(props.keeping.curve))
const lastDay = computed(() => Math.max(30, day(points.value.at(-1)!.on)))
const x = computed(() => scaleLinear([0, lastDay.value], [left, width.value - 12]))
const y = computed(() => scaleLinear([0, 1], [height.value - bottom, 22]))
const xOf = (p: { on: string }) => x.value(day(p.on))
const share = (of: 'p10' | 'p50' | 'p90') => (p: Point) => y.value(p[of])
const band = computed(() => bandPath(points.value, xOf, share('p10'), share('p90'), true))
const middle = computed(() => linePath(points.value, xOf, share('p50'), true))
const months = computed(() =>
  monthTicks(start.value, lastDay.value, monthStep(lastDay.value, Boolean(props.small || props.narrow))).map(
    (tick) => ({ x: x.value(tick.day), label: monthOf(tick.on) }),
  ),
)
const levels = computed(() => [
  // above its line, for the axis ends there
  { y: y.value(1), label: 'all', up: 3 },
  { y: y.value(0.9), label: '9 in 10' },
  { y: y.value(0.5), label: say('half') },
  { y: y.value(0), label: say('none') },
])
const until = computed(() => props.keeping.nineInTenUntil.p50)
const { at, listeners } = useReader<Point>({
  points: () => points.value,
  xOf,
  width: () => width.value,
  from: () => nearest(points.value, (p) => day(p.on), day(props.today)),
  stride: 3,
})
</script>

<template>
  <figure class="survival">
    <svg
      :viewBox="`0 0 ${width} ${height}`"
      tabindex="0"
      role="img"
      :aria-label="say('shareStillSoundOverTime')"
      v-on="listeners"
    >
      <ValueAxis :ticks="levels" :left="left" :right="width - 12" :gap="8" />
      <DayAxis :ticks="months" :y="height - 7" />
      <path :d="band" :fill="colour" opacity="0.2" />
      <path :d="middle" :stroke="colour" stroke-width="3" fill="none" />
      <g v-if="!keeping.beyond && day(until) <= lastDay">
        <line :x1="x(day(until))" :x2="x(day(until))" :y1="y(0.9)" :y2="y(0)" :stroke="colour" stroke-dasharray="4 4" />
        <text class="mark" :x="x(day(until)) + 6" :y="y(0) - 8">{{ shortDate(until) }}</text>
      </g>
      <UprightLine of="now" :x="x(day(today))" :top="12" :bottom="y(0)" :label="say('today2')" />
      <g v-for="(c, i) in checks" :key="i">
        <circle class="check" :cx="x(day(c.on))" :cy="y(1 - c.bad / Math.max(1, c.lookedAt))" r="5.5" />
        <text
          v-if="!small && c.bad > 0"
          class="mark"
          :x="x(day(c.on)) + 9"
          :y="y(1 - c.bad / Math.max(1, c.lookedAt)) + 17"
        >
          {{ say('ofBad', { bad: c.bad, lookedAt: c.lookedAt }) }}
        </text>
      </g>
      <g v-if="at">
        <UprightLine of="reader" :x="x(day(at.on))" :top="22" :bottom="y(0)" />
        <circle :cx="x(day(at.on))" :cy="y(at.p50)" r="4" :fill="colour" />
      </g>
    </svg>
    <figcaption class="soft" aria-live="polite">
      <template v-if="at">{{
        say('soundTo', {
          on: fullDate(at.on),
          tenths: tenths(at.p50),
          tenths2: tenths(at.p10),
          tenths3: tenths(at.p90),
        })
      }}</template>
      <template v-else>{{ say('theBandHoldsChancesIn', { checks: checks.length ? 'yes' : 'no' }) }}</template>
    </figcaption>
    <TableBelow v-if="!small">
      <thead>
        <tr>
          <th>{{ say('day') }}</th>
          <th>{{ say('soundMiddle') }}</th>
          <th>{{ say('inBetween') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in points.filter((_, i) => i % 10 === 0)" :key="p.on">
          <td>{{ fullDate(p.on) }}</td>
          <td>{{ Math.round(p.p50 * 100) }} in 100</td>
          <td>{{ Math.round(p.p10 * 100) }}–{{ Math.round(p.p90 * 100) }} in 100</td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
.survival {
  margin: var(--s-8) 0 0;
}
svg {
  width: 100%;
  height: auto;
  display: block;
}
.mark {
  font-size: var(--t-small);
  font-weight: 600;
  fill: var(--ink);
}
.check {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
