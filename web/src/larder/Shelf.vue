<script setup lang="ts">
import type { LarderLot } from '@vadose/contract/larder'
import { computed } from 'vue'
import { cropColour } from '../almanac'
import { maskOf, shapeOf } from './shapes'
import { say } from './say'

/** A lot's pieces on the shelf, the full ones and the outlines of those eaten: at most so many, then each stands for several. */
const props = defineProps<{ lot: LarderLot }>()
const most = 12
const one = 27
/** what is weighed stands in heaps of so much */
const heapG = 500
const atFirst = computed(() => props.lot.piecesAtFirst ?? Math.max(1, Math.round(props.lot.weightAtFirstG / heapG)))
const now = computed(() => props.lot.pieces ?? props.lot.weightG / heapG)
const glyphs = computed(() => Math.min(most, Math.max(1, atFirst.value)))
const full = computed(() =>
  Math.min(
    glyphs.value,
    Math.max(props.lot.weightG > 0 ? 1 : 0, Math.round((now.value / Math.max(1, atFirst.value)) * glyphs.value)),
  ),
)
const says = computed(() =>
  say('inLeft', { what: Math.round(Math.min(1, now.value / Math.max(1, atFirst.value)) * 100) }),
)
const shape = computed(() => shapeOf(props.lot))
</script>

<template>
  <div class="glyphs" role="img" :aria-label="says" :style="{ '--crop': cropColour(lot.crop) }">
    <i :style="{ width: `${full * one}px`, maskImage: maskOf(shape, true) }"></i>
    <i
      v-if="glyphs > full"
      class="gone"
      :style="{ width: `${(glyphs - full) * one}px`, maskImage: maskOf(shape, false) }"
    ></i>
  </div>
</template>

<style scoped>
.glyphs {
  display: flex;
  height: 37px;
  padding-left: var(--s-2);
}
i {
  display: block;
  height: 36px;
  background: var(--crop);
  mask-size: 27px 36px;
  mask-repeat: repeat-x;
  mask-mode: luminance;
}
.gone {
  opacity: 0.75;
}
</style>
