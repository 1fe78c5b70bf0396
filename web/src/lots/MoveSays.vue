<script setup lang="ts">
import type { MovePreview } from '@vadose/contract/stores'
import { computed } from 'vue'
import { dateRange, inUnits, sentence, shortDate, untilDate } from '../households'

/** What a move does, in words: to how long it keeps, or to its drying. */
const props = defineProps<{ preview: MovePreview }>()
const keeps = computed(() => props.preview.keeps)
const dries = computed(() => props.preview.dries)
const here = computed(() => props.preview.from?.toLowerCase() ?? 'nowhere yet')
const there = computed(() => props.preview.to.toLowerCase())
const says = computed(() => {
  const days = keeps.value?.daysGained ?? 0
  if (Math.abs(days) < 4) return 'It makes no difference worth the steps.'
  return days > 0 ? `${days} days longer.` : `${-days} days shorter.`
})
const damp = (hours: number) =>
  hours === 0 ? 'no hour damp enough for mould in a fortnight' : `${hours} h damp enough for mould in a fortnight`
</script>

<template>
  <div v-if="keeps" class="says" aria-live="polite">
    <p>
      <span class="soft">now in {{ here }}</span
      ><br />
      {{ keeps.level === 'half' ? 'half' : '9 in 10' }} sound until
      <strong>{{ untilDate(keeps.from.nineInTenUntil.p50, keeps.from.beyond) }}</strong>
      <span class="soft">
        ({{ shortDate(keeps.from.nineInTenUntil.p10) }} – {{ shortDate(keeps.from.nineInTenUntil.p90) }})</span
      >
    </p>
    <p>
      <span class="soft">in {{ there }}</span
      ><br />
      until <strong>{{ untilDate(keeps.to.nineInTenUntil.p50, keeps.to.beyond) }}</strong>
      <span class="soft">
        ({{ shortDate(keeps.to.nineInTenUntil.p10) }} – {{ shortDate(keeps.to.nineInTenUntil.p90) }})</span
      >,
      <strong :class="keeps.daysGained < -3 ? 'bad' : 'good'">{{ says }}</strong>
    </p>
    <p class="soft">{{ sentence(keeps.to.endedBy) }} would end it there. {{ inUnits(keeps.to.why) }}</p>
  </div>
  <div v-else-if="dries" class="says" aria-live="polite">
    <p>
      <span class="soft">now in {{ here }}, still drying</span><br />
      ready <strong>{{ dateRange(dries.from.ready.p10, dries.from.ready.p90) }}</strong>
      <span class="soft"> · {{ damp(dries.from.mouldHoursAhead) }}</span>
    </p>
    <p v-if="dries.to">
      <span class="soft">in {{ there }}</span
      ><br />
      ready <strong>{{ dateRange(dries.to.ready.p10, dries.to.ready.p90) }}</strong>
      <span class="soft"> · {{ damp(dries.to.mouldHoursAhead) }}</span>
    </p>
    <p v-else class="bad">Nothing dries in {{ there }}: take it down first, or choose a place where it can hang.</p>
  </div>
</template>

<style scoped>
.says {
  display: grid;
  gap: 6px;
}
</style>
