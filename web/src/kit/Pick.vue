<script setup lang="ts" generic="T extends string">
import { ElOption, ElSelect } from 'element-plus'
import 'element-plus/es/components/select/style/css'

/** One of many, opened by a tap; found by typing where they are too many to read. */
defineProps<{
  label: string
  options: readonly { id: T; label: string }[]
  placeholder?: string
  /** typed to find one */
  find?: boolean
}>()
const chosen = defineModel<T | undefined>({ required: true })
</script>

<template>
  <!-- what is nothing, by an empty id, is said where nothing is chosen -->
  <ElSelect
    v-model="chosen"
    :aria-label="label"
    :filterable="find ?? false"
    :placeholder="placeholder ?? options.find(({ id }) => id === '')?.label ?? ''"
  >
    <ElOption v-for="o in options" :key="o.id" :value="o.id" :label="o.label" />
  </ElSelect>
</template>
