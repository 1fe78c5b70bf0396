<script setup lang="ts">
import { Choices, Notice } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { gramsFrom, isUs, smallUnit, weight } from '../households'
import { useAct } from './act'
import { say } from './say'

const props = defineProps<{
  code: string
  basis: 'lot' | 'bunch' | null
  expectedG: number | null
  focusFirst?: boolean
}>()
const emit = defineEmits<{ done: [] }>()

const text = ref('')
const basis = ref<'lot' | 'bunch'>(props.basis ?? 'bunch')
const { act, refusal, busy } = useAct()
const grams = computed(() => gramsFrom(text.value))

async function keep(sure = false) {
  if (grams.value === null) return
  const done = await act(props.code, {
    act: 'weigh',
    weightG: grams.value,
    basis: basis.value,
    ...(sure ? { sure } : {}),
  })
  if (done) {
    text.value = ''
    emit('done')
  }
}
</script>

<template>
  <form class="weigh" @submit.prevent="keep()">
    <div class="row">
      <Choices
        v-if="props.basis === null"
        v-model="basis"
        :label="say('whatIsOnTheScale')"
        :options="[
          { id: 'bunch', label: say('oneMarkedBunchTrayOr') },
          { id: 'lot', label: say('theWholeLot') },
        ]"
      />
      <ElInput
        v-model="text"
        class="grams"
        inputmode="decimal"
        :autofocus="focusFirst"
        :aria-label="
          say('weightOfLotOunces', { basis: basis === 'lot' ? 'yes' : 'no', code, isUs: isUs() ? 'yes' : 'no' })
        "
        :placeholder="say('weight')"
      >
        <template #suffix>{{ smallUnit() }}</template>
      </ElInput>
      <ElButton type="primary" native-type="submit" :disabled="grams === null || busy">{{ say('keep') }}</ElButton>
    </div>
    <p v-if="text && grams === null" class="bad">
      {{ say('typeOuncesOrAWeight', { isUs: isUs() ? 'yes' : 'no' }) }}
    </p>
    <p v-else-if="expectedG !== null && !refusal" class="soft">
      {{ say('aboutExpected', { weight: weight(expectedG) }) }}
    </p>
    <Notice v-if="refusal" bad>
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" size="small" @click="keep(true)">{{ say('keepItAnyway') }}</ElButton>
    </Notice>
  </form>
</template>

<style scoped>
.weigh {
  display: grid;
  gap: var(--s-4);
  justify-items: start;
}
.grams {
  width: 132px;
}
</style>
