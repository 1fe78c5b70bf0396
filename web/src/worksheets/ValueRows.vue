<script setup lang="ts">
import type { ScaleLinear } from 'd3-scale'
import { DayAxis } from '../charts'
import type { Axis } from './drawing'
import { axisTitle, number } from './units'

/** Rows along one value axis: grid lines, the axis below, and each row's name, above its mark where it is narrow. */
defineProps<{
  names: string[]
  axis: Axis
  scale: ScaleLinear<number, number>
  ticks: number
  row: number
  height: number
  left: number
  narrow: boolean
}>()
</script>

<template>
  <DayAxis
    :ticks="scale.ticks(ticks).map((t) => ({ x: scale(t), label: number(t, 1) }))"
    :y="height - 26"
    :lines="{ top: 4, bottom: height - 42 }"
  />
  <text class="axis title" :x="(scale.range()[0]! + scale.range()[1]!) / 2" :y="height - 6" text-anchor="middle">
    {{ axisTitle(axis) }}
  </text>
  <g v-for="(name, i) in names" :key="i" :transform="`translate(0 ${i * row})`">
    <text
      class="name"
      :x="narrow ? left : left - 10"
      :y="narrow ? 15 : row / 2 + 4"
      :text-anchor="narrow ? 'start' : 'end'"
    >
      {{ name }}
    </text>
    <slot :index="i" />
  </g>
</template>

<style scoped>
.name {
  font-size: var(--t-note);
  fill: var(--ink);
}
</style>
