<script setup lang="ts">
/** Days, months or figures along a chart. */
defineProps<{ ticks: readonly { x: number; label: string }[]; y: number }>()
</script>

<template>
  <text v-for="tick in ticks" :key="tick.x" class="axis" :x="tick.x" :y="y" text-anchor="middle">{{ tick.label }}</text>
</template>
