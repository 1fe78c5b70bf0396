<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { bareLarge, gramsFrom, largeUnit, weight } from '../households'
import { Amount, Choices } from '../kit'
import { say } from './say'

/** Pieces or a weight of a lot, whichever is at hand: counted by steps or typed, weighed as the scale says. */
export interface HowMuchOf {
  pieces?: number
  weightG?: number
}
const props = defineProps<{
  /** what there is */
  of: { pieces: number | null; weightG: number }
  piece: { one: string; many: string }
  label: string
  /** what stands there at first */
  first?: HowMuchOf | undefined
}>()
const taking = defineModel<HowMuchOf | undefined>({ required: true })
const counted = computed(() => props.of.pieces !== null)
const by = ref<'pieces' | 'weight'>(counted.value && !props.first?.weightG ? 'pieces' : 'weight')
const text = ref(
  props.first?.weightG ? bareLarge(props.first.weightG) : counted.value ? String(props.first?.pieces ?? 1) : '',
)
const field = ref<{ focus: () => void }>()
const most = computed(() => props.of.pieces ?? 0)
const number = computed(() => (/^\s*\d+\s*$/.test(text.value) ? Number(text.value) : null))
function turn(to: 'pieces' | 'weight') {
  by.value = to
  text.value = to === 'pieces' ? '1' : ''
  field.value?.focus()
}
const everything = computed(() => (by.value === 'pieces' ? String(most.value) : bareLarge(props.of.weightG)))
const all = () => (text.value = everything.value)
watch(
  [by, text],
  () => {
    // all of it is all of it, however the unit rounds
    const grams = text.value === everything.value ? props.of.weightG : gramsFrom(text.value, 'kg')
    taking.value =
      by.value === 'pieces'
        ? number.value
          ? { pieces: number.value }
          : undefined
        : grams === null
          ? undefined
          : { weightG: grams }
  },
  { immediate: true },
)
/** What the mean of the lot makes of it. */
const about = computed(() => {
  if (!props.of.pieces || !taking.value) return ''
  const mean = props.of.weightG / props.of.pieces
  const { pieces, weightG } = taking.value
  if (pieces) return say('about', { weight: weight(pieces * mean) })
  const n = Math.round((weightG ?? 0) / mean)
  return say('about2', { n, n2: n === 1 ? props.piece.one : props.piece.many })
})
defineExpose({ focus: () => field.value?.focus() })
</script>

<template>
  <div class="much" role="group" :aria-label="label">
    <Amount v-if="by === 'pieces'" ref="field" v-model="text" bare whole :most="most" :label="piece.many" />
    <ElInput
      v-else
      ref="field"
      v-model="text"
      class="figure-field"
      inputmode="decimal"
      :aria-label="say('weightIn', { largeUnit: largeUnit() })"
      :placeholder="say('weight')"
    />
    <Choices
      v-if="counted"
      :model-value="by"
      :label="say('countedOrWeighed')"
      :options="[
        { id: 'pieces', label: piece.many },
        { id: 'weight', label: largeUnit() },
      ]"
      @update:model-value="$event && turn($event)"
    />
    <span v-else class="soft">{{ largeUnit() }}</span>
    <ElButton @click="all">{{ say('all') }}</ElButton>
    <span class="soft about">{{ about }}</span>
  </div>
</template>

<style scoped>
.much {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: var(--s-6);
}
.figure-field {
  width: 104px;
}
.figure-field :deep(input) {
  height: 46px;
  font: 650 var(--t-head) var(--font-head);
  text-align: center;
}
.about {
  margin: 0;
}
</style>
