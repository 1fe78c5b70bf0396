<script setup lang="ts">
import { Choices } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { gramsFrom, isUs, smallUnit, weight } from '../households'
import { useAct } from './act'

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
        label="What is on the scale"
        :options="[
          { id: 'bunch', label: 'One marked bunch, tray or bag' },
          { id: 'lot', label: 'The whole lot' },
        ]"
      />
      <ElInput
        v-model="text"
        class="grams"
        inputmode="decimal"
        :autofocus="focusFirst"
        :aria-label="`Weight of ${basis === 'lot' ? 'lot' : 'marked bunch'} ${code}, ${isUs() ? 'ounces' : 'grams'}`"
        placeholder="weight"
      >
        <template #suffix>{{ smallUnit() }}</template>
      </ElInput>
      <ElButton type="primary" native-type="submit" :disabled="grams === null || busy">Keep</ElButton>
    </div>
    <p v-if="text && grams === null" class="bad">
      Type {{ isUs() ? 'ounces, or a weight with lb' : 'grams, or a weight with kg' }}.
    </p>
    <p v-else-if="expectedG !== null && !refusal" class="soft">about {{ weight(expectedG) }} expected</p>
    <p v-if="refusal" class="bad" role="alert">
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" size="small" @click="keep(true)">Keep it anyway</ElButton>
    </p>
  </form>
</template>

<style scoped>
.weigh {
  display: grid;
  gap: 4px;
  justify-items: start;
}
.grams {
  width: 132px;
}
</style>
