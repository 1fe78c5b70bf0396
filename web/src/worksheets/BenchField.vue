<script setup lang="ts">
import { ElInput } from 'element-plus'
import { computed } from 'vue'
import { allCrops } from '../almanac'
import { Amount, DayField, Field as KitField, Pick } from '../kit'
import { columnsOf } from './form'
import { unitName } from './units'
import type { Field } from './field'
import { say } from './say'
import { sayWord } from '../voice'

/** One field of a worksheet, by its kind. */
const props = defineProps<{ field: Field; value: string; choices: readonly string[]; wrong: boolean }>()
const emit = defineEmits<{ set: [value: string] }>()
const named = computed(() => (props.field.optional ? `${props.field.label}${say('ifKnown')}` : props.field.label))
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
  <Amount
    v-if="field.kind === 'number'"
    class="wide number"
    :class="{ wrong }"
    :model-value="value"
    below
    :label="named"
    :says="field.label"
    :unit="field.unit ? unitName(field.unit) : field.suffix"
    @update:model-value="emit('set', $event)"
  />
  <KitField v-else :class="{ wide: field.kind === 'lines' || field.kind === 'crop', wrong }" :label="named">
    <Pick
      v-if="picks"
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
        :aria-label="field.label"
        :model-value="value"
        :rows="5"
        spellcheck="false"
        @update:model-value="emit('set', $event)"
      />
    </template>
    <DayField
      v-else-if="field.kind === 'date'"
      :label="field.label"
      :model-value="value"
      @update:model-value="emit('set', $event)"
    />
    <ElInput v-else :aria-label="field.label" :model-value="value" @update:model-value="emit('set', $event)" />
  </KitField>
</template>

<style scoped>
.wide {
  grid-column: 1 / -1;
}
.number.field {
  width: 100%;
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: center;
  gap: var(--s-8);
}
.number :deep(.amount) {
  width: 196px;
}
.wrong :deep(.el-input__wrapper),
.wrong :deep(.el-select__wrapper),
.wrong :deep(textarea) {
  box-shadow: inset 0 0 0 2px var(--bad);
}
</style>
