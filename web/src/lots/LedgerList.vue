<script setup lang="ts">
import type { LotEventView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { yearDate } from '../household'

const props = defineProps<{ events: LotEventView[] }>()
const newestFirst = computed(() => [...props.events].reverse())
const signed = (n: number, unit: string) =>
  n === 0 ? '' : `${n > 0 ? '+' : '−'}${Math.abs(n).toLocaleString('en-GB')}${unit}`
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
          <td>{{ e.says }}</td>
          <td>{{ signed(e.weightG, ' g') }}</td>
          <td>{{ signed(e.pieces, '') }}</td>
        </tr>
      </tbody>
    </table>
    <p class="soft">
      Nothing here is ever changed. A wrong entry is put right with Correct, which is an entry of its own.
    </p>
  </details>
</template>
