<script setup lang="ts">
import { weight } from '../households'
import { ElInput } from 'element-plus'
import { Field, Pick } from '../kit'
import { clockAt, type KitchenSetup } from './evening'
import { say } from './say'

/** The kitchen: pan, plate, trays, freezer, and when somebody is free. */
defineProps<{ mostKg: number }>()
const setup = defineModel<KitchenSetup>({ required: true })
const fields = [
  { key: 'panLitres', label: say('pan'), unit: 'L' },
  { key: 'stoveKW', label: say('stovePlate'), unit: 'kW' },
  { key: 'trays', label: say('trays'), unit: '' },
  { key: 'kgPerTray', label: say('onATray'), unit: 'kg' },
  { key: 'freezerLitres', label: say('freezer'), unit: 'L' },
] as const
const set = (change: Partial<KitchenSetup>) => (setup.value = { ...setup.value, ...change })
function setNumber(key: (typeof fields)[number]['key'], text: string) {
  const n = Number(text.replace(',', '.'))
  if (Number.isFinite(n) && n > 0) set({ [key]: n })
}
/** every half hour of a day, from noon on */
const times = Array.from({ length: 48 }, (_, i) => clockAt('12:00', i * 30)).map((id) => ({ id, label: id }))
const evenings = ['1', '2', '3'].map((id) => ({ id, label: id }))
</script>

<template>
  <section class="card">
    <h2>{{ say('theKitchen') }}</h2>
    <div class="row">
      <Field v-for="f in fields" :key="f.key" :label="f.label"
        ><ElInput
          :model-value="String(setup[f.key])"
          class="small"
          inputmode="decimal"
          :aria-label="f.label"
          @change="setNumber(f.key, $event)"
          ><template v-if="f.unit" #suffix>{{ f.unit }}</template></ElInput
        ></Field
      >
      <Field :label="say('from')"
        ><Pick
          :model-value="setup.from"
          :label="say('from')"
          :options="times"
          class="small"
          @update:model-value="$event && set({ from: $event })"
      /></Field>
      <Field :label="say('to')"
        ><Pick
          :model-value="setup.to"
          :label="say('to')"
          :options="times"
          class="small"
          @update:model-value="$event && set({ to: $event })"
      /></Field>
      <Field :label="say('evenings')"
        ><Pick
          :model-value="String(setup.evenings)"
          :label="say('evenings')"
          :options="evenings"
          class="small"
          @update:model-value="set({ evenings: Number($event) })"
      /></Field>
    </div>
    <p class="soft">
      {{ say('aboutHalfAKiloTo', { most: weight(1000 * mostKg) }) }}
    </p>
  </section>
</template>

<style scoped>
.small,
.row .el-select.small {
  width: 108px;
  min-width: 0;
}
</style>
