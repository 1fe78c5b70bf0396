<script setup lang="ts">
import { line } from 'd3-shape'
import { computed } from 'vue'
import { straight } from '../charts'
import { say } from './say'

/** Humidity of the last three days as a small line. */
const props = defineProps<{ values: number[]; ok: boolean }>()
const path = computed(() => {
  const x = straight([0, Math.max(1, props.values.length - 1)], [1, 71])
  const lo = Math.min(...props.values)
  const hi = Math.max(...props.values)
  const y = straight([Math.min(lo, hi - 10), Math.max(hi, lo + 10)], [17, 3])
  return line<number>((_, i) => x(i), y)(props.values) ?? ''
})
const says = computed(() =>
  say('humidityOverThreeDaysTo', {
    what: Math.round(Math.min(...props.values)),
    what2: Math.round(Math.max(...props.values)),
  }),
)
</script>

<template>
  <svg v-if="values.length" width="72" height="20" role="img" :aria-label="says">
    <path :d="path" fill="none" :stroke="ok ? 'var(--good)' : 'var(--bad)'" stroke-width="1.8" />
  </svg>
</template>
