<script setup lang="ts">
import { ElInput } from 'element-plus'
import { computed } from 'vue'
import { allCrops } from '../almanac'
import { Amount, Pick } from '../kit'
import { columnsOf } from './form'
import { unitName } from './units'
import type { Field } from './field'
import { say } from './say'
import { sayWord } from '../voice'

/** One field of a worksheet, by its kind. */
const props = defineProps<{ field: Field; value: string; choices: readonly string[]; wrong: boolean }>()
const emit = defineEmits<{ set: [value: string] }>()
const shownWord = (choice: string) => sayWord(choice.replaceAll('-', ' '))
/** What is chosen among, where it is not typed. */
const picks = computed(() => {
  const { kind, optional } = props.field
  if (kind === 'crop') return allCrops().map(({ id, name }) => ({ id, label: name }))
  if (kind === 'yes-no') return ['no', 'yes'].map((id) => ({ id, label: sayWord(id) }))
  if (kind !== 'choice') return undefined
  const words = props.choices.map((id) => ({ id, label: shownWord(id) }))
  return optional ? [{ id: '', label: say('asUsual') }, ...words] : words
})
</script>

<template>
  <label class="field" :class="{ wide: field.kind === 'lines' || field.kind === 'crop', wrong }">
    <span
      >{{ field.label }}<span v-if="field.optional" class="soft">{{ say('ifKnown') }}</span></span
    >
    <Amount
      v-if="field.kind === 'number'"
      :model-value="value"
      bare
      below
      :label="field.label"
      :unit="field.unit ? unitName(field.unit) : field.suffix"
      @update:model-value="emit('set', $event)"
    />
    <Pick
      v-else-if="picks"
      :model-value="value"
      :label="field.label"
      :options="picks"
      :find="field.kind === 'crop'"
      @update:model-value="emit('set', $event ?? '')"
    />
    <template v-else-if="field.kind === 'lines'">
      <span class="soft">{{ say('aLineEach', { columnsOf: columnsOf(field) }) }}</span>
      <ElInput
        type="textarea"
        :model-value="value"
        :rows="5"
        spellcheck="false"
        @update:model-value="emit('set', $event)"
      />
    </template>
    <ElInput
      v-else
      :type="field.kind === 'date' ? 'date' : 'text'"
      :model-value="value"
      @update:model-value="emit('set', $event)"
    />
  </label>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.field {
  font-size: var(--t-note);
  align-content: end;
}
.field.wrong :deep(.el-input__wrapper),
.field.wrong :deep(.el-select__wrapper),
.field.wrong :deep(textarea) {
  box-shadow: inset 0 0 0 2px var(--bad);
}
</style>
