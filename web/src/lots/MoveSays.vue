<script setup lang="ts">
import type { MovePreview } from '@vadose/contract/stores'
import { computed } from 'vue'
import { inUnits, sentence, shortDate, untilDate } from '../households'

const props = defineProps<{ preview: MovePreview }>()
const says = computed(() => {
  const days = props.preview.daysGained
  if (Math.abs(days) < 4) return 'It makes no difference worth the steps.'
  return days > 0 ? `${days} days longer.` : `${-days} days shorter.`
})
</script>

<template>
  <div class="says" aria-live="polite">
    <p>
      <span class="soft">now in {{ preview.from.place?.toLowerCase() ?? 'nowhere yet' }}</span
      ><br />
      {{ preview.level === 'half' ? 'half' : '9 in 10' }} sound until
      <strong>{{ untilDate(preview.from.nineInTenUntil.p50, preview.from.beyond) }}</strong>
      <span class="soft">
        ({{ shortDate(preview.from.nineInTenUntil.p10) }} – {{ shortDate(preview.from.nineInTenUntil.p90) }})</span
      >
    </p>
    <p>
      <span class="soft">in {{ preview.to.place.toLowerCase() }}</span
      ><br />
      until <strong>{{ untilDate(preview.to.nineInTenUntil.p50, preview.to.beyond) }}</strong>
      <span class="soft">
        ({{ shortDate(preview.to.nineInTenUntil.p10) }} – {{ shortDate(preview.to.nineInTenUntil.p90) }})</span
      >,
      <strong :class="preview.daysGained < -3 ? 'bad' : 'good'">{{ says }}</strong>
    </p>
    <p class="soft">{{ sentence(preview.to.endedBy) }} would end it there. {{ inUnits(preview.to.why) }}</p>
  </div>
</template>

<style scoped>
.says {
  display: grid;
  gap: 6px;
}
</style>
