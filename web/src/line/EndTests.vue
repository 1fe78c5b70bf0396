<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed, reactive } from 'vue'
import { cropOf } from '../almanac'
import { useAct } from '../lots'
import { say } from './say'
import { Notice } from '../kit'

const props = defineProps<{ code: string; crop: string }>()
const emit = defineEmits<{ done: [] }>()
const tests = computed(() => cropOf(props.crop).curing?.endTests ?? [])
const found = reactive(new Map<string, boolean>())
const { act, refusal, busy } = useAct()

async function keep() {
  const results = [...found].map(([test, passed]) => ({ test, passed }))
  if (await act(props.code, { act: 'test', results })) emit('done')
}
</script>

<template>
  <div class="tests">
    <fieldset v-for="t in tests" :key="t.id">
      <legend>{{ t.label }}</legend>
      <div class="choices">
        <button type="button" class="choice" :aria-pressed="found.get(t.id) === true" @click="found.set(t.id, true)">
          {{ t.passed }}
        </button>
        <button type="button" class="choice" :aria-pressed="found.get(t.id) === false" @click="found.set(t.id, false)">
          {{ t.failed }}
        </button>
      </div>
    </fieldset>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <ElButton type="primary" :disabled="found.size === 0 || busy" @click="keep">{{ say('keepWhatIFelt') }}</ElButton>
  </div>
</template>

<style scoped>
.tests {
  display: grid;
  gap: var(--s-8);
  justify-items: start;
  margin-top: var(--s-8);
}
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
}
legend {
  font-weight: 600;
  padding: 0;
  margin-bottom: var(--s-4);
}
</style>
