<script setup lang="ts">
import type { ColumnMapping, FileHead } from '@vadose/core/readings'
import { winterClock } from '@vadose/core/readings'
import { computed } from 'vue'
import { useFrame } from '../households'
import { Field, Figures, Pick } from '../kit'
import { say } from './say'

/** Which column says what: guessed, to be put right where the guess is wrong. */
const props = defineProps<{ head: FileHead; remembered: boolean }>()
const mapping = defineModel<ColumnMapping>({ required: true })
const frame = useFrame()
const set = (part: Partial<ColumnMapping>) => {
  const next = { ...mapping.value, ...part }
  if (next.clock === undefined) delete next.clock
  if (next.rain === undefined) delete next.rain
  mapping.value = next
}
type Meaning = 'time' | 'clock' | 'temperature' | 'humidity' | 'rain'
const fields: { id: Meaning; label: string; optional?: string }[] = [
  { id: 'time', label: say('dateAndTime') },
  { id: 'clock', label: say('timeOfDay'), optional: say('inTheSameColumn') },
  { id: 'temperature', label: say('temperature') },
  { id: 'humidity', label: say('humidity') },
  { id: 'rain', label: say('rainMm'), optional: 'none' },
]
const orders: { id: ColumnMapping['order']; label: string }[] = [
  { id: 'day-first', label: say('dayMonthYear') },
  { id: 'month-first', label: say('monthDayYear') },
  { id: 'year-first', label: say('yearMonthDay') },
  { id: 'seconds', label: say('secondsSince') },
  { id: 'milliseconds', label: say('millisecondsSince') },
]
const zones = computed(() => {
  const own = frame.frame?.household.timeZone ?? 'UTC'
  const known = [
    { id: own, label: say('summerTimeAndAll', { own: own.replace('_', ' ') }) },
    { id: winterClock(own, Number(frame.today.slice(0, 4)) || 2026), label: say('winterTimeAllYear') },
    { id: 'UTC', label: 'UTC' },
  ]
  return known.some((z) => z.id === mapping.value.zone)
    ? known
    : [...known, { id: mapping.value.zone, label: mapping.value.zone }]
})
const role = (column: number) => fields.find((f) => mapping.value[f.id] === column)?.label ?? ''
/** a column that was not found is none */
const columnOf = (field: Meaning) => ((mapping.value[field] ?? -1) < 0 ? '' : String(mapping.value[field]))
const columnsFor = (field: (typeof fields)[number]) => [
  ...(field.optional ? [{ id: '', label: field.optional }] : []),
  ...props.head.headings.map((label, i) => ({ id: String(i), label })),
]
</script>

<template>
  <div class="stack">
    <h2>{{ say('isThisHowItIs') }}</h2>
    <p class="soft">
      {{ remembered ? say('readAsTheLastFile') : say('guessedFromTheHeadingsPut') }}
    </p>
    <Figures :label="say('firstLinesOfTheFile')">
      <thead>
        <tr class="roles">
          <th v-for="(_, i) in head.headings" :key="i">{{ role(i) }}</th>
        </tr>
        <tr>
          <th v-for="(h, i) in head.headings" :key="i">{{ h }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, r) in head.rows" :key="r">
          <td v-for="(_, i) in head.headings" :key="i" :class="{ used: role(i) }">{{ row[i] }}</td>
        </tr>
      </tbody>
    </Figures>
    <div class="row">
      <Field v-for="f in fields" :key="f.id" :label="f.label"
        ><Pick
          :model-value="columnOf(f.id)"
          :label="say('columnOf', { label: f.label.toLowerCase() })"
          :options="columnsFor(f)"
          @update:model-value="set({ [f.id]: $event === '' ? undefined : Number($event) })"
      /></Field>
      <Field :label="say('thermometerIn')"
        ><Pick
          :model-value="mapping.unit"
          :label="say('unitOfTemperature')"
          :options="[
            { id: 'C', label: '°C' },
            { id: 'F', label: '°F' },
          ]"
          @update:model-value="$event && set({ unit: $event })"
      /></Field>
      <Field :label="say('writtenAs')"
        ><Pick
          :model-value="mapping.order"
          :label="say('orderOfTheDate')"
          :options="orders"
          @update:model-value="$event && set({ order: $event })"
      /></Field>
      <Field :label="say('itsClock')"
        ><Pick
          :model-value="mapping.zone"
          :label="say('clockOfTheLogger')"
          :options="zones"
          @update:model-value="$event && set({ zone: $event })"
      /></Field>
    </div>
  </div>
</template>

<style scoped>
th,
td {
  text-align: left;
  padding: var(--s-4) var(--s-12) var(--s-4) 0;
  white-space: nowrap;
}
.roles th {
  color: var(--accent);
  height: 1.5em;
}
td {
  color: var(--soft);
}
td.used {
  color: var(--ink);
}
</style>
