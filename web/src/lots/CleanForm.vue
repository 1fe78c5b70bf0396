<script setup lang="ts">
import type { CleaningStep } from '@vadose/core/almanac'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { gramsFrom, largeUnit, weight } from '../households'
import { Choices, Notice } from '../kit'
import { useAct } from './act'
import { say } from './say'

/** Threshing, sieving, winnowing: what is left on the scale after each. */
const props = defineProps<{ code: string; weightG: number; steps: readonly CleaningStep[] }>()
const emit = defineEmits<{ done: [] }>()
const words = { thresh: say('threshed'), sieve: say('sieved'), winnow: say('winnowed') }
const step = ref<CleaningStep | undefined>(props.steps[0])
const text = ref('')
const grams = computed(() => gramsFrom(text.value, 'kg'))
const { act, refusal, busy } = useAct()
async function keep() {
  if (await act(props.code, { act: 'clean', step: step.value!, weightG: grams.value! })) {
    text.value = ''
    emit('done')
  }
}
</script>

<template>
  <form class="row" @submit.prevent="keep">
    <Choices v-model="step" :label="say('whatWasDone')" :options="steps.map((id) => ({ id, label: words[id] }))" />
    <ElInput
      v-model="text"
      class="kilos"
      inputmode="decimal"
      :aria-label="say('weightAfter', { largeUnit: largeUnit() })"
      :placeholder="say('after')"
      ><template #suffix>{{ largeUnit() }}</template></ElInput
    >
    <ElButton type="primary" native-type="submit" :disabled="grams === null || busy">{{ say('keep') }}</ElButton>
    <p v-if="grams !== null && grams <= weightG" class="soft">
      {{ say('ofStrawAndChaffOff', { weight: weight(weightG - grams) }) }}
    </p>
    <p v-else class="soft">{{ say('before', { weight: weight(weightG) }) }}</p>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
  </form>
</template>

<style scoped>
.kilos {
  width: 130px;
}
</style>
