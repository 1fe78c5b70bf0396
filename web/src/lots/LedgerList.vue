<script setup lang="ts">
import type { LotEventView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { ElButton } from 'element-plus'
import { inUnits, weight, yearDate } from '../households'
import { useAct } from './act'
import { useLastAct } from './last-act'

const props = defineProps<{ events: LotEventView[]; code: string }>()
const { act, refusal, busy } = useAct()
const last = useLastAct()
/** The last that stands, as if it had been done just now. */
async function undo(event: LotEventView) {
  last.keep({ code: props.code, entry: event.id, says: event.says })
  await last.undo()
}
const newestFirst = computed(() => [...props.events].reverse())
const signed = (n: number, words: (n: number) => string = String) =>
  n === 0 ? '' : `${n > 0 ? '+' : '−'}${words(Math.abs(n))}`
</script>

<template>
  <details class="card table">
    <summary>Everything it ever did ({{ events.length }})</summary>
    <table>
      <thead>
        <tr>
          <th>Day</th>
          <th>What</th>
          <th>Weight</th>
          <th>Pieces</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="e in newestFirst" :key="e.id">
          <td>{{ yearDate(e.on) }}</td>
          <td :class="{ struck: e.struck }">
            {{ e.kind === 'noted' ? e.says : inUnits(e.says) }}<template v-if="e.struck"> (struck out)</template>
            <ElButton v-else-if="e.undoable" size="small" :disabled="last.busy" @click="undo(e)">Undo</ElButton>
            <ElButton
              v-else-if="e.kind === 'weighed'"
              size="small"
              :disabled="busy"
              @click="act(code, { act: 'strike', event: e.id, why: 'read or typed wrong' })"
              >Strike out</ElButton
            >
          </td>
          <td>{{ signed(e.weightG, weight) }}</td>
          <td>{{ signed(e.pieces) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="refusal" class="bad" role="alert">{{ refusal.message }}</p>
    <p class="soft">
      Nothing here is ever changed. The last thing done is undone, a wrong weighing struck out, anything else put right
      with Correct; each is an entry of its own.
    </p>
  </details>
</template>

<style scoped>
.struck {
  text-decoration: line-through;
  color: var(--soft);
}
.el-button {
  text-decoration: none;
  min-height: 30px;
}
</style>
