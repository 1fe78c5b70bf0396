<script setup lang="ts">
import { ElInput } from 'element-plus'
import Field from './Field.vue'

/** A weight as the scale says it, with a unit of its own or without: “840”, “1.2 kg”, “2 lb 3 oz”. */
defineProps<{
  label: string
  /** what it is called where the name above says too little by itself */
  says?: string
  unit: string
  placeholder?: string
}>()
const typed = defineModel<string>({ required: true })
</script>

<template>
  <Field :label="label">
    <ElInput
      v-model="typed"
      class="weight"
      inputmode="decimal"
      :aria-label="says ?? label"
      :placeholder="placeholder ?? ''"
      ><template #suffix>{{ unit }}</template></ElInput
    >
  </Field>
</template>

<style scoped>
.weight {
  width: 172px;
}
</style>
