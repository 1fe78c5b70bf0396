<script setup lang="ts">
import { computed } from 'vue'

/** A pile that gets smaller as it is sorted: our own drawing, the same every time. */
const props = defineProps<{ share: number; colour: string; outline: string }>()
const most = 46
/** pieces from the bottom row up, each row shorter than the one below */
const places = Array.from({ length: most }, (_, i) => {
  let row = 0
  let before = 0
  for (let width = 13; i >= before + width; width -= 2) {
    before += width
    row++
  }
  const width = 13 - 2 * row
  const wobble = ((i * 37) % 11) - 5
  return {
    x: 120 + (i - before - (width - 1) / 2) * 15 + wobble * 0.5,
    y: 92 - row * 14 + wobble * 0.4,
    turn: wobble * 9,
  }
})
const shown = computed(() => places.slice(0, Math.ceil(most * Math.max(0, Math.min(1, props.share)))))
</script>

<template>
  <svg viewBox="0 0 240 106" aria-hidden="true">
    <g v-for="(p, i) in shown" :key="i" :transform="`translate(${p.x} ${p.y}) rotate(${p.turn})`">
      <path :d="outline" transform="scale(0.72) translate(-8 -20)" :fill="colour" stroke="#3b2a1a" stroke-width="1.3" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  width: min(50%, 260px);
  flex: none;
}
</style>
