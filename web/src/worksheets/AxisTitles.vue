<script setup lang="ts">
import type { Axis } from './drawing'
import { axisTitle } from './units'

/** What stands under and beside a chart over two axes. */
defineProps<{ x: Axis; y: Axis; width: number; height: number; box: { left: number; bottom: number } }>()
</script>

<template>
  <text class="axis title" :x="(box.left + width) / 2" :y="height - 6" text-anchor="middle">{{ axisTitle(x) }}</text>
  <text class="axis title" :transform="`translate(13 ${(height - box.bottom) / 2}) rotate(-90)`" text-anchor="middle">
    {{ axisTitle(y) }}
  </text>
</template>
