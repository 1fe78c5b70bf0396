<script setup lang="ts">
/** Now, or where a chart is read: a line from top to bottom. */
defineProps<{ of: 'now' | 'reader'; x: number; top: number; bottom: number; label?: string }>()
</script>

<template>
  <g>
    <line :class="of" :x1="x" :x2="x" :y1="top" :y2="bottom" />
    <text v-if="label" class="axis now-label" :x="x + 5" :y="top + 4">{{ label }}</text>
  </g>
</template>

<style scoped>
.now {
  stroke: var(--ink);
  stroke-width: 2;
}
.now-label {
  fill: var(--ink);
}
.reader {
  stroke: var(--soft);
  stroke-width: 1.5;
  stroke-dasharray: 2 3;
}
</style>
