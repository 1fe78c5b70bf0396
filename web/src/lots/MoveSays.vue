<script setup lang="ts">
import { endSaid } from '@vadose/core/almanac'
import { sayFact } from '../voice'
import type { MovePreview } from '@vadose/contract/stores'
import { computed } from 'vue'
import { dateRange, sentence, shortDate, untilDate } from '../households'
import { say } from './say'

/** What a move does, in words: to how long it keeps, or to its drying. */
const props = defineProps<{ preview: MovePreview }>()
const keeps = computed(() => props.preview.keeps)
const dries = computed(() => props.preview.dries)
const here = computed(() => props.preview.from?.toLowerCase() ?? say('nowhereYet'))
const there = computed(() => props.preview.to.toLowerCase())
const says = computed(() => {
  const days = keeps.value?.daysGained ?? 0
  if (Math.abs(days) < 4) return say('itMakesNoDifferenceWorth')
  return days > 0 ? say('daysLonger', { days }) : say('daysShorter', { days: -days })
})
const damp = (hours: number) => (hours === 0 ? say('noHourDampEnoughFor') : say('hDampEnoughForMould', { hours }))
</script>

<template>
  <div v-if="keeps" class="says" aria-live="polite">
    <p>
      <span class="soft">{{ say('nowIn', { here }) }}</span><br />
      {{ say('halfSoundUntil', { level: keeps.level === 'half' ? 'yes' : 'no' }) }}
      <strong>{{ untilDate(keeps.from.nineInTenUntil.p50, keeps.from.beyond) }}</strong>
      <span class="soft">
        ({{ shortDate(keeps.from.nineInTenUntil.p10) }} – {{ shortDate(keeps.from.nineInTenUntil.p90) }})</span
      >
    </p>
    <p>
      <span class="soft">in {{ there }}</span
      ><br />
      {{ say('until') }} <strong>{{ untilDate(keeps.to.nineInTenUntil.p50, keeps.to.beyond) }}</strong>
      <span class="soft">
        ({{ shortDate(keeps.to.nineInTenUntil.p10) }} – {{ shortDate(keeps.to.nineInTenUntil.p90) }})</span
      >,
      <strong :class="keeps.daysGained < -3 ? 'bad' : 'good'">{{ says }}</strong>
    </p>
    <p class="soft">
      {{
        say('wouldEndItThere', { endedBy: sentence(sayFact(endSaid(keeps.to.endedBy))), why: sayFact(keeps.to.why) })
      }}
    </p>
  </div>
  <div v-else-if="dries" class="says" aria-live="polite">
    <p>
      <span class="soft">{{ say('nowInStillDrying', { here }) }}</span><br />
      {{ say('ready2') }} <strong>{{ dateRange(dries.from.ready.p10, dries.from.ready.p90) }}</strong>
      <span class="soft"> · {{ damp(dries.from.mouldHoursAhead) }}</span>
    </p>
    <p v-if="dries.to">
      <span class="soft">in {{ there }}</span
      ><br />
      {{ say('ready2') }} <strong>{{ dateRange(dries.to.ready.p10, dries.to.ready.p90) }}</strong>
      <span class="soft"> · {{ damp(dries.to.mouldHoursAhead) }}</span>
    </p>
    <p v-else class="bad">{{ say('nothingDriesInTakeIt', { there }) }}</p>
  </div>
</template>

<style scoped>
.says {
  display: grid;
  gap: var(--s-6);
}
</style>
