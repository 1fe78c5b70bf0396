<script setup lang="ts">
/** Days, months, hours or figures along a chart, each with its line up the chart where `lines` says from where to where. */
defineProps<{
  ticks: readonly { x: number; label: string; /** stands out among the others */ strong?: boolean }[]
  y: number
  lines?: { top: number; bottom: number }
  /** where a label begins beside its line instead of standing in its middle */
  beside?: number
}>()
</script>

<template>
  <g v-for="tick in ticks" :key="tick.x">
    <line v-if="lines" class="grid-line" :x1="tick.x" :x2="tick.x" :y1="lines.top" :y2="lines.bottom" />
    <text
      v-if="tick.label"
      class="axis"
      :class="{ strong: tick.strong }"
      :x="tick.x + (beside ?? 0)"
      :y="y"
      :text-anchor="beside === undefined ? 'middle' : 'start'"
    >
      {{ tick.label }}
    </text>
  </g>
</template>

<style scoped>
.strong {
  fill: var(--ink);
  font-weight: 650;
}
</style>
