<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { lotCrop } from '../almanac'
import { amount, gramsFrom, isUs, smallUnit } from '../households'
import { Choices } from '../kit'
import { useAct } from './act'

const props = defineProps<{ lot: LotRow; kind: 'use' | 'lose' | 'correct' }>()
const emit = defineEmits<{ done: [] }>()
const crop = computed(() => lotCrop(props.lot))
const counted = computed(() => props.lot.pieces !== null)
const pieces = ref(1)
const weightText = ref('')
const why = ref('')
const whither = ref<'use' | 'plant' | 'give' | undefined>(props.lot.fate === 'plant' ? 'plant' : 'use')
const whithers = [
  { id: 'use', label: 'To the kitchen' },
  { id: 'plant', label: 'Planted' },
  { id: 'give', label: 'Given away' },
] as const
const grams = computed(() => gramsFrom(weightText.value))
const { act, refusal, busy } = useAct()
const title = computed(
  () => ({ use: 'How much is taken?', lose: 'How much has gone bad?', correct: 'What is it really?' })[props.kind],
)
const causes = computed(() => [...crop.value.faults.map((f) => f.label), 'Mice', 'Other'])
const ready = computed(
  () =>
    (props.kind === 'correct'
      ? grams.value !== null && why.value.trim() !== ''
      : counted.value
        ? pieces.value >= 1
        : grams.value !== null) &&
    (props.kind !== 'lose' || why.value !== ''),
)

async function keep() {
  const taking = counted.value ? { pieces: pieces.value } : { weightG: grams.value! }
  const done =
    props.kind === 'use'
      ? await act(props.lot.code, { act: whither.value ?? 'use', ...taking })
      : props.kind === 'lose'
        ? await act(props.lot.code, { act: 'lose', cause: why.value, ...taking })
        : await act(props.lot.code, {
            act: 'correct',
            weightG: grams.value!,
            why: why.value,
            ...(counted.value ? { pieces: pieces.value } : {}),
          })
  if (done) emit('done')
}
if (props.kind === 'correct' && props.lot.pieces !== null) pieces.value = props.lot.pieces
const clamp = (n: number) =>
  Math.max(props.kind === 'correct' ? 0 : 1, props.kind === 'correct' ? n : Math.min(props.lot.pieces ?? n, n))
</script>

<template>
  <form class="card take" @submit.prevent="keep">
    <h2>{{ title }}</h2>
    <p class="soft">{{ lot.code }}: {{ amount(lot.pieces, lot.weightG, crop.piece) }} there</p>
    <div class="row">
      <div v-if="counted" class="count" role="group" :aria-label="`How many ${crop.piece.many}`">
        <button type="button" aria-label="one fewer" @click="pieces = clamp(pieces - 1)">−</button>
        <input v-model.number="pieces" type="number" min="0" :aria-label="crop.piece.many" />
        <button type="button" aria-label="one more" @click="pieces = clamp(pieces + 1)">+</button>
      </div>
      <ElInput
        v-if="!counted || kind === 'correct'"
        v-model="weightText"
        class="grams"
        inputmode="decimal"
        :aria-label="`Weight in ${isUs() ? 'ounces' : 'grams'}`"
        placeholder="weight"
      >
        <template #suffix>{{ smallUnit() }}</template>
      </ElInput>
      <ElInput v-if="kind === 'correct'" v-model="why" aria-label="Why" placeholder="why, for the record" class="why" />
    </div>
    <Choices v-if="kind === 'use'" v-model="whither" label="Where it goes" :options="whithers" />
    <Choices
      v-if="kind === 'lose'"
      v-model="why"
      label="What went wrong"
      :options="causes.map((cause) => ({ id: cause, label: cause }))"
    />
    <p v-if="refusal" class="bad" role="alert">{{ refusal.message }}</p>
    <div class="row">
      <ElButton type="primary" native-type="submit" :disabled="!ready || busy">
        {{ kind === 'use' ? (whither === 'use' ? 'Use' : 'Take it') : kind === 'lose' ? 'Write off' : 'Correct' }}
      </ElButton>
      <ElButton @click="emit('done')">Leave it</ElButton>
    </div>
  </form>
</template>

<style scoped>
.take {
  display: grid;
  gap: 10px;
}
.count {
  display: flex;
}
.count button,
.count input {
  height: 48px;
  border: 1.3px solid var(--line);
  background: var(--card);
  font-size: 20px;
  text-align: center;
}
.count button {
  width: 52px;
  cursor: pointer;
}
.count button:first-child {
  border-radius: 8px 0 0 8px;
}
.count button:last-child {
  border-radius: 0 8px 8px 0;
}
.count input {
  width: 84px;
  border-inline: 0;
  appearance: textfield;
}
.grams {
  width: 140px;
}
.why {
  width: 240px;
}
</style>
