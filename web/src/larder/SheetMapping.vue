<script setup lang="ts">
import { guessColumns, padLineOf, weightUnitOf, type SheetColumn } from '@vadose/core/larder'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { Pick } from '../kit'

/** A list from elsewhere: what each column says, seen on its first rows, before it goes onto the pad. */
const props = defineProps<{ name: string; headings: string[]; rows: string[][] }>()
const emit = defineEmits<{ lines: [lines: string[]]; leave: [] }>()
const words: Record<SheetColumn, string> = {
  what: 'what it is',
  count: 'how many',
  unit: 'counted in',
  weight: 'weight',
  form: 'how it is kept',
  date: 'day, month, year',
  place: 'where',
  source: 'where it is from',
  skip: 'not needed',
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
      <p class="soft">{{ rows.length }} {{ rows.length === 1 ? 'row' : 'rows' }}: say what each column is</p>
    </header>
    <div class="scroll">
      <table>
        <thead>
          <tr>
            <th v-for="(heading, i) in headings" :key="i" scope="col">
              {{ heading || `column ${i + 1}` }}
              <Pick
                :model-value="columns[i]"
                :label="`What ${heading || `column ${i + 1}`} says`"
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
      </table>
    </div>
    <p v-if="lines.length" class="soft">The first reads: “{{ lines[0] }}”.</p>
    <p v-else class="bad">One column has to say what it is.</p>
    <div class="row">
      <ElButton type="primary" :disabled="lines.length === 0" @click="emit('lines', lines)"
        >{{ lines.length }} {{ lines.length === 1 ? 'line' : 'lines' }} onto the pad</ElButton
      >
      <ElButton @click="emit('leave')">Leave it</ElButton>
    </div>
  </section>
</template>

<style scoped>
section {
  min-width: 0;
}
.scroll {
  overflow-x: auto;
}
th,
td {
  text-align: left;
  padding: 4px 12px 4px 0;
  min-width: 150px;
}
</style>
