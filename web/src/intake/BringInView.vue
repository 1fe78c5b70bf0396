<script setup lang="ts">
import type { HarvestAnswer, IntakeMemory, MarkedBed, NewHarvest } from '@vadose/contract/intake'
import type { LotRow } from '@vadose/contract/lots'
import type { PlaceView, WeatherDay } from '@vadose/contract/places'
import type { HungIn } from '@vadose/core/crops'
import { daysBetween, isCivilDate } from '@vadose/core/household'
import { remainderG } from '@vadose/core/intake'
import { ElButton, ElDatePicker, ElInput } from 'element-plus'
import 'element-plus/es/components/date-picker/style/css'
import { computed, reactive, ref, watch } from 'vue'
import { ApiError, newRequestId, post } from '../api'
import { cropOf, type Crop } from '../crops'
import { bareLarge, gramsFromSum, largeUnit, shortDate, useAnswer, useFrame, weight } from '../household'
import { countFrom, PhotoButton } from '../lots'
import CropChooser from './CropChooser.vue'
import HeapRow, { type HeapEntry } from './HeapRow.vue'
import KeepBack from './KeepBack.vue'
import LatelyCard from './LatelyCard.vue'
import PickRow from './PickRow.vue'
import ReadinessLook from './ReadinessLook.vue'
import TallyField from './TallyField.vue'

const frame = useFrame()
const { answer: places } = useAnswer<PlaceView[]>(() => '/places')
const { answer: weather } = useAnswer<WeatherDay[]>(() => '/weather')
const { answer: known } = useAnswer<LotRow[]>(() => '/lots')
const { answer: marked } = useAnswer<MarkedBed[]>(() => '/harvests/marked-beds')
const { answer: memory } = useAnswer<IntakeMemory[]>(() => '/harvests/last')

const crop = ref<Crop>()
const variety = ref('')
const bed = ref('')
const harvestedOn = ref('')
const ahead = (day: Date) => day.getTime() > Date.parse(`${frame.today}T23:59:59`)
const signShare = ref<number>()
const total = ref('')
const heaps = reactive(new Map<string, HeapEntry>())
const keepable = computed(() => (places.value ?? []).filter((p) => !['outdoors', 'freezer'].includes(p.kind)))
const refusal = ref<ApiError>()
const busy = ref(false)
const made = ref<HarvestAnswer['lots']>()
let requestId = newRequestId()

function choose(next: Crop | undefined) {
  crop.value = next
  if (!next) return
  const last = memory.value?.find((m) => m.crop === next.id)
  variety.value = last?.variety ?? ''
  bed.value = last?.bed ?? ''
  signShare.value = undefined
  heaps.clear()
  for (const heap of next.heaps)
    heaps.set(heap.id, {
      kilos: '',
      pieces: '',
      placeId: proposed(heap.hangs),
      addTo: '',
      hungIn: next.curing?.hangs[0] ?? '',
    })
}
/** Hanging goes to moving air under a roof, what is eaten soon to the kitchen. */
function proposed(hangs: boolean): string {
  const kinds = hangs ? ['veranda', 'shed', 'loft'] : ['room', 'cool-room']
  return (
    kinds.map((kind) => places.value?.find((p) => p.kind === kind)?.id).find(Boolean) ?? places.value?.[0]?.id ?? ''
  )
}
watch(places, () =>
  heaps.forEach((h, id) => (h.placeId ||= proposed(crop.value?.heaps.find((x) => x.id === id)?.hangs ?? true))),
)

/** What stands on a heap: weighed, or reckoned from its count where nothing was weighed at all. */
function gramsOf(id: string): number | null {
  const entry = heaps.get(id)
  const weighedG = gramsFromSum(entry?.kilos ?? '', 'kg')
  if (weighedG !== null || total.value.trim() !== '' || entry?.kilos.trim()) return weighedG
  const count = countFrom(entry?.pieces ?? '')
  return count && crop.value ? Math.max(1, Math.round(count * crop.value.pieceG.value)) : null
}
/** All of it on the scale, or else what the heaps come to. */
const typedTotalG = computed(() => gramsFromSum(total.value, 'kg'))
const totalG = computed(
  () =>
    typedTotalG.value ??
    (total.value.trim() === '' ? weighed.value.reduce((sum, h) => sum + h.weightG, 0) || null : null),
)
const first = computed(() => crop.value?.heaps[0]?.id ?? '')
/** What nobody has put on a heap is sound, until the sound heap is weighed by itself. */
const weighed = computed(() =>
  (crop.value?.heaps ?? []).map((h) => ({ heap: h.id, weightG: gramsOf(h.id) ?? 0 })).filter((h) => h.weightG > 0),
)
const left = computed(() => remainderG(totalG.value ?? 0, weighed.value))
const restIsSound = computed(() => typedTotalG.value !== null && !heaps.get(first.value)?.kilos && left.value > 0)
const badHeap = computed(() =>
  [...heaps].find(([, h]) => h.kilos.trim() !== '' && gramsFromSum(h.kilos, 'kg') === null),
)
const piecesOf = (id: string) => countFrom(heaps.get(id)?.pieces ?? '')
/** Earlier lots of the same crop and heap that are not so much older that they dry or age apart. */
const joinsWithin = { hanging: 3, stored: 10 }
function joinsOf(heap: Crop['heaps'][number]): string[] {
  return (known.value ?? [])
    .filter((lot) => {
      const age = daysBetween(lot.broughtOn, date.value)
      const fits = heap.hangs ? lot.stage === 'drying' : lot.stage === 'fresh' || lot.stage === 'stored'
      const recent = age >= 0 && age <= (heap.hangs ? joinsWithin.hanging : joinsWithin.stored)
      const sameBed = !bed.value.trim() || !lot.bed || lot.bed.toLowerCase() === bed.value.trim().toLowerCase()
      return lot.crop === crop.value?.id && lot.heap === heap.id && fits && recent && sameBed && !lot.dried
    })
    .map((lot) => lot.code)
}
/** What the bed bore before, where that matters for this crop's family. */
const bedWarning = computed(() => {
  const name = bed.value.trim().toLowerCase()
  return (marked.value ?? []).find((m) => m.bed.toLowerCase() === name && cropOf(m.crop).family === crop.value?.family)
})
const plantingHeap = computed(() => crop.value?.heaps.find((h) => h.fate === 'plant'))
function keepForPlanting(weightG: number, pieces: number) {
  const id = plantingHeap.value!.id
  heaps.set(id, { ...heaps.get(id)!, kilos: bareLarge(weightG), pieces: String(pieces) })
}
/** In the almanac's order, so that the sound heap gets the first code. */
const lots = computed(() =>
  (crop.value?.heaps ?? []).flatMap(({ id }) => {
    const weightG = restIsSound.value && id === first.value ? left.value : (gramsOf(id) ?? 0)
    return weightG > 0 ? [{ heap: id, weightG }] : []
  }),
)
watch(
  () => frame.today,
  (today) => (harvestedOn.value = today),
  { immediate: true },
)
const date = computed(() => harvestedOn.value || frame.today)
const adds = computed(() => totalG.value !== null && (left.value === 0 || restIsSound.value) && !badHeap.value)
const ready = computed(
  () => crop.value && adds.value && lots.value.length > 0 && isCivilDate(date.value) && date.value <= frame.today,
)

async function bringIn() {
  if (!ready.value || busy.value) return
  busy.value = true
  refusal.value = undefined
  const harvest: NewHarvest = {
    requestId,
    crop: crop.value!.id,
    harvestedOn: date.value,
    totalG: totalG.value!,
    heaps: lots.value.map((lot) => {
      const pieces = piecesOf(lot.heap)
      const { placeId, addTo, hungIn } = heaps.get(lot.heap)!
      const hung = heapOf(lot.heap).hangs && hungIn && !addTo ? { hungIn: hungIn as HungIn } : {}
      return { ...lot, ...(pieces ? { pieces } : {}), ...(addTo ? { addTo } : placeId ? { placeId } : {}), ...hung }
    }),
    ...(variety.value.trim() ? { variety: variety.value.trim() } : {}),
    ...(bed.value.trim() ? { bed: bed.value.trim() } : {}),
    ...(signShare.value !== undefined ? { signShare: signShare.value } : {}),
  }
  try {
    made.value = (await post<HarvestAnswer>('/harvests', harvest)).lots
    requestId = newRequestId()
    await frame.changed()
  } catch (error) {
    refusal.value = error instanceof ApiError ? error : new ApiError('internal', String(error))
    if (refusal.value.code !== 'away') requestId = newRequestId()
  } finally {
    busy.value = false
  }
}
function again() {
  made.value = undefined
  crop.value = undefined
  total.value = ''
}
/** What is left to tag: what went in the bin needs none. */
const tagged = computed(() => (made.value ?? []).filter((lot) => !binned(lot.heap)).map((lot) => lot.code))
const heapOf = (id: string) => crop.value!.heaps.find((h) => h.id === id)!
const binned = (id: string) => heapOf(id).fate === 'bin'
</script>

<template>
  <div v-if="made" class="stack">
    <h1>{{ made.length === 1 ? 'One lot' : `${made.length} lots` }} brought in</h1>
    <ul class="made">
      <li v-for="lot in made" :key="lot.code" class="card row">
        <strong class="figure">{{ lot.code }}</strong>
        <span>{{ heapOf(lot.heap).label }}, {{ weight(lot.weightG) }}</span>
        <span v-if="binned(lot.heap)" class="soft">written off; the bed is marked</span>
        <template v-else>
          <PhotoButton :code="lot.code" />
          <RouterLink class="el-button" :to="`/lots/${lot.code}/tag`">Tag</RouterLink>
          <RouterLink v-if="heapOf(lot.heap).hangs" class="el-button" :to="`/line?lot=${lot.code}`"
            >On the line</RouterLink
          >
        </template>
      </li>
    </ul>
    <p>Tag at once: a wrong label is found a year too late. The first jobs are in today's round.</p>
    <div class="row">
      <RouterLink class="el-button el-button--primary" to="/">To the round</RouterLink>
      <RouterLink v-if="tagged.length > 1" class="el-button" :to="`/lots/${tagged.join(',')}/tag`"
        >All {{ tagged.length }} tags</RouterLink
      >
      <ElButton @click="again">Bring in more</ElButton>
    </div>
  </div>

  <form v-else class="stack" @submit.prevent="bringIn">
    <CropChooser :model-value="crop" :memory="memory ?? []" @update:model-value="choose" />

    <div v-if="crop" class="columns">
      <div class="stack">
        <section class="card stack">
          <div class="row">
            <label class="field">
              All of it
              <TallyField v-model="total" :label="`Weight of the whole harvest, ${largeUnit()}`" placeholder="0.0" />
            </label>
            <label class="field">Variety <ElInput v-model="variety" maxlength="60" class="text" /></label>
            <label class="field">Bed <ElInput v-model="bed" maxlength="60" class="text" /></label>
            <label class="field"
              >Lifted on
              <ElDatePicker
                v-model="harvestedOn"
                class="text"
                type="date"
                format="D MMM YYYY"
                value-format="YYYY-MM-DD"
                :clearable="false"
                :disabled-date="ahead"
                aria-label="Lifted on"
            /></label>
          </div>
          <p v-if="total.trim() && totalG === null" class="bad">
            Type the weight, up to 2,000 kg; several weighings with + between, the tare with −.
          </p>
          <p v-if="bedWarning" class="notice bad">
            {{ bedWarning.bed }} was marked on {{ shortDate(bedWarning.on) }} for diseased
            {{ cropOf(bedWarning.crop).plural }}: look twice at what came from it.
          </p>
        </section>

        <section class="card">
          <h2>Sort into heaps</h2>
          <p class="soft">What you put on no other heap counts as {{ heapOf(first).label.toLowerCase() }}.</p>
          <div class="rows">
            <HeapRow
              v-for="heap in crop.heaps"
              :key="heap.id"
              :model-value="heaps.get(heap.id)!"
              :heap="heap"
              :crop="crop"
              :joins="joinsOf(heap)"
              :rest-g="heap.id === first && restIsSound ? left : 0"
              :places="keepable"
              @update:model-value="heaps.set(heap.id, $event)"
            />
          </div>
          <p class="sum" :class="{ bad: totalG !== null && !adds, good: adds }" aria-live="polite">
            <template v-if="totalG === null">Weigh all of it first, then the heaps; or only the heaps.</template>
            <template v-else-if="typedTotalG === null">The heaps come to {{ weight(totalG) }}.</template>
            <template v-else-if="badHeap">One heap's weight cannot be read; type kilos.</template>
            <template v-else-if="left < 0">The heaps are {{ weight(-left) }} heavier than the harvest.</template>
            <template v-else-if="!adds">{{ weight(left) }} are on no heap yet.</template>
            <template v-else>The heaps add up to {{ weight(totalG) }}.</template>
          </p>
        </section>
        <p v-if="refusal" class="notice bad" role="alert">{{ refusal.message }}</p>
        <div>
          <ElButton type="primary" size="large" native-type="submit" :disabled="!ready || busy">
            {{ lots.length > 1 ? `Make ${lots.length} lots` : 'Make the lot' }}
          </ElButton>
        </div>
      </div>
      <aside class="stack">
        <ReadinessLook v-model="signShare" :crop="crop" :today="frame.today" :weather="weather ?? []" />
        <KeepBack
          v-if="plantingHeap && crop.givesPerPiece"
          :crop="crop"
          :total-g="totalG"
          :pieces="piecesOf(first)"
          @take="keepForPlanting"
        />
        <section class="card">
          <h2>Handle like eggs</h2>
          <p class="soft">{{ crop.handling }}</p>
          <RouterLink :to="`/almanac/${crop.id}`">Its page in the almanac</RouterLink>
        </section>
      </aside>
    </div>
    <PickRow v-if="!crop" :memory="memory ?? []" />
    <p v-if="!crop" class="soft">
      Choose what came in. Weigh it, sort it into heaps, and every heap becomes a lot with a tag.
    </p>
    <LatelyCard v-if="!crop" :lots="known ?? []" />
  </form>
</template>

<style scoped>
.text {
  width: 150px;
}
.sum {
  margin-top: 8px;
  font-weight: 600;
}
.made {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
@media (max-width: 820px) {
  .text {
    width: 100%;
  }
}
</style>
