<script setup lang="ts">
import BarsChart from './BarsChart.vue'
import type { Drawing } from './drawing'
import PlaneChart from './PlaneChart.vue'
import PlotChart from './PlotChart.vue'
import SpansChart from './SpansChart.vue'

defineProps<{ drawing: Drawing }>()
</script>

<template>
  <PlotChart v-if="drawing.kind === 'plot'" :drawing="drawing" />
  <BarsChart v-else-if="drawing.kind === 'bars'" :drawing="drawing" />
  <PlaneChart v-else-if="drawing.kind === 'plane'" :drawing="drawing" />
  <SpansChart v-else :drawing="drawing" />
</template>
