<script setup lang="ts">
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { DayField, Notice } from '../kit'
import { useAct } from './act'
import { say } from './say'

/** Something written on a lot, and when to be told of it again. */
const props = defineProps<{ code: string }>()
const emit = defineEmits<{ done: [] }>()
const { act, refusal, busy } = useAct()
const text = ref('')
const mindOn = ref('')
async function keep() {
  const minded = mindOn.value ? { mindOn: mindOn.value } : {}
  if (await act(props.code, { act: 'note', text: text.value.trim(), ...minded })) emit('done')
}
</script>

<template>
  <form class="card row" @submit.prevent="keep">
    <ElInput
      v-model="text"
      class="note"
      :aria-label="say('note')"
      :placeholder="say('whatShouldBeRemembered')"
      maxlength="500"
    />
    <DayField v-model="mindOn" class="mind" clearable :label="say('remindMeOn')" :placeholder="say('remindMeOn2')" />
    <ElButton type="primary" native-type="submit" :disabled="busy || !text.trim()">{{ say('keep') }}</ElButton>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
  </form>
</template>

<style scoped>
.note {
  flex: 1;
}
.mind {
  width: 150px;
}
</style>
