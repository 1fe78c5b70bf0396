<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount } from '../households'
import { HowMuch, type HowMuchOf } from '../lots'
import type { Ingredient } from './dish'
import { say } from './say'

/** One lot that goes into the pot, and how much of it. */
const props = defineProps<{ part: Ingredient }>()
const emit = defineEmits<{ change: [part: Ingredient]; drop: [] }>()
const crop = computed(() => lotCrop(props.part.lot))
const { pieces, weightG, all } = props.part
const first: HowMuchOf | undefined = all
  ? props.part.lot.pieces === null
    ? { weightG: props.part.lot.weightG }
    : { pieces: props.part.lot.pieces }
  : pieces
    ? { pieces }
    : weightG
      ? { weightG }
      : undefined
const taking = ref<HowMuchOf | undefined>(first)
watch(taking, (now) => {
  const { lot } = props.part
  if (!now) return emit('change', { lot })
  const whole = now.weightG === lot.weightG || (lot.pieces !== null && now.pieces === lot.pieces)
  emit('change', whole ? { lot, all: true } : { lot, ...now })
})
</script>

<template>
  <div class="part" :style="{ '--mark': cropColour(part.lot.crop) }" :data-part="part.lot.code">
    <div>
      <strong>{{ lotName(part.lot) }}</strong> <span class="soft code">{{ part.lot.code }}</span>
      <p class="soft">
        {{ say('there2', { amount: amount(part.lot.pieces, part.lot.weightG, crop.piece, part.lot.guessed) }) }}
      </p>
    </div>
    <HowMuch
      v-model="taking"
      :of="part.lot"
      :piece="crop.piece"
      :label="say('howMuchOf2', { code: part.lot.code })"
      :first="first"
    />
    <ElButton :aria-label="say('leaveOut3', { code: part.lot.code })" @click="$emit('drop')">{{
      say('leaveOut2')
    }}</ElButton>
  </div>
</template>

<style scoped>
.part {
  display: grid;
  grid-template-columns: minmax(150px, 1fr) auto auto;
  gap: var(--s-6) var(--s-16);
  align-items: center;
  border-left: 5px solid var(--mark);
  padding: var(--s-6) 0 var(--s-6) var(--s-12);
}
@media (max-width: 820px) {
  .part {
    grid-template-columns: 1fr auto;
  }
  .part > :nth-child(2) {
    grid-column: 1 / -1;
    grid-row: 2;
  }
}
</style>
