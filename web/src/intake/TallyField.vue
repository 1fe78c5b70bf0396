<script setup lang="ts">
import { ElInput } from 'element-plus'
import { computed, ref } from 'vue'
import { gramsFromSum, largeUnit, weight } from '../households'
import { say } from './say'

/** A weight put together from several on the scale: buckets added, the tare taken off. */
defineProps<{ label: string; placeholder?: string }>()
const text = defineModel<string>({ required: true })
const field = ref<InstanceType<typeof ElInput>>()
const isSum = computed(() => /\d\s*[+−-]\s*\d/.test(text.value))
const sum = computed(() => gramsFromSum(text.value, 'kg'))
defineExpose({ focus: () => field.value?.focus() })
function sign(mark: '+' | '−') {
  text.value = `${text.value
    .trim()
    .replace(/[+−-]$/, '')
    .trim()} ${mark} `
  field.value?.focus()
}
</script>

<template>
  <div class="tally">
    <ElInput
      ref="field"
      v-model="text"
      class="sum"
      inputmode="decimal"
      :placeholder="placeholder ?? '0'"
      :aria-label="label"
    >
      <template #suffix>{{ largeUnit() }}</template>
    </ElInput>
    <div class="signs">
      <button type="button" :aria-label="say('addAnotherWeighing')" @click="sign('+')">+</button>
      <button type="button" :aria-label="say('takeOffTheTare')" @click="sign('−')">−</button>
    </div>
    <span v-if="isSum && sum !== null" class="soft" aria-live="polite">= {{ weight(sum) }}</span>
  </div>
</template>

<style scoped>
.tally {
  display: inline-flex;
  align-items: center;
  gap: var(--s-6);
  flex-wrap: wrap;
}
.sum {
  width: 128px;
}
.signs {
  display: none;
  gap: var(--s-4);
}
button {
  width: 44px;
  height: 48px;
  border: 1.3px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  font-size: var(--t-head);
  font-weight: 600;
}
@media (max-width: 820px) {
  .signs {
    display: inline-flex;
  }
}
</style>
