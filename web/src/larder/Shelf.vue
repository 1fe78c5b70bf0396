<script setup lang="ts">
import type { LarderLot } from '@vadose/contract/larder'
import { computed } from 'vue'
import { cropColour } from '../almanac'

/** A lot's bulbs on the shelf, full ones and the outline of those eaten: at most 14 glyphs. */
const props = defineProps<{ lot: LarderLot }>()
const most = 14
const atFirst = computed(() => props.lot.piecesAtFirst ?? Math.max(1, Math.round(props.lot.weightAtFirstG / 500)))
const now = computed(() => props.lot.pieces ?? props.lot.weightG / 500)
const glyphs = computed(() => Math.min(most, atFirst.value))
const full = computed(() =>
  Math.min(
    glyphs.value,
    Math.max(props.lot.weightG > 0 ? 1 : 0, Math.round((now.value / Math.max(1, atFirst.value)) * glyphs.value)),
  ),
)
const says = computed(() => `${Math.round((now.value / Math.max(1, atFirst.value)) * 100)} in 100 left`)
const garlic = computed(() => props.lot.crop.startsWith('garlic'))
</script>

<template>
  <svg :viewBox="`0 0 ${most * 20} 34`" class="glyphs" role="img" :aria-label="says">
    <g
      v-for="i in glyphs"
      :key="i"
      :transform="`translate(${(i - 1) * 20 + 2} 2)`"
      :class="{ gone: i > full }"
      :style="{ '--crop': cropColour(lot.crop) }"
    >
      <path
        v-if="garlic"
        d="M8 1c.6 5 .4 7-2 9C2 13 0 17 0 21.500c0 5 3.500 9 8 9s8-4 8-9c0-4.500-2-8.500-6-11.500-2.400-2-2.600-4-2-9z M8 12c-2 5-2 12 0 18 M8 12c2 5 2 12 0 18"
      />
      <path
        v-else
        d="M8 2c.3 5-1 6.500-3 8C2 12 0 15.500 0 20c0 6 3.500 10.500 8 10.500S16 26 16 20c0-4.500-2-8-5-10-2-1.500-3.300-3-3-8z M3 17c1 5 2 9 4 12"
      />
    </g>
  </svg>
</template>

<style scoped>
.glyphs {
  width: 280px;
  max-width: 100%;
  display: block;
}
path {
  fill: color-mix(in srgb, var(--crop) 55%, var(--card));
  stroke: var(--crop);
  stroke-width: 1.4;
}
.gone path {
  fill: none;
  stroke-dasharray: 2 2;
  opacity: 0.6;
}
</style>
