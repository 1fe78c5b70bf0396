<script setup lang="ts">
import type { LarderLot } from '@vadose/contract/larder'
import { computed } from 'vue'
import { cropColour, cropOf, outlineOf } from '../almanac'

/** A lot's pieces on the shelf, full ones and the outline of those eaten: at most 14 glyphs. */
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
const outline = computed(() => outlineOf(cropOf(props.lot.crop), props.lot.form))
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
      <path :d="outline" />
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
  stroke-width: 1.3;
  stroke-linejoin: round;
  stroke-linecap: round;
}
.gone path {
  fill: none;
  stroke-dasharray: 2 2;
  opacity: 0.6;
}
</style>
