<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import type { GlutPlan } from '@vadose/core/kitchen'
import { ElButton } from 'element-plus'
import { cropOf, lotName } from '../almanac'
import { weight } from '../households'
import { say } from './say'
import { sayFact } from '../voice'

/** What no evening has room for, and what else may become of it. */
defineProps<{ rest: GlutPlan['leftOver']; lots: readonly LotRow[]; more: boolean }>()
defineEmits<{ evening: [] }>()
const whyNot = {
  time: say('noTimeForIt'),
  trays: say('noTrayForIt'),
  freezer: say('theFreezerIsFullFor'),
  'too-old': say('tooOldToFreezeWell'),
} as const
</script>

<template>
  <section class="card">
    <h2>{{ say('whatDoesNotFit') }}</h2>
    <div v-for="l in rest" :key="l.heap" class="row">
      <template v-if="lots[l.heap]">
        <p>
          <strong>{{ lotName(lots[l.heap]!) }}</strong> {{ weight(l.kg * 1000) }}
          <span class="soft">{{ whyNot[l.why] }}. {{ sayFact(l.instead) }}</span>
        </p>
        <ElButton v-if="more" @click="$emit('evening')">{{ say('anotherEvening') }}</ElButton>
        <RouterLink class="el-button" :to="{ path: '/kitchen', query: { lots: lots[l.heap]!.code } }">{{
          say('cookIt')
        }}</RouterLink>
        <RouterLink v-if="cropOf(l.crop).dehydrating" class="el-button" :to="`/lots/${lots[l.heap]!.code}/dry`">{{
          say('dryIt')
        }}</RouterLink>
      </template>
    </div>
  </section>
</template>

<style scoped>
.row {
  justify-content: space-between;
  padding: var(--s-6) 0;
}
p {
  flex: 1;
  min-width: 220px;
}
</style>
