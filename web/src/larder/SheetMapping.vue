<script setup lang="ts">
import { guessColumns, padLineOf, weightUnitOf, type SheetColumn } from '@vadose/core/larder'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { Figures, Pick } from '../kit'
import { say } from './say'

/** A list from elsewhere: what each column says, seen on its first rows, before it goes onto the pad. */
const props = defineProps<{ name: string; headings: string[]; rows: string[][] }>()
const emit = defineEmits<{ lines: [lines: string[]]; leave: [] }>()
const words: Record<SheetColumn, string> = {
  what: say('whatItIs'),
  count: say('howMany'),
  unit: say('countedIn'),
  weight: 'weight',
  form: say('howItIsKept'),
  date: say('dayMonthYear'),
  place: 'where',
  source: say('whereItIsFrom'),
  skip: say('notNeeded'),
}
const options = (Object.keys(words) as SheetColumn[]).map((id) => ({ id, label: words[id] }))
const columns = ref(guessColumns(props.headings))
const lines = computed(() => {
  const unit = weightUnitOf(props.headings[columns.value.indexOf('weight')] ?? '')
  return props.rows.map((row) => padLineOf(row, columns.value, unit)).filter(Boolean)
})
const few = 4
</script>

<template>
  <section class="card stack">
    <header class="head">
      <h2>{{ name }}</h2>
      <p class="soft">{{ say('rowSayWhatEachColumn', { rows: rows.length }) }}</p>
    </header>
    <Figures :label="name">
      <thead>
        <tr>
          <th v-for="(heading, i) in headings" :key="i" scope="col">
            {{ heading || say('column', { i: i + 1 }) }}
            <Pick
              :model-value="columns[i]"
              :label="say('whatSays', { heading: heading || say('column', { i: i + 1 }) })"
              :options="options"
              @update:model-value="columns = columns.map((c, j) => (j === i ? $event! : c))"
            />
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(row, i) in rows.slice(0, few)" :key="i">
          <td v-for="(_, j) in headings" :key="j" :class="{ soft: columns[j] === 'skip' }">{{ row[j] ?? '' }}</td>
        </tr>
      </tbody>
    </Figures>
    <p v-if="lines.length" class="soft">{{ say('theFirstReads', { lines: lines[0] }) }}</p>
    <p v-else class="bad">{{ say('oneColumnHasToSay') }}</p>
    <div class="row">
      <ElButton type="primary" :disabled="lines.length === 0" @click="emit('lines', lines)">{{
        say('lineOntoThePad', { lines: lines.length })
      }}</ElButton>
      <ElButton @click="emit('leave')">{{ say('leaveIt') }}</ElButton>
    </div>
  </section>
</template>

<style scoped>
section {
  min-width: 0;
}
th,
td {
  text-align: left;
  padding: var(--s-4) var(--s-12) var(--s-4) 0;
  min-width: 150px;
}
</style>
