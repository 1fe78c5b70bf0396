<script setup lang="ts">
import { ElInputNumber, localeContextKey } from 'element-plus'
import 'element-plus/es/components/input-number/style/css'
import en from 'element-plus/es/locale/lang/en'
import { computed, provide, ref } from 'vue'
import Field from './Field.vue'
import { say } from './say'

/**
 * A plain figure with its unit: a count, hours, a temperature; typed, or stepped by a thumb. A decimal comma is taken
 * for a point; a bound is for the form to say, so that nothing typed is changed unseen.
 */
const props = defineProps<{
  label: string
  /** what it is called where the name above says too little by itself */
  says?: string
  unit?: string
  placeholder?: string
  /** whole figures only */
  whole?: boolean
  step?: number
  /** stepped no further; what is typed beyond it is for the form, or the server, to say */
  most?: number | undefined
  /** below nought too */
  below?: boolean
  /** which of its form’s it is */
  name?: string
  /** its name is not written above it */
  bare?: boolean
}>()
const typed = defineModel<string>({ required: true })
const figure = computed({
  get: () => {
    const value = Number(typed.value.replace('−', '-').replace(',', '.'))
    return typed.value.trim() === '' || Number.isNaN(value) ? null : value
  },
  set: (value) => (typed.value = value === null || value === undefined ? '' : String(value)),
})
const inputNumber = { decrease: say('less'), increase: say('more') }
provide(localeContextKey, ref({ ...en, el: { ...en.el, inputNumber } }))
const full = computed(() => props.most !== undefined && (figure.value ?? 0) >= props.most)
const field = ref<InstanceType<typeof ElInputNumber>>()
defineExpose({ focus: () => field.value?.focus() })
const plain = (text: string) => {
  const figures = text
    .replace('−', '-')
    .replace(',', '.')
    .replace(/[^\d.-]/g, '')
  return props.below ? figures : figures.replaceAll('-', '')
}
</script>

<template>
  <Field :class="{ beside: !bare }" :label="bare ? undefined : label" :name="name">
    <ElInputNumber
      ref="field"
      v-model="figure"
      class="amount"
      :class="{ unit, full }"
      :aria-label="says ?? label"
      :inputmode="below ? 'text' : whole ? 'numeric' : 'decimal'"
      :placeholder="placeholder ?? ''"
      :step="step ?? 1"
      v-bind="below ? {} : { min: 0 }"
      :formatter="(value) => String(value ?? '')"
      :parser="plain"
      @keydown.up.capture="full && $event.stopPropagation()"
      ><template v-if="unit" #suffix>{{ unit }}</template></ElInputNumber
    >
  </Field>
</template>

<style scoped>
.amount {
  width: 156px;
}
.amount.unit {
  width: 184px;
}
.full :deep(.el-input-number__increase) {
  pointer-events: none;
  opacity: 0.45;
}
/* on a phone a column of amounts: their names at the left, all steppers under one thumb */
@media (max-width: 820px) {
  .beside.field {
    width: 100%;
    grid-template-columns: minmax(0, 1fr) auto;
    align-items: center;
    gap: var(--s-8);
  }
  .amount,
  .amount.unit {
    width: 204px;
  }
  .beside :deep(.wrong) {
    max-width: 204px;
  }
}
</style>
