<script setup lang="ts">
import { ElInput } from 'element-plus'
import { computed } from 'vue'
import { cropColour, cropOf, lotName } from '../almanac'
import { amount, bareLarge, gramsFrom, largeUnit } from '../households'
import { Pick } from '../kit'
import { keeps, type Heap } from './evening'
import { say } from './say'
import { sayWord } from '../voice'

/** What came in and could be frozen: how long it is at its best, how much of it is meant, how it is cut. */
const props = defineProps<{ heap: Heap; grams: number; cut: string | undefined }>()
const emit = defineEmits<{ grams: [grams: number]; cut: [cut: string] }>()
const crop = computed(() => cropOf(props.heap.lot.crop))
const cuts = computed(() => (crop.value.freezing?.blanch ?? []).map(({ cut }) => ({ id: cut, label: sayWord(cut) })))
const stored = computed(() => keeps(props.heap.lot))
const says = computed(() =>
  stored.value
    ? say('inStoreKeepsWhereIt')
    : props.heap.left > 0
      ? say('bestWithinHours', { left: Math.round(props.heap.left) })
      : say('lateQualityIsGoing'),
)
const typed = computed(() => (props.grams ? bareLarge(props.grams).replace(/\.?0+$/, '') : ''))
const meant = (text: string) => emit('grams', Math.min(props.heap.lot.weightG, gramsFrom(text, 'kg') ?? 0))
</script>

<template>
  <div class="heap" :style="{ '--crop': cropColour(heap.lot.crop) }" :data-heap="heap.lot.code">
    <p>
      <strong>{{ lotName(heap.lot) }}</strong>
      <span class="soft">{{ amount(heap.lot.pieces, heap.lot.weightG, crop.piece) }}</span>
    </p>
    <div
      class="fresh"
      role="img"
      :aria-label="
        heap.left > 0
          ? say('hoursLeftOf', { left: Math.round(heap.left), within: heap.within })
          : say('tooLateToFreezeWell')
      "
    >
      <i :style="{ width: `${Math.min(100, (heap.hours / heap.within) * 100)}%` }"></i>
    </div>
    <p class="soft" :class="{ bad: heap.left <= 0 && !stored }">{{ says }}</p>
    <div class="row">
      <ElInput
        :model-value="typed"
        class="number"
        inputmode="decimal"
        :aria-label="say('howMuchOf', { code: heap.lot.code, largeUnit: largeUnit() })"
        :placeholder="say('none')"
        @change="meant"
        ><template #suffix>{{ largeUnit() }}</template></ElInput
      >
      <Pick
        v-if="cuts.length > 1"
        :model-value="cut ?? cuts[0]!.id"
        :label="say('howIsCut', { code: heap.lot.code })"
        :options="cuts"
        class="cut"
        @update:model-value="$event && emit('cut', $event)"
      />
    </div>
  </div>
</template>

<style scoped>
.heap {
  display: grid;
  gap: var(--s-4);
  padding-bottom: var(--s-8);
  border-bottom: 1px solid var(--line);
}
.fresh {
  height: 12px;
  border-radius: 6px;
  overflow: hidden;
  background: linear-gradient(
    90deg,
    color-mix(in srgb, var(--crop) 70%, var(--card)),
    color-mix(in srgb, var(--crop) 10%, var(--card))
  );
}
.fresh i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(
    115deg,
    var(--crop) 0 5px,
    color-mix(in srgb, var(--crop) 65%, var(--card)) 5px 8px
  );
  border-right: 3px solid var(--ink);
}
.number {
  width: 110px;
}
.row .cut {
  width: 140px;
  min-width: 130px;
}
</style>
