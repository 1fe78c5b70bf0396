<script setup lang="ts">
import { ElInput } from 'element-plus'
import { computed } from 'vue'
import { allCrops } from '../almanac'
import { Pick } from '../kit'
import { columnsOf } from './form'
import { unitName } from './units'
import type { Field } from './worksheets'

/** One field of a worksheet, by its kind. */
const props = defineProps<{ field: Field; value: string; choices: readonly string[]; wrong: boolean }>()
const emit = defineEmits<{ set: [value: string] }>()
const typedIn = (event: Event) => (event.target as HTMLInputElement).value
const shownWord = (choice: string) => choice.replaceAll('-', ' ')
/** What is chosen among, where it is not typed. */
const picks = computed(() => {
  const { kind, optional } = props.field
  if (kind === 'crop') return allCrops().map(({ id, name }) => ({ id, label: name }))
  if (kind === 'yes-no') return ['no', 'yes'].map((id) => ({ id, label: id }))
  if (kind !== 'choice') return undefined
  const words = props.choices.map((id) => ({ id, label: shownWord(id) }))
  return optional ? [{ id: '', label: 'as usual' }, ...words] : words
})
</script>

<template>
  <label class="field" :class="{ wide: field.kind === 'lines' || field.kind === 'crop', wrong }">
    <span>{{ field.label }}<span v-if="field.optional" class="soft"> if known</span></span>
    <ElInput
      v-if="field.kind === 'number'"
      :model-value="value"
      inputmode="decimal"
      @update:model-value="emit('set', $event)"
    >
      <template v-if="field.unit || field.suffix" #suffix>{{
        field.unit ? unitName(field.unit) : field.suffix
      }}</template>
    </ElInput>
    <Pick
      v-else-if="picks"
      :model-value="value"
      :label="field.label"
      :options="picks"
      :find="field.kind === 'crop'"
      @update:model-value="emit('set', $event ?? '')"
    />
    <template v-else-if="field.kind === 'lines'">
      <span class="soft">a line each: {{ columnsOf(field) }}</span>
      <textarea :value="value" rows="5" spellcheck="false" @input="emit('set', typedIn($event))" />
    </template>
    <input
      v-else
      :value="value"
      class="plain"
      :type="field.kind === 'date' ? 'date' : 'text'"
      @input="emit('set', typedIn($event))"
    />
  </label>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.field {
  font-size: 14.5px;
  align-content: end;
}
.field.wrong :deep(.el-input__wrapper),
.field.wrong :deep(.el-select__wrapper),
.field.wrong textarea {
  box-shadow: inset 0 0 0 2px var(--bad);
}
textarea,
.plain {
  min-height: 40px;
  border: 1.3px solid var(--line);
  border-radius: 8px;
  background: var(--card);
  padding: 6px 9px;
  width: 100%;
  font-weight: 400;
}
textarea {
  font-size: 14px;
  line-height: 1.5;
}
@media (max-width: 820px) {
  .plain {
    min-height: 48px;
  }
}
</style>
