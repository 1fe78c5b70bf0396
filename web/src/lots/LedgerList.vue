<script setup lang="ts">
import type { LotEventView, LotRow } from '@vadose/contract/lots'
import { computed, defineAsyncComponent, ref } from 'vue'
import { ElButton } from 'element-plus'
import { weight, yearDate } from '../households'
import { useLastAct } from './last-act'
import { sayFact } from '../voice'
import { say } from './say'
import { Figures, Fold } from '../kit'

/** its calendar is not part of the first page */
const EntryRight = defineAsyncComponent(() => import('./EntryRight.vue'))
const props = defineProps<{ events: LotEventView[]; lot: LotRow }>()
const last = useLastAct()
const open = ref<number>()
/** The last that stands, as if it had been done just now. */
async function undo(event: LotEventView) {
  last.keep({ code: props.lot.code, entry: event.id, says: event.says })
  await last.undo()
}
const newestFirst = computed(() => [...props.events].reverse())
const signed = (n: number, words: (n: number) => string = String) =>
  n === 0 ? '' : `${n > 0 ? '+' : '−'}${words(Math.abs(n))}`
/** what only speaks of other entries is undone, not put right */
const rightable = (e: LotEventView) => !['undone', 'restated', 'relabelled', 'tagged'].includes(e.kind)
</script>

<template>
  <Fold class="card" :label="say('everythingItEverDid', { events: events.length })">
    <Figures :label="say('everythingItEverDid', { events: events.length })">
      <thead>
        <tr>
          <th>{{ say('day') }}</th>
          <th>{{ say('what') }}</th>
          <th>{{ say('weight2') }}</th>
          <th>{{ say('pieces') }}</th>
        </tr>
      </thead>
      <tbody>
        <template v-for="e in newestFirst" :key="e.id">
          <tr>
            <td>{{ yearDate(e.on) }}</td>
            <td :class="{ struck: e.struck }">
              {{ sayFact(e.says) }}<template v-if="e.struck">{{ say('struckOut') }}</template>
              <template v-else>
                <RouterLink v-if="e.other" class="code" :to="`/lots/${e.other}`">{{ e.other }}</RouterLink>
                <ElButton v-if="e.undoable" size="small" :disabled="last.busy" @click="undo(e)">{{
                  say('undo')
                }}</ElButton>
                <ElButton
                  v-if="rightable(e)"
                  size="small"
                  :aria-expanded="open === e.id"
                  @click="open = open === e.id ? undefined : e.id"
                  >{{ say('putRight2') }}</ElButton
                >
              </template>
            </td>
            <td>{{ signed(e.weightG, weight) }}</td>
            <td>{{ signed(e.pieces) }}</td>
          </tr>
          <tr v-if="open === e.id">
            <td></td>
            <td colspan="3"><EntryRight :lot="lot" :entry="e" @done="open = undefined" /></td>
          </tr>
        </template>
      </tbody>
    </Figures>
    <p class="soft">
      {{ say('nothingHereIsEverErased') }}
    </p>
  </Fold>
</template>

<style scoped>
.struck {
  text-decoration: line-through;
  color: var(--soft);
}
.el-button {
  text-decoration: none;
  min-height: 30px;
  margin-left: var(--s-6);
}
.code {
  margin-right: var(--s-6);
}
</style>
