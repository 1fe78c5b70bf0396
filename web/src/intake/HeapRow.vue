<script setup lang="ts">
import type { PlaceView } from '@vadose/contract/places'
import { hungInWords, type Crop, type HeapTemplate } from '@vadose/core/almanac'
import { computed } from 'vue'
import { bareLarge, gramsFromSum, largeUnit, weight } from '../households'
import { Amount, Pick } from '../kit'
import { countFrom } from '../lots'
import type { HeapEntry } from './harvest'
import TallyField from './TallyField.vue'
import { say } from './say'
import { sayWord } from '../voice'

const props = defineProps<{
  heap: HeapTemplate
  crop: Crop
  restG: number
  places: PlaceView[]
  /** earlier lots it could be put to */
  joins: string[]
}>()
const entry = defineModel<HeapEntry>({ required: true })
const change = (part: Partial<HeapEntry>) => (entry.value = { ...entry.value, ...part })
const hangs = computed(() => props.crop.curing?.hangs ?? [])
const many = computed(() => props.crop.piece.many)
const grams = computed(() => gramsFromSum(entry.value.kilos, 'kg') ?? (props.restG || null))
const count = computed(() => countFrom(entry.value.pieces))
const pieceG = computed(() => props.crop.pieceG.value)
/** The one from the other, by what a piece of this crop usually weighs. */
const hint = computed(() => {
  if (grams.value && !count.value && pieceG.value >= 5) {
    return say('about', { what: Math.max(1, Math.round(grams.value / pieceG.value)), many: many.value })
  }
  if (!grams.value && count.value)
    return say('aboutByTheirUsualWeight', { weight: weight(Math.round(count.value * pieceG.value)) })
  if (grams.value && count.value) return say('each', { weight: weight(Math.round(grams.value / count.value)) })
  return ''
})
</script>

<template>
  <div class="heap">
    <div>
      <h3>{{ heap.label }}</h3>
      <p class="soft">{{ heap.hint }}</p>
    </div>
    <div class="row">
      <TallyField
        :model-value="entry.kilos"
        :label="`${heap.label}, ${largeUnit()}`"
        :placeholder="restG > 0 ? bareLarge(restG) : '0'"
        @update:model-value="change({ kilos: $event })"
      />
      <Amount
        :model-value="entry.pieces"
        bare
        whole
        :label="say('numberOf', { label: heap.label, many })"
        :placeholder="say('count')"
        @update:model-value="change({ pieces: $event })"
      />
      <Pick
        v-if="heap.fate !== 'bin' && !entry.addTo"
        class="pick"
        :model-value="entry.placeId"
        :label="say('placeFor', { label: heap.label })"
        :options="places.map(({ id, name }) => ({ id, label: name }))"
        @update:model-value="change({ placeId: $event ?? '' })"
      />
      <Pick
        v-if="heap.hangs && hangs.length > 1 && !entry.addTo"
        class="pick"
        :model-value="entry.hungIn"
        :label="say('howItDries', { label: heap.label })"
        :options="hangs.map((id) => ({ id, label: sayWord(hungInWords[id]) }))"
        @update:model-value="change({ hungIn: $event ?? '' })"
      />
      <Pick
        v-if="joins.length && heap.fate !== 'bin'"
        class="pick"
        :model-value="entry.addTo || 'new'"
        :label="say('lotFor', { label: heap.label })"
        :options="[{ id: 'new', label: say('aNewLot') }, ...joins.map((id) => ({ id, label: say('into', { id }) }))]"
        @update:model-value="change({ addTo: $event === 'new' ? '' : ($event ?? '') })"
      />
      <span v-if="hint" class="soft hint">{{ hint }}</span>
    </div>
  </div>
</template>

<style scoped>
.heap {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.5fr);
  gap: var(--s-8) var(--s-16);
  align-items: center;
  padding: var(--s-8) 0;
}
.pick {
  width: 132px;
}
.hint {
  flex-basis: 100%;
}
@media (max-width: 820px) {
  .heap {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
