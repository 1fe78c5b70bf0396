<script setup lang="ts">
import { computed } from 'vue'
import { drawings, signOf } from './signs'

/** A fault as it looks, drawn in a few lines. */
const props = defineProps<{ fault: string }>()
const drawing = computed(() => drawings[signOf(props.fault)])
</script>

<template>
  <svg viewBox="0 0 48 48" aria-hidden="true">
    <path :d="drawing.piece" class="piece" />
    <path v-if="drawing.filled" :d="drawing.filled" class="filled" />
    <path v-if="drawing.fine" :d="drawing.fine" class="fine" />
  </svg>
</template>

<style scoped>
svg {
  width: 44px;
  height: 44px;
  flex: none;
}
path {
  stroke-linejoin: round;
  stroke-linecap: round;
}
.piece {
  fill: color-mix(in srgb, var(--stock) 20%, var(--card));
  stroke: var(--ink);
  stroke-width: 1.6;
}
.filled {
  fill: color-mix(in srgb, var(--bad) 55%, var(--card));
}
.fine {
  fill: none;
  stroke: var(--ink);
  stroke-width: 1.8;
}
</style>
