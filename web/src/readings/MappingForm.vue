<script setup lang="ts">
import type { ColumnMapping, FileHead } from '@vadose/core/readings'
import { winterClock } from '@vadose/core/readings'
import { computed } from 'vue'
import { useFrame } from '../households'

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
type Field = 'time' | 'clock' | 'temperature' | 'humidity' | 'rain'
const fields: { id: Field; label: string; optional?: string }[] = [
  { id: 'time', label: 'Date and time' },
  { id: 'clock', label: 'Time of day', optional: 'in the same column' },
  { id: 'temperature', label: 'Temperature' },
  { id: 'humidity', label: 'Humidity' },
  { id: 'rain', label: 'Rain, mm', optional: 'none' },
]
const orders: { id: ColumnMapping['order']; label: string }[] = [
  { id: 'day-first', label: 'day, month, year' },
  { id: 'month-first', label: 'month, day, year' },
  { id: 'year-first', label: 'year, month, day' },
  { id: 'seconds', label: 'seconds since 1970' },
  { id: 'milliseconds', label: 'milliseconds since 1970' },
]
const zones = computed(() => {
  const own = frame.frame?.household.timeZone ?? 'UTC'
  const known = [
    { id: own, label: `${own.replace('_', ' ')}, summer time and all` },
    { id: winterClock(own, Number(frame.today.slice(0, 4)) || 2026), label: 'winter time all year' },
    { id: 'UTC', label: 'UTC' },
  ]
  return known.some((z) => z.id === mapping.value.zone)
    ? known
    : [...known, { id: mapping.value.zone, label: mapping.value.zone }]
})
const role = (column: number) => fields.find((f) => mapping.value[f.id] === column)?.label ?? ''
const value = (event: Event) => (event.target as HTMLSelectElement).value
</script>

<template>
  <div class="stack">
    <h2>Is this how it is meant?</h2>
    <p class="soft">
      {{
        remembered ? 'Read as the last file with these headings.' : 'Guessed from the headings; put right what is not.'
      }}
    </p>
    <div class="scroll" tabindex="0" role="region" aria-label="First lines of the file">
      <table>
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
      </table>
    </div>
    <div class="row">
      <label v-for="f in fields" :key="f.id" class="field"
        >{{ f.label }}
        <select
          :value="mapping[f.id] ?? ''"
          :aria-label="`Column of ${f.label.toLowerCase()}`"
          @change="set({ [f.id]: value($event) === '' ? undefined : Number(value($event)) })"
        >
          <option v-if="f.optional || (mapping[f.id] ?? -1) < 0" :value="f.optional ? '' : -1">
            {{ f.optional ?? 'choose' }}
          </option>
          <option v-for="(h, i) in props.head.headings" :key="i" :value="i">{{ h }}</option>
        </select>
      </label>
      <label class="field"
        >Thermometer in
        <select
          :value="mapping.unit"
          aria-label="Unit of temperature"
          @change="set({ unit: value($event) as 'C' | 'F' })"
        >
          <option value="C">°C</option>
          <option value="F">°F</option>
        </select></label
      >
      <label class="field"
        >Written as
        <select
          :value="mapping.order"
          aria-label="Order of the date"
          @change="set({ order: value($event) as ColumnMapping['order'] })"
        >
          <option v-for="o in orders" :key="o.id" :value="o.id">{{ o.label }}</option>
        </select></label
      >
      <label class="field"
        >Its clock
        <select :value="mapping.zone" aria-label="Clock of the logger" @change="set({ zone: value($event) })">
          <option v-for="z in zones" :key="z.id" :value="z.id">{{ z.label }}</option>
        </select></label
      >
    </div>
  </div>
</template>

<style scoped>
.scroll {
  overflow-x: auto;
}
table {
  border-collapse: collapse;
  font-size: 14.5px;
}
th,
td {
  text-align: left;
  padding: 3px 14px 3px 0;
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
