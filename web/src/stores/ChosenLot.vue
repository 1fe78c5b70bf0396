<script setup lang="ts">
import type { StoredLotView } from '@vadose/contract/stores'
import { ElButton } from 'element-plus'
import { lotName } from '../almanac'
import { dateRange, sentence, untilDate, weight } from '../households'

/** The lot that was tapped in the house: how long it keeps where it is, and what can be done with it. */
defineProps<{ lot: StoredLotView }>()
defineEmits<{ move: []; open: [] }>()
</script>

<template>
  <section class="card stack" aria-label="Chosen lot">
    <h2>{{ lotName(lot) }} {{ lot.code }}</h2>
    <p v-if="lot.trouble" class="bad">Cannot be worked out: {{ lot.trouble }}</p>
    <template v-if="lot.keeps">
      <p class="soft">
        {{ weight(lot.weightG) }} in {{ lot.place?.toLowerCase() }};
        {{ lot.keeps.overdueSince ? 'its time was over on' : '9 in 10 still sound until' }}
      </p>
      <p class="figure">{{ untilDate(lot.keeps.nineInTenUntil.p50, lot.keeps.beyond) }}</p>
      <p v-if="lot.keeps.overdueSince" class="bad">Nobody has looked since: what became of it?</p>
      <p v-else class="soft">
        8 chances in 10: {{ dateRange(lot.keeps.nineInTenUntil.p10, lot.keeps.nineInTenUntil.p90) }}.
        {{ sentence(lot.keeps.endedBy) }} ends it first.
      </p>
    </template>
    <p v-else class="soft">
      {{ weight(lot.weightG) }} in {{ lot.place?.toLowerCase() }}; to be eaten first, not stored.
    </p>
    <div class="row">
      <ElButton type="primary" @click="$emit('move')">Move</ElButton>
      <ElButton @click="$emit('open')">Open</ElButton>
      <RouterLink v-if="lot.stage === 'stored'" class="el-button" :to="`/lots/${lot.code}/check`">Look over</RouterLink>
    </div>
  </section>
</template>
