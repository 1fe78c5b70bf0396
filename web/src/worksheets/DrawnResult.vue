<script setup lang="ts">
import { computed } from 'vue'
import BarsChart from './BarsChart.vue'
import type { Drawing } from './drawing'
import PlaneChart from './PlaneChart.vue'
import PlotChart from './PlotChart.vue'
import { drawingInUnits } from './sheet-words'
import SpansChart from './SpansChart.vue'

const props = defineProps<{ drawing: Drawing }>()
const shown = computed(() => drawingInUnits(props.drawing))
</script>

<template>
  <PlotChart v-if="shown.kind === 'plot'" :drawing="shown" />
  <BarsChart v-else-if="shown.kind === 'bars'" :drawing="shown" />
  <PlaneChart v-else-if="shown.kind === 'plane'" :drawing="shown" />
  <SpansChart v-else :drawing="shown" />
</template>
