<script setup lang="ts">
/** Lines across a chart, each with its value at the left. */
defineProps<{
  ticks: readonly { y: number; label: string; /** px higher than its line */ up?: number }[]
  left: number
  right: number
  /** between a value and its line */
  gap?: number
}>()
</script>

<template>
  <g v-for="tick in ticks" :key="tick.y">
    <line class="grid-line" :x1="left" :x2="right" :y1="tick.y" :y2="tick.y" />
    <text class="axis" :x="left - (gap ?? 6)" :y="tick.y + 4 - (tick.up ?? 0)" text-anchor="end">{{ tick.label }}</text>
  </g>
</template>
