<script lang="ts">
/** What has been typed for a heap. */
export interface HeapEntry {
  kilos: string
  pieces: string
  placeId: string
}
</script>

<script setup lang="ts">
import type { PlaceView } from '@vadose/contract/places'
import type { HeapTemplate } from '@vadose/core/crops'
import { ElInput } from 'element-plus'
import { bareLarge, largeUnit } from '../household'

defineProps<{ heap: HeapTemplate; many: string; restG: number; places: PlaceView[] }>()
const entry = defineModel<HeapEntry>({ required: true })
const change = (part: Partial<HeapEntry>) => (entry.value = { ...entry.value, ...part })
</script>

<template>
  <div class="heap">
    <div>
      <h3>{{ heap.label }}</h3>
      <p class="soft">{{ heap.hint }}</p>
    </div>
    <div class="row">
      <ElInput
        :model-value="entry.kilos"
        class="kilos"
        inputmode="decimal"
        :placeholder="restG > 0 ? bareLarge(restG) : '0'"
        :aria-label="`${heap.label}, ${largeUnit()}`"
        @update:model-value="change({ kilos: $event })"
      >
        <template #suffix>{{ largeUnit() }}</template>
      </ElInput>
      <ElInput
        :model-value="entry.pieces"
        class="kilos"
        inputmode="numeric"
        placeholder="count"
        :aria-label="`${heap.label}, number of ${many}`"
        @update:model-value="change({ pieces: $event })"
      />
      <select
        v-if="heap.fate !== 'bin'"
        :value="entry.placeId"
        :aria-label="`Place for ${heap.label}`"
        @change="change({ placeId: ($event.target as HTMLSelectElement).value })"
      >
        <option v-for="p in places" :key="p.id" :value="p.id">{{ p.name }}</option>
      </select>
    </div>
  </div>
</template>

<style scoped>
.heap {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 8px 16px;
  align-items: center;
  padding: 7px 0;
}
.kilos {
  width: 104px;
}
select {
  max-width: 130px;
}
@media (max-width: 820px) {
  .heap {
    grid-template-columns: 1fr;
  }
  select {
    min-height: 48px;
  }
}
</style>
