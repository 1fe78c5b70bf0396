<script setup lang="ts">
import { computed } from 'vue'
import { weight } from '../households'
import { say } from './say'

/** What goes into the pot on the left, what comes out of it on the right, drawn to weight. */
const props = defineProps<{
  parts: { name: string; weightG: number; colour: string }[]
  outG: number
  waterG: number
  wasteG: number
  /** “11 portions” */
  makes: string
}>()
const width = 620
const height = 190
const bar = 118
const inG = computed(() => props.parts.reduce((sum, { weightG }) => sum + weightG, 0))
const scale = computed(() => (height - 26) / Math.max(1, inG.value))
const stack = <T extends { weightG: number }>(parts: readonly T[]) => {
  let y = 14
  return parts.map((part) => {
    const h = part.weightG * scale.value
    const at = { ...part, y, h }
    y += h
    return at
  })
}
const left = computed(() => stack(props.parts.filter(({ weightG }) => weightG > 0)))
const right = computed(() =>
  stack(
    [
      { name: props.makes, weightG: props.outG, kind: 'out' },
      { name: 'water', weightG: props.waterG, kind: 'water' },
      { name: 'trimmings', weightG: props.wasteG, kind: 'waste' },
    ].filter(({ weightG }) => weightG > 0),
  ),
)
const says = computed(() =>
  say('goInOut', {
    inG: weight(inG.value),
    parts: props.parts.map((p) => `${p.name} ${weight(p.weightG)}`).join(', '),
    right: right.value.map((p) => `${p.name} ${weight(p.weightG)}`).join(', '),
  }),
)
/** a band from the left stack to the right one */
const ribbon = (y0: number, y1: number, h: number) => {
  const [x0, x1] = [bar + 130, width - bar - 130]
  const m = (x0 + x1) / 2
  return `M${x0} ${y0}C${m} ${y0} ${m} ${y1} ${x1} ${y1}V${y1 + h}C${m} ${y1 + h} ${m} ${y0 + h} ${x0} ${y0 + h}Z`
}
/** the bands in the order they lie: a part goes to what is at its height */
const ribbons = computed(() => {
  const cuts = [...left.value.flatMap((p) => [p.y, p.y + p.h]), ...right.value.flatMap((p) => [p.y, p.y + p.h])].sort(
    (a, b) => a - b,
  )
  return cuts.slice(1).flatMap((to, i) => {
    const from = cuts[i]!
    const part = left.value.find((p) => p.y <= from + 0.01 && p.y + p.h >= to - 0.01)
    const out = right.value.find((p) => p.y <= from + 0.01 && p.y + p.h >= to - 0.01)
    return part && out && to - from > 0.3
      ? [{ d: ribbon(from, from, to - from), colour: part.colour, kind: out.kind }]
      : []
  })
})
/** names of thin parts are drawn apart, so that none covers another */
const spread = (parts: { y: number; h: number }[]) => {
  let last = -Infinity
  return parts.map((p) => (last = Math.max(p.y + p.h / 2, last + 16)))
}
const leftNames = computed(() => spread(left.value))
const rightNames = computed(() => spread(right.value))
</script>

<template>
  <svg :viewBox="`0 0 ${width} ${height}`" class="flow" role="img" :aria-label="says">
    <defs>
      <pattern id="pot-water" width="6" height="6" patternUnits="userSpaceOnUse">
        <path d="M0 4q1.500-2 3 0t3 0" fill="none" stroke="var(--cold)" stroke-width="1.1" />
      </pattern>
      <pattern id="pot-waste" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path d="M0 0v6" stroke="var(--soft)" stroke-width="1.6" />
      </pattern>
    </defs>
    <path
      v-for="(r, i) in ribbons"
      :key="i"
      :d="r.d"
      :style="{ fill: r.colour, opacity: r.kind === 'out' ? 0.42 : 0.14 }"
    />
    <g v-for="(p, i) in left" :key="p.name + i">
      <rect :x="bar + 108" :y="p.y" width="22" :height="Math.max(1, p.h - 1)" :style="{ fill: p.colour }" />
      <text :x="bar + 100" :y="leftNames[i]! + 4" text-anchor="end" class="axis">
        <tspan class="name">{{ p.name }}</tspan>
        {{ weight(p.weightG) }}
      </text>
    </g>
    <g v-for="(p, i) in right" :key="p.name">
      <rect
        :x="width - bar - 130"
        :y="p.y"
        width="22"
        :height="Math.max(1, p.h - 1)"
        class="end"
        :class="p.kind"
        :fill="p.kind === 'water' ? 'url(#pot-water)' : p.kind === 'waste' ? 'url(#pot-waste)' : 'var(--accent)'"
      />
      <text :x="width - bar - 100" :y="rightNames[i]! + 4" class="axis">
        <tspan class="name">{{ p.name }}</tspan>
        {{ weight(p.weightG) }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.flow {
  width: 100%;
  max-width: 700px;
  display: block;
}
.end {
  stroke: var(--line);
}
.name {
  font-weight: 650;
  fill: var(--ink);
}
</style>
