<script setup lang="ts">
import { ElInput } from 'element-plus'

/** A figure with its unit: a weight, a count, a temperature; its name above it. */
defineProps<{
  label: string
  /** what it is called where the name above says too little by itself */
  says?: string
  unit?: string
  placeholder?: string
  /** whole figures only */
  whole?: boolean
}>()
const typed = defineModel<string>({ required: true })
</script>

<template>
  <label class="field"
    >{{ label }}
    <ElInput
      v-model="typed"
      class="figures"
      :inputmode="whole ? 'numeric' : 'decimal'"
      :aria-label="says ?? label"
      :placeholder="placeholder ?? ''"
      ><template v-if="unit" #suffix>{{ unit }}</template></ElInput
    ></label
  >
</template>

<style scoped>
.figures {
  width: 136px;
}
</style>
