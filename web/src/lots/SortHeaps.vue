<script setup lang="ts">
import type { SortFate } from '@vadose/core/lots'
import { weight } from '../households'
import HeapSwatch from './HeapSwatch.vue'
import type { HeapSum, TableHeap } from './sort-table'

/** The heaps of the sorting table, each a place to throw what is in the hand. */
defineProps<{ heaps: TableHeap[]; sums: ReadonlyMap<SortFate, HeapSum> }>()
const emit = defineEmits<{ throwOn: [fate: SortFate] }>()
const more = defineModel<boolean>('more', { required: true })
</script>

<template>
  <div class="heaps">
    <button
      v-for="(h, i) in heaps"
      :key="h.fate"
      type="button"
      class="heap"
      :aria-label="`${h.label}: ${sums.get(h.fate)!.pieces ?? ''} ${weight(sums.get(h.fate)!.weightG)}`"
      @click="emit('throwOn', h.fate)"
    >
      <HeapSwatch :heap="h" />
      <span>
        <strong
          >{{ h.label }} <kbd v-if="i < 8">{{ i + 1 }}</kbd></strong
        >
        <b>{{
          sums.get(h.fate)!.weightG === 0
            ? 'none yet'
            : `${sums.get(h.fate)!.pieces ? `${sums.get(h.fate)!.pieces}, ` : ''}${weight(sums.get(h.fate)!.weightG)}`
        }}</b>
        <span class="soft">{{ h.hint }}</span>
      </span>
    </button>
    <button type="button" class="heap other" :aria-expanded="more" @click="more = !more">
      {{ more ? 'Fewer heaps' : 'Other heaps: sizes, given, burnt …' }}
    </button>
  </div>
</template>

<style scoped>
.heaps {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}
.heap {
  display: flex;
  gap: 10px;
  min-height: 92px;
  padding: 0 10px 0 0;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  color: inherit;
  text-align: left;
  cursor: pointer;
  overflow: hidden;
}
.heap > span {
  padding: 9px 0;
  display: grid;
  align-content: start;
  gap: 1px;
  min-width: 0;
}
.heap b {
  font: 650 18px var(--font-head);
}
.heap .soft {
  margin: 0;
  font-size: 13px;
}
.heap > @media (max-width: 820px) {
  .heaps {
    grid-template-columns: 1fr 1fr;
  }
  .heap {
    min-height: 78px;
  }
}
</style>
