<script setup lang="ts">
import type { SortFate } from '@vadose/core/lots'
import { computed, ref } from 'vue'
import { weight } from '../households'
import HeapSwatch from './HeapSwatch.vue'
import { heapsWithKeys, type HeapSum, type TableHeap } from './sort-table'
import { say } from './say'

/** The heaps of the sorting table, each a place to throw what is in the hand. */
const props = defineProps<{ heaps: TableHeap[]; sums: ReadonlyMap<SortFate, HeapSum> }>()
const emit = defineEmits<{ throwOn: [fate: SortFate] }>()
const more = ref(false)
const shown = computed(() => (more.value ? props.heaps : props.heaps.slice(0, heapsWithKeys)))
const says = (fate: SortFate) => {
  const sum = props.sums.get(fate)
  return sum ? `${sum.pieces ? `${sum.pieces}, ` : ''}${weight(sum.weightG)}` : say('noneYet')
}
</script>

<template>
  <div class="heaps">
    <button
      v-for="(h, i) in shown"
      :key="h.fate"
      type="button"
      class="heap"
      :aria-label="`${h.label}: ${says(h.fate)}`"
      @click="emit('throwOn', h.fate)"
    >
      <HeapSwatch class="mark" :heap="h" />
      <span>
        <strong
          >{{ h.label }} <kbd v-if="i < heapsWithKeys">{{ i + 1 }}</kbd></strong
        >
        <b>{{ says(h.fate) }}</b>
        <span class="soft">{{ h.hint }}</span>
      </span>
    </button>
    <button type="button" class="heap other" :aria-expanded="more" @click="more = !more">
      {{ more ? say('fewerHeaps') : say('otherHeapsSizesGivenBurnt') }}
    </button>
  </div>
</template>

<style scoped>
.heaps {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: var(--s-12);
}
.heap {
  display: flex;
  gap: var(--s-12);
  min-height: 92px;
  padding: 0 var(--s-8) 0 0;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  color: inherit;
  text-align: left;
  cursor: pointer;
  overflow: hidden;
}
.heap > span {
  padding: var(--s-8) 0;
  display: grid;
  align-content: start;
  gap: 1px;
  min-width: 0;
}
.heap b {
  font: 650 var(--t-head) var(--font-head);
}
.heap .soft {
  margin: 0;
  font-size: var(--t-small);
}
.mark {
  flex: none;
  width: 16px;
}
.other {
  grid-column: 1 / -1;
  min-height: 44px;
  align-items: center;
  justify-content: center;
  padding: var(--s-8);
  color: var(--soft);
}
@media (max-width: 820px) {
  .heaps {
    grid-template-columns: 1fr 1fr;
  }
  .heap {
    min-height: 78px;
  }
}
</style>
