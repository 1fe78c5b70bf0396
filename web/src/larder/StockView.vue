<script setup lang="ts">
import { addStock } from '@vadose/contract/larder'
import { listPlaces } from '@vadose/contract/places'
import { readSheet } from '@vadose/core/larder'
import { decodeText } from '@vadose/core/readings'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { useAttempt, useFrame } from '../households'
import { Field, FileButton, Notice, Pick } from '../kit'
import { namedPlaces } from '../places'
import { useView, write } from '../view'
import { asStock, isWhole, readPad, type StockDraft } from './stock'
import SheetMapping from './SheetMapping.vue'
import StockRow from './StockRow.vue'
import { say } from './say'

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
const example = say('netsOnionsAboutKgJars')
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>{{ say('putOnTheShelf') }}</h1>
      <p class="soft">{{ say('aLineForEachThing') }}</p>
    </header>
    <Notice v-if="kept" good>
      {{ say('lineKept', { kept: kept.length }) }}
      <RouterLink :to="`/lots/${kept[0]}`">{{ kept[0] }}</RouterLink><template v-if="kept.length > 1">{{
        say('to2', { kept: kept.at(-1) })
      }}</template
      >. <RouterLink to="/larder">{{ say('toTheLarder') }}</RouterLink>
    </Notice>
    <div class="pad">
      <ElInput v-model="text" type="textarea" :rows="7" :aria-label="say('thePad')" :placeholder="example" autofocus />
      <div class="stack">
        <Field :label="say('allOnOneShelf')"
          ><Pick
            v-model="shelf"
            :label="say('allOnOneShelf')"
            :options="[{ id: '', label: say('eachWhereItBelongs') }, ...namedPlaces(places ?? [])]"
        /></Field>
        <p class="soft">
          {{ say('howManyOrHowMuch') }}
        </p>
        <FileButton :label="say('fromAListCsvOr')" accept=".csv,.txt,text/*" @file="fromFile">{{
          say('fromAList')
        }}</FileButton>
      </div>
    </div>
    <Notice v-if="notRead" bad>{{ notRead }}</Notice>
    <SheetMapping v-if="sheet" :key="sheet.name" v-bind="sheet" @lines="ontoPad" @leave="sheet = undefined" />
    <section v-if="lines.length > 0" class="card">
      <h2>{{ say('lineUnderstoodSo', { lines: lines.length }) }}</h2>
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
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <div class="row">
      <ElButton type="primary" size="large" :disabled="!ready || busy" @click="keep">{{
        say('keepLine', { lines: lines.length || '', lines2: lines.length })
      }}</ElButton>
      <span v-if="lines.length > 0 && !ready" class="soft">{{ say('eachWantsHowManyOr') }}</span>
    </div>
  </div>
</template>

<style scoped>
.pad {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 300px;
  gap: var(--s-16);
}
.pad :deep(textarea) {
  font-family: var(--font);
  font-size: var(--t-text);
  line-height: 31px;
  background: repeating-linear-gradient(var(--card) 0 30px, color-mix(in srgb, var(--cold) 25%, var(--card)) 30px 31px);
  background-attachment: local;
  padding: 0 var(--s-12);
}
@media (max-width: 820px) {
  .pad {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
