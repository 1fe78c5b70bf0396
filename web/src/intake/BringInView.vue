<script setup lang="ts">
import { useView, write } from '../view'
import { bringIn, lastHarvests, listMarkedBeds, type HarvestAnswer, type NewHarvest } from '@vadose/contract/intake'
import { listLots } from '@vadose/contract/lots'
import { listPlaces, readWeather } from '@vadose/contract/places'
import { isCivilDate } from '@vadose/core/households'
import { joinsOf } from '@vadose/core/intake'
import { DayField, Field, Notice } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { computed, nextTick, onMounted, reactive, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import type { ApiError } from '../call'
import { allCrops, cropOf, type Crop, currentAlmanac } from '../almanac'
import { largeUnit, refused, shortDate, useFrame, weight } from '../households'
import { countFrom } from '../lots'
import BedsCard from './BedsCard.vue'
import BroughtIn from './BroughtIn.vue'
import CropChooser from './CropChooser.vue'
import { emptyHeaps, heapsToSend, keptFrom, markOf, proposedPlace, sumHarvest, type HeapEntry } from './harvest'
import HeapRow from './HeapRow.vue'
import KeepBack from './KeepBack.vue'
import LatelyCard from './LatelyCard.vue'
import PickRow from './PickRow.vue'
import ReadinessLook from './ReadinessLook.vue'
import TallyField from './TallyField.vue'
import { say } from './say'

const frame = useFrame()
const { answer: places } = useView(listPlaces)
const { answer: weather } = useView(readWeather)
const { answer: known } = useView(listLots)
const { answer: marked } = useView(listMarkedBeds)
const { answer: memory } = useView(lastHarvests)

const crop = ref<Crop>()
const variety = ref('')
const bed = ref('')
const harvestedOn = ref('')
const signShare = ref<number>()
const total = ref('')
const scale = ref<InstanceType<typeof TallyField>>()
const heaps = reactive(new Map<string, HeapEntry>())
const keepable = computed(() => (places.value ?? []).filter((p) => !['outdoors', 'freezer'].includes(p.kind)))
const refusal = ref<ApiError>()
const busy = ref(false)
const made = ref<HarvestAnswer['lots']>()

function choose(next: Crop | undefined) {
  crop.value = next
  if (!next) return
  // the scale comes next
  void nextTick(() => scale.value?.focus())
  variety.value = ''
  bed.value = ''
  remember()
  signShare.value = undefined
  heaps.clear()
  for (const [id, entry] of emptyHeaps(next, places.value ?? [])) heaps.set(id, entry)
}
const route = useRoute()
/** From a bed: what was looked at there is brought in. */
onMounted(() => {
  const told = allCrops().find(({ id }) => id === route.query['crop'])
  if (!told) return
  choose(told)
  variety.value = String(route.query['variety'] ?? '')
  bed.value = String(route.query['bed'] ?? '') || bed.value
})
/** What the last harvest of the crop said, where nothing has been typed. */
function remember() {
  const last = memory.value?.find((m) => m.crop === crop.value?.id)
  variety.value ||= last?.variety ?? ''
  bed.value ||= last?.bed ?? ''
}
// whoever taps faster than the answer comes finds it filled in all the same
watch(memory, remember)
watch(places, () =>
  crop.value?.heaps.forEach(
    (heap) => (heaps.get(heap.id)!.placeId ||= proposedPlace(crop.value!, heap, places.value ?? [])),
  ),
)
watch(
  () => frame.today,
  (today) => (harvestedOn.value = today),
  { immediate: true },
)
const date = computed(() => harvestedOn.value || frame.today)

const sum = computed(() => (crop.value ? sumHarvest(crop.value, total.value, heaps) : undefined))
const first = computed(() => crop.value?.heaps[0]?.id ?? '')
const joins = (heap: Crop['heaps'][number]) =>
  joinsOf(heap, { crop: crop.value!.id, bed: bed.value, on: date.value }, known.value ?? [], currentAlmanac().habits)
const bedWarning = computed(
  () => crop.value && markOf(bed.value, crop.value.family, marked.value ?? [], (id) => cropOf(id).family),
)
const plantingHeap = computed(() => crop.value?.heaps.find((h) => h.fate === 'plant'))
function keepForPlanting(weightG: number, pieces: number) {
  const id = plantingHeap.value!.id
  for (const [heap, entry] of keptFrom(heaps, first.value, id, { weightG, pieces })) heaps.set(heap, entry)
}
const ready = computed(
  () => sum.value?.adds && sum.value.heaps.length > 0 && isCivilDate(date.value) && date.value <= frame.today,
)

async function make(sure = false) {
  if (!ready.value || busy.value) return
  busy.value = true
  refusal.value = undefined
  const harvest: Omit<NewHarvest, 'requestId'> = {
    crop: crop.value!.id,
    harvestedOn: date.value,
    totalG: sum.value!.totalG!,
    heaps: heapsToSend(crop.value!, sum.value!, heaps),
    ...(variety.value.trim() ? { variety: variety.value.trim() } : {}),
    ...(bed.value.trim() ? { bed: bed.value.trim() } : {}),
    ...(signShare.value !== undefined ? { signShare: signShare.value } : {}),
    ...(sure ? { sure } : {}),
  }
  try {
    made.value = (await write(bringIn, { body: harvest })).lots
  } catch (error) {
    refusal.value = refused(error)
  } finally {
    busy.value = false
  }
}
/** The same crop, bed, day and sign; what differs is typed anew. */
function another() {
  made.value = undefined
  variety.value = ''
  total.value = ''
  for (const [id, entry] of heaps) heaps.set(id, { ...entry, kilos: '', pieces: '', addTo: '' })
  void nextTick(() => scale.value?.focus())
}
const varieties = computed(() => memory.value?.find((m) => m.crop === crop.value?.id)?.varieties ?? [])
function again() {
  made.value = undefined
  crop.value = undefined
  total.value = ''
}
</script>

<template>
  <BroughtIn v-if="made && crop" :lots="made" :crop="crop" @again="again" @another="another" />

  <form v-else class="stack" @submit.prevent="make()">
    <CropChooser :model-value="crop" :memory="memory ?? []" @update:model-value="choose" />

    <div v-if="crop" class="columns">
      <div class="stack">
        <section class="card stack">
          <div class="row">
            <Field :label="say('allOfIt')"
              ><TallyField
                ref="scale"
                v-model="total"
                :label="say('weightOfTheWholeHarvest', { largeUnit: largeUnit() })"
                placeholder="0.0"
            /></Field>
            <Field :label="say('variety')"><ElInput v-model="variety" maxlength="60" class="text" /></Field>
            <div v-if="varieties.length > 1" class="choices known" role="group" :aria-label="say('varietiesOfBefore')">
              <button
                v-for="v in varieties"
                :key="v"
                type="button"
                class="choice"
                :aria-pressed="variety === v"
                @click="variety = v"
              >
                {{ v }}
              </button>
            </div>
            <Field :label="say('bed')"><ElInput v-model="bed" maxlength="60" class="text" /></Field>
            <Field :label="say('liftedOn')"
              ><DayField v-model="harvestedOn" class="text" :label="say('liftedOn')" :until="frame.today"
            /></Field>
          </div>
          <p v-if="total.trim() && sum?.totalG === null" class="bad">
            {{ say('typeTheWeightUpTo', { weight: weight(2_000_000) }) }}
          </p>
          <Notice v-if="bedWarning" bad>
            {{
              say('wasMarkedOnForDiseased', {
                bed: bedWarning.bed,
                on: shortDate(bedWarning.on),
                plural: cropOf(bedWarning.crop).plural,
              })
            }}
          </Notice>
        </section>

        <section class="card">
          <h2>{{ say('sortIntoHeaps') }}</h2>
          <p class="soft">{{ say('whatYouPutOnNo', { label: crop.heaps[0]!.label.toLowerCase() }) }}</p>
          <div class="rows">
            <HeapRow
              v-for="heap in crop.heaps"
              :key="heap.id"
              :model-value="heaps.get(heap.id)!"
              :heap="heap"
              :crop="crop"
              :joins="joins(heap)"
              :rest-g="heap.id === first && sum?.restIsSound ? sum.leftG : 0"
              :places="keepable"
              @update:model-value="heaps.set(heap.id, $event)"
            />
          </div>
          <p
            v-if="sum"
            class="sum"
            :class="{ bad: sum.totalG !== null && !sum.adds, good: sum.adds }"
            aria-live="polite"
          >
            <template v-if="sum.totalG === null">{{ say('weighAllOfItFirst') }}</template>
            <template v-else-if="sum.typedTotalG === null">{{
              say('theHeapsComeTo', { totalG: weight(sum.totalG) })
            }}</template>
            <template v-else-if="sum.unreadable">{{
              say('oneHeapsWeightCannotBe', { largeUnit: largeUnit() })
            }}</template>
            <template v-else-if="sum.leftG < 0">{{
              say('theHeapsAreHeavierThan', { weight: weight(-sum.leftG) })
            }}</template>
            <template v-else-if="!sum.adds">{{ say('areOnNoHeapYet', { leftG: weight(sum.leftG) }) }}</template>
            <template v-else>{{ say('theHeapsAddUpTo', { totalG: weight(sum.totalG) }) }}</template>
          </p>
        </section>
        <Notice v-if="refusal" bad>
          {{ refusal.message }}
          <ElButton v-if="refusal.code === 'surprise'" size="small" @click="make(true)">{{
            say('keepItAnyway')
          }}</ElButton>
        </Notice>
        <div>
          <ElButton type="primary" size="large" native-type="submit" :disabled="!ready || busy">
            {{ (sum?.heaps.length ?? 0) > 1 ? say('makeLots', { heaps: sum!.heaps.length }) : say('makeTheLot') }}
          </ElButton>
        </div>
      </div>
      <aside class="stack">
        <ReadinessLook
          v-model="signShare"
          :crop="crop"
          :variety="variety"
          :bed="bed"
          :today="frame.today"
          :weather="weather ?? []"
        />
        <KeepBack
          v-if="plantingHeap && crop.givesPerPiece"
          :crop="crop"
          :total-g="sum?.totalG ?? null"
          :pieces="countFrom(heaps.get(first)?.pieces ?? '')"
          @take="keepForPlanting"
        />
        <section class="card">
          <h2>{{ say('handleLikeEggs') }}</h2>
          <p class="soft">{{ crop.handling }}</p>
          <RouterLink :to="`/almanac/${crop.id}`">{{ say('itsPageInTheAlmanac') }}</RouterLink>
        </section>
      </aside>
    </div>
    <BedsCard v-if="!crop" />
    <PickRow v-if="!crop" :memory="memory ?? []" />
    <p v-if="!crop" class="soft">
      {{ say('chooseWhatCameInWeigh') }}
    </p>
    <LatelyCard v-if="!crop" :lots="known ?? []" />
  </form>
</template>

<style scoped>
.text {
  width: 150px;
}
.sum {
  margin-top: var(--s-8);
  font-weight: 600;
}
@media (max-width: 820px) {
  .text {
    width: 100%;
  }
}
</style>
