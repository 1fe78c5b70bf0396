<script setup lang="ts">
import { ElDatePicker } from 'element-plus'
import 'element-plus/es/components/date-picker/style/css'
import { languageHere, localeHere } from '../voice'
import { useWeekStart } from './week-start'

/** A day of the calendar, typed or picked; none after `until`, where that is given. */
const props = defineProps<{ label: string; until?: string; clearable?: boolean; placeholder?: string }>()
useWeekStart(languageHere())
const day = defineModel<string>({ required: true })
const ahead = (date: Date) => props.until !== undefined && date.getTime() > Date.parse(`${props.until}T23:59:59`)
</script>

<template>
  <ElDatePicker
    v-model="day"
    type="date"
    :format="localeHere() === 'en-US' ? 'MMM D, YYYY' : 'D MMM YYYY'"
    value-format="YYYY-MM-DD"
    :clearable="clearable ?? false"
    :disabled-date="ahead"
    :placeholder="placeholder ?? ''"
    :aria-label="label"
  />
</template>
