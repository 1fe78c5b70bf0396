<script setup lang="ts">
import { namedPlaces } from '../places'
import { FileButton, Pick } from '../kit'
import { made, useView, write } from '../view'
import {
  importReadings,
  listImports,
  listMappings,
  undoImport,
  type KnownMapping,
  type ReadingImportAnswer,
  type ReadingImportView,
} from '@vadose/contract/readings'
import { listPlaces } from '@vadose/contract/places'
import type { ColumnMapping, FileHead } from '@vadose/core/readings'
import { ElButton } from 'element-plus'
import { proxy, wrap, type Remote } from 'comlink'
import { computed, onBeforeUnmount, ref } from 'vue'
import { useRoute } from 'vue-router'
import { ApiError, householdHere, newRequestId } from '../call'
import { useFrame, yearDate } from '../households'
import FileReport from './FileReport.vue'
import MappingForm from './MappingForm.vue'
import SensorsCard from './SensorsCard.vue'
import StrikeSpan from './StrikeSpan.vue'
import type { FileSummary, Reader, Refused } from './reader.worker'

const frame = useFrame()
const route = useRoute()
const { answer: places } = useView(listPlaces)
const { answer: imports } = useView(listImports)
const { answer: known } = useView(listMappings)

const chosen = ref('')
const placeId = computed({
  get: () => chosen.value || String(route.query['place'] ?? '') || places.value?.[0]?.id || '',
  set: (id) => {
    chosen.value = id
    summary.value = undefined
  },
})
const placeName = computed(() => places.value?.find((p) => p.id === placeId.value)?.name ?? '')
const file = ref<File>()
const head = ref<FileHead>()
const mapping = ref<ColumnMapping>()
const remembered = ref(false)
const summary = ref<FileSummary>()
const written = ref<ReadingImportAnswer>()
const refusal = ref('')
const busy = ref(false)
const progress = ref(0)
let requestId = newRequestId()

let worker: Worker | undefined
let reader: Remote<Reader> | undefined
function begin(): Remote<Reader> {
  worker ??= new Worker(new URL('./reader.worker.ts', import.meta.url), { type: 'module' })
  if (!reader) {
    reader = wrap<Reader>(worker)
    void reader.beHere(householdHere)
  }
  return reader
}
function cancel() {
  worker?.terminate()
  worker = undefined
  reader = undefined
  busy.value = false
}
onBeforeUnmount(cancel)

/** One step in the worker: what it says, or its refusal on the page. */
async function step<T extends object>(work: (reader: Remote<Reader>) => Promise<T | Refused>): Promise<T | undefined> {
  busy.value = true
  refusal.value = ''
  progress.value = 0
  try {
    const answer = await work(begin())
    if (!('refusal' in answer)) return answer
    refusal.value = answer.refusal
  } catch (error) {
    refusal.value = `The file could not be read: ${String(error)}`
  } finally {
    busy.value = false
  }
  return undefined
}

async function take(next: File) {
  file.value = next
  head.value = mapping.value = summary.value = written.value = undefined
  const zone = frame.frame?.household.timeZone ?? 'UTC'
  const plain = JSON.parse(JSON.stringify(known.value ?? [])) as KnownMapping[]
  const answer = await step((r) => r.head(next, zone, plain))
  if (!answer) return
  head.value = answer.head
  mapping.value = answer.mapping
  remembered.value = answer.known
}
async function look() {
  requestId = newRequestId()
  const plain = { ...mapping.value! }
  summary.value = await step((r) =>
    r.look(
      file.value!,
      plain,
      placeId.value,
      requestId,
      Date.parse(frame.frame!.now),
      proxy((share: number) => (progress.value = share)),
    ),
  )
}
function mend(part: Partial<ColumnMapping>) {
  mapping.value = { ...mapping.value!, ...part }
  void look()
}
async function keep() {
  written.value = await step((r) => r.write(placeId.value, requestId))
  if (!written.value) return
  summary.value = head.value = undefined
  made(importReadings)
}
async function undo(id: string) {
  refusal.value = ''
  try {
    await write(undoImport, { params: { id } })
    if (written.value?.id === id) written.value = undefined
  } catch (error) {
    refusal.value = error instanceof ApiError ? error.message : String(error)
  }
}
const count = (n: number) => n.toLocaleString('en-GB')
const span = (i: ReadingImportView) => `${yearDate(frame.dayOf(i.from))} to ${yearDate(frame.dayOf(i.to))}`
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>Readings from a file</h1>
      <p class="soft">what a logger or a weather station wrote, as CSV; nothing is kept before you have seen it</p>
    </header>
    <section class="card stack">
      <div class="row">
        <label class="field"
          >It hung in <Pick v-model="placeId" label="Place the logger hung in" :options="namedPlaces(places ?? [])"
        /></label>
        <FileButton class="choose" label="Logger file" accept=".csv,.txt,.tsv,text/csv,text/plain" @file="take">{{
          file?.name ?? 'Choose a file'
        }}</FileButton>
      </div>
      <p v-if="refusal" class="notice bad" role="alert">{{ refusal }}</p>
      <p v-if="written" class="notice" role="status">
        {{ count(written.added) }} new readings in {{ placeName.toLowerCase()
        }}<template v-if="written.added < written.given"
          >; {{ count(written.given - written.added) }} were there already</template
        >.
        <ElButton v-if="written.added" @click="undo(written.id)">Take them back</ElButton>
      </p>
      <template v-if="head && mapping">
        <MappingForm
          v-model="mapping"
          :head="head"
          :remembered="remembered"
          @update:model-value="summary = undefined"
        />
        <div class="row">
          <ElButton v-if="!summary" type="primary" :disabled="busy" @click="look">Look it through</ElButton>
          <template v-if="busy">
            <progress :value="progress" max="1" aria-label="How far">{{ Math.round(progress * 100) }} %</progress>
            <ElButton @click="cancel">Stop</ElButton>
          </template>
        </div>
      </template>
      <FileReport v-if="summary" :summary="summary" :place="placeName" :busy="busy" @write="keep" @mend="mend" />
    </section>

    <section v-if="imports?.length" class="card">
      <h2>Files brought in</h2>
      <ul class="rows">
        <li v-for="i in imports" :key="i.id" class="row">
          <strong>{{ i.fileName }}</strong>
          <span>{{ i.place }}, {{ span(i) }}</span>
          <span class="soft">{{ count(i.added) }} of {{ count(i.given) }} were new</span>
          <span v-if="i.undone" class="soft">taken back</span>
          <ElButton v-else-if="i.added" :aria-label="`Take back ${i.fileName}`" @click="undo(i.id)">Take back</ElButton>
        </li>
      </ul>
    </section>
    <StrikeSpan :places="places ?? []" />
    <SensorsCard :places="places ?? []" />
  </div>
</template>

<style scoped>
.choose {
  align-self: end;
}
ul {
  list-style: none;
  padding: 0;
  margin: 6px 0 0;
}
li {
  padding: 7px 0;
}
progress {
  width: 220px;
  height: 14px;
  accent-color: var(--accent);
}
input[type='file'] {
  font: inherit;
  max-width: 100%;
}
</style>
