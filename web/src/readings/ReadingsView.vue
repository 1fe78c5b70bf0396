<script setup lang="ts">
import { namedPlaces } from '../places'
import { Field, FileButton, HowFar, Notice, Pick } from '../kit'
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
import { readClimate } from '@vadose/contract/stores'
import type { ColumnMapping, FileHead } from '@vadose/core/readings'
import { ElButton } from 'element-plus'
import { proxy, wrap, type Remote } from 'comlink'
import { computed, onBeforeUnmount, ref } from 'vue'
import { useRoute } from 'vue-router'
import { householdHere, newRequestId } from '../call'
import { humidity, refused, temperature, useFrame, yearDate } from '../households'
import { ClimateChart } from '../stores'
import FileReport from './FileReport.vue'
import MappingForm from './MappingForm.vue'
import SensorsCard from './SensorsCard.vue'
import StrikeSpan from './StrikeSpan.vue'
import type { FileSummary, Reader, Refused } from './reader.worker'
import { say } from './say'
import { refusalSaid } from '../voice'

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
/** what is known of its air, beside the file that will say more */
const { answer: climate } = useView(readClimate, () => (placeId.value ? { params: { id: placeId.value } } : null))
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
    refusal.value =
      typeof answer.refusal === 'string' ? answer.refusal : await refusalSaid(answer.refusal, answer.refusal.says)
  } catch (error) {
    refusal.value = say('theFileCouldNotBe', { error: String(error) })
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
    refusal.value = refused(error).message
  }
}
const count = (n: number) => n.toLocaleString('en-GB')
const span = (i: ReadingImportView) =>
  say('to3', { yearDate: yearDate(frame.dayOf(i.from)), yearDate2: yearDate(frame.dayOf(i.to)) })
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>{{ say('readingsFromAFile') }}</h1>
      <p class="soft">{{ say('whatALoggerOrA') }}</p>
    </header>
    <div class="beside-it" :class="{ reading: head }">
      <section class="card stack">
        <div class="row">
          <Field :label="say('itHungIn')"
            ><Pick v-model="placeId" :label="say('placeTheLoggerHungIn')" :options="namedPlaces(places ?? [])"
          /></Field>
          <FileButton
            class="choose"
            :label="say('loggerFile')"
            accept=".csv,.txt,.tsv,text/csv,text/plain"
            @file="take"
            >{{ file?.name ?? say('chooseAFile') }}</FileButton
          >
        </div>
        <Notice v-if="refusal" bad>{{ refusal }}</Notice>
        <Notice v-if="written">
          {{ say('newReadingsIn', { count: count(written.added), placeName: placeName.toLowerCase() })
          }}<template v-if="written.added < written.given">{{
            say('wereThereAlready', { count: count(written.given - written.added) })
          }}</template
          >.
          <ElButton v-if="written.added" @click="undo(written.id)">{{ say('takeThemBack') }}</ElButton>
        </Notice>
        <template v-if="head && mapping">
          <MappingForm
            v-model="mapping"
            :head="head"
            :remembered="remembered"
            @update:model-value="summary = undefined"
          />
          <div class="row">
            <ElButton v-if="!summary" type="primary" :disabled="busy" @click="look">{{
              say('lookItThrough')
            }}</ElButton>
            <template v-if="busy">
              <HowFar :share="progress" :label="say('howFar')" />
              <ElButton @click="cancel">{{ say('stop') }}</ElButton>
            </template>
          </div>
        </template>
        <FileReport v-if="summary" :summary="summary" :place="placeName" :busy="busy" @write="keep" @mend="mend" />
      </section>
      <section v-if="climate" class="card" :aria-label="say('whatIsKnownOf', { placeName })">
        <header class="head">
          <h2>{{ placeName }}</h2>
          <p v-if="climate.place.air.temperatureC !== null" class="soft">
            {{ temperature(climate.place.air.temperatureC)
            }}<template v-if="climate.place.air.relativeHumidityPct !== null">
              · {{ humidity(climate.place.air.relativeHumidityPct) }}</template
            >
          </p>
        </header>
        <p class="soft">{{ say('fittedToDays', { days: climate.fittedDays }) }}</p>
        <ClimateChart :view="climate" narrow />
      </section>
    </div>

    <section v-if="imports?.length" class="card">
      <h2>{{ say('filesBroughtIn') }}</h2>
      <ul class="rows">
        <li v-for="i in imports" :key="i.id" class="row">
          <strong>{{ i.fileName }}</strong>
          <span>{{ i.place }}, {{ span(i) }}</span>
          <span class="soft">{{ say('ofWereNew', { count: count(i.added), count2: count(i.given) }) }}</span>
          <span v-if="i.undone" class="soft">{{ say('takenBack') }}</span>
          <ElButton v-else-if="i.added" :aria-label="say('takeBack', { fileName: i.fileName })" @click="undo(i.id)">{{
            say('takeBack2')
          }}</ElButton>
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
  margin: var(--s-6) 0 0;
}
li {
  padding: var(--s-8) 0;
}
/* once there are columns to look through they want the whole width */
.beside-it.reading {
  grid-template-columns: minmax(0, 1fr);
}
</style>
