<script setup lang="ts">
import { addStock } from '@vadose/contract/larder'
import { listPlaces } from '@vadose/contract/places'
import { readSheet } from '@vadose/core/larder'
import { decodeText } from '@vadose/core/readings'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { useAttempt, useFrame } from '../households'
import { FileButton, Pick } from '../kit'
import { namedPlaces } from '../places'
import { useView, write } from '../view'
import { asStock, isWhole, readPad, type StockDraft } from './stock'
import SheetMapping from './SheetMapping.vue'
import StockRow from './StockRow.vue'

/** What stands on the shelves already, was bought or given, or came out of somebody else's pan: typed as on a pad. */
const frame = useFrame()
const { answer: places } = useView(listPlaces)
const text = ref('')
const shelf = ref<string>()
const lines = ref<StockDraft[]>([])
watch([text, shelf, places], () => {
  lines.value = readPad(text.value, places.value ?? [], shelf.value, frame.today)
})
const ready = computed(() => lines.value.length > 0 && lines.value.every(isWhole))
const kept = ref<string[]>()
// what is typed next is not kept yet
watch(text, (now) => {
  if (now.trim() !== '') kept.value = undefined
})
const { attempt, failure, busy } = useAttempt()
const keep = () =>
  attempt(async () => {
    const { lots } = await write(addStock, { body: { lines: lines.value.map(asStock) } })
    kept.value = lots.map(({ code }) => code)
    text.value = ''
  })
/** a list from another program, before its columns are said */
const sheet = ref<{ name: string; headings: string[]; rows: string[][] }>()
const notRead = ref('')
async function fromFile(file: File) {
  notRead.value = ''
  const content = decodeText(new Uint8Array(await file.arrayBuffer()))
  try {
    sheet.value = { name: file.name, ...readSheet(content) }
  } catch (error) {
    notRead.value = (error as Error).message
  }
}
function ontoPad(read: string[]) {
  text.value = [text.value.trim(), ...read].filter(Boolean).join('\n')
  sheet.value = undefined
}
const example =
  '3 nets onions about 4 kg\n12 jars plums 2025\nhalf a bag of peas, March\n2 bottles sunflower oil, bought'
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>Put on the shelf</h1>
      <p class="soft">a line for each thing, as on a pad; what was understood stands below before it is kept</p>
    </header>
    <section v-if="kept" class="notice" role="status">
      {{ kept.length }} {{ kept.length === 1 ? 'line' : 'lines' }} kept.
      <RouterLink :to="`/lots/${kept[0]}`">{{ kept[0] }}</RouterLink><template v-if="kept.length > 1">
        to {{ kept.at(-1) }}</template
      >. <RouterLink to="/larder">To the larder</RouterLink>
    </section>
    <div class="pad">
      <ElInput v-model="text" type="textarea" :rows="7" aria-label="The pad" :placeholder="example" autofocus />
      <div class="stack">
        <label class="field"
          >All on one shelf
          <Pick
            v-model="shelf"
            label="All on one shelf"
            :options="[{ id: '', label: 'each where it belongs' }, ...namedPlaces(places ?? [])]"
        /></label>
        <p class="soft">
          How many or how much, of what; then, where it matters: frozen, in jars, dried, bought, a month or a year, the
          place. A weight nobody took is a guess and is marked so.
        </p>
        <FileButton label="From a list (CSV or text)" accept=".csv,.txt,text/*" @file="fromFile"
          >From a list</FileButton
        >
      </div>
    </div>
    <p v-if="notRead" class="notice bad" role="alert">{{ notRead }}</p>
    <SheetMapping v-if="sheet" :key="sheet.name" v-bind="sheet" @lines="ontoPad" @leave="sheet = undefined" />
    <section v-if="lines.length > 0" class="card">
      <h2>{{ lines.length }} {{ lines.length === 1 ? 'line' : 'lines' }} understood so</h2>
      <div class="rows">
        <StockRow
          v-for="(line, i) in lines"
          :key="line.key"
          :line="line"
          :places="places ?? []"
          :today="frame.today"
          @change="lines[i] = $event"
          @drop="lines.splice(i, 1)"
        />
      </div>
    </section>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
    <div class="row">
      <ElButton type="primary" size="large" :disabled="!ready || busy" @click="keep"
        >Keep {{ lines.length || '' }} {{ lines.length === 1 ? 'line' : 'lines' }}</ElButton
      >
      <span v-if="lines.length > 0 && !ready" class="soft">Each wants how many or how much, a name and a place.</span>
    </div>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: 18px;
}
.pad :deep(textarea) {
  font: 17px/31px var(--font);
  background: repeating-linear-gradient(var(--card) 0 30px, color-mix(in srgb, var(--cold) 25%, var(--card)) 30px 31px);
  background-attachment: local;
  padding: 0 14px;
}
@media (max-width: 820px) {
  .pad {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
