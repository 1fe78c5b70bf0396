<script setup lang="ts">
import { ElFormItem } from 'element-plus'
import 'element-plus/es/components/form-item/style/css'
import { computed, inject } from 'vue'
import { refusedKey } from './form'
import { IconWrong } from './icons'

/** A field under its name, and under it what is wrong with what was typed. */
const props = defineProps<{
  label?: string | undefined
  /** which of its form’s it is: what the form’s rules, or the server, say of it is shown here */
  name?: string | undefined
  /** what is wrong with it, said by whoever put it here */
  wrong?: string | undefined
}>()
const refused = inject(refusedKey, undefined)
const error = computed(
  () => props.wrong ?? (props.name && refused?.value?.field === props.name ? refused.value.message : undefined),
)
</script>

<template>
  <ElFormItem
    class="field"
    label-position="top"
    v-bind="{ ...(label === undefined ? {} : { label }), ...(name ? { prop: name } : {}), ...(error ? { error } : {}) }"
  >
    <slot />
    <template #error="{ error: says }">
      <p class="wrong" role="alert"><IconWrong class="icon" aria-hidden="true" />{{ says }}</p>
    </template>
  </ElFormItem>
</template>
