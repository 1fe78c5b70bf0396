<script setup lang="ts">
import type { FreezersView } from '@vadose/contract/kitchen'
import { civilDateOf } from '@vadose/core/households'
import { scaleLinear, scaleTime } from 'd3-scale'
import { computed } from 'vue'
import { shortDate, temperature, useFrame } from '../households'
import { DayAxis, linePath, midnightTicks, TableBelow, ValueAxis } from '../charts'
import { say } from './say'

/** How cold the freezers have been: warmer is lower, so that a lid ajar hangs down. */
const props = defineProps<{ freezers: FreezersView['freezers'] }>()
type Freezer = FreezersView['freezers'][number]
const width = 380
const height = 190
const left = 52
const logged = computed(() => props.freezers.filter(({ log }) => log.length > 0))
const all = computed(() => logged.value.flatMap(({ log }) => log))
const frame = useFrame()
const zone = computed(() => frame.frame?.household.timeZone ?? 'UTC')
const x = computed(() => {
  const at = all.value.map((p) => Date.parse(p.at))
  return scaleTime([new Date(Math.min(...at)), new Date(Math.max(...at))], [left, width - 6])
})
const y = computed(() => {
  const t = all.value.map(({ temperatureC }) => temperatureC)
  return scaleLinear([Math.min(-22, ...t), Math.max(-12, ...t)], [16, height - 26])
})
const draw = ({ log }: Freezer) =>
  linePath(
    log,
    (p) => x.value(new Date(p.at)),
    (p) => y.value(p.temperatureC),
  )
const degrees = computed(() => y.value.ticks(4).map((t) => ({ y: y.value(t), label: temperature(t, 0) })))
const days = computed(() => {
  const [from, to] = x.value.domain() as [Date, Date]
  return midnightTicks(from, to, zone.value, 5)
    .map(({ on, at }) => ({ x: x.value(at), label: shortDate(on) }))
    .filter((d) => d.x < width - 24)
})
/** names beside their lines, none over another */
const names = computed(() => {
  const placed = logged.value
    .map((freezer) => ({ freezer, y: y.value(freezer.usualC ?? -18) }))
    .sort((a, b) => a.y - b.y)
  return placed.map((one, i) => ({ ...one, y: i === 0 ? one.y - 10 : Math.max(one.y + 18, placed[i - 1]!.y + 20) }))
})
const spells = computed(() =>
  logged.value.flatMap((freezer) => freezer.spells.map((spell) => ({ freezer, spell, key: freezer.id + spell.from }))),
)
const says = computed(() =>
  say('temperaturesOfFreezers', {
    logged: logged.value.length,
    logged2: logged.value
      .map((f) =>
        say('aboutWarmSpells', { name: f.name, temperature: temperature(f.usualC ?? -18), spells: f.spells.length }),
      )
      .join('; '),
  }),
)
</script>

<template>
  <figure v-if="logged.length > 0" class="chart">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="says">
      <ValueAxis :ticks="degrees" :left="left" :right="width - 6" />
      <line class="eighteen" :x1="left" :x2="width - 6" :y1="y(-18)" :y2="y(-18)" />
      <DayAxis :ticks="days" :y="height - 6" />
      <path v-for="(f, i) in logged" :key="f.id" :d="draw(f)" class="log" :class="`of-${i % 2}`" />
      <text v-for="n in names" :key="n.freezer.id" :x="left + 6" :y="n.y" class="axis name">
        {{ n.freezer.name }}{{ logged.indexOf(n.freezer) % 2 ? say('dotted') : '' }}
      </text>
      <g v-for="s in spells" :key="s.key">
        <text
          :x="x(new Date(s.spell.from)) > width - 70 ? width - 8 : x(new Date(s.spell.from)) - 4"
          :text-anchor="x(new Date(s.spell.from)) > width - 70 ? 'end' : 'start'"
          :y="Math.min(height - 30, y(s.spell.warmestC) + 15)"
          class="axis warm"
        >
          ▲ {{ temperature(s.spell.warmestC, 0) }}
        </text>
      </g>
    </svg>
    <TableBelow v-if="spells.length > 0">
      <tr>
        <th>{{ say('freezer') }}</th>
        <th>{{ say('on') }}</th>
        <th>{{ say('hoursWarm') }}</th>
        <th>{{ say('warmest') }}</th>
        <th>{{ say('costDaysOfLife') }}</th>
      </tr>
      <tr v-for="{ freezer, spell, key } in spells" :key="key">
        <td>{{ freezer.name }}</td>
        <td>{{ shortDate(civilDateOf(Date.parse(spell.from), zone)) }}</td>
        <td>{{ spell.hours }}</td>
        <td>{{ temperature(spell.warmestC) }}</td>
        <td>{{ spell.costDays.toFixed(1) }}</td>
      </tr>
    </TableBelow>
  </figure>
</template>

<style scoped>
.log {
  fill: none;
  stroke: var(--cold);
  stroke-width: 2;
}
.log.of-1 {
  stroke: var(--accent);
  stroke-dasharray: 2 4;
}
.eighteen {
  stroke: var(--soft);
  stroke-dasharray: 6 4;
}
.name {
  font-weight: 650;
  fill: var(--ink);
}
.warm {
  fill: var(--bad);
  font-weight: 650;
}
</style>
