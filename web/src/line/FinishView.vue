<script setup lang="ts">
import { useView } from '../view'
import { readElsewhere, readLot } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { daysBetween } from '@vadose/core/households'
import { ElButton } from 'element-plus'
import { computed, ref, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { cropOf, schoolOf } from '../almanac'
import { amount, gramsFrom, largeUnit, longDate, useFrame, weight } from '../households'
import { countFrom, GradeRows, gradesFrom, useAct, type GradeEntries } from '../lots'
import { Amount, Choices, Notice, Tick, WeightField } from '../kit'
import { placeOptions } from '../places'
import TakeDownSide from './TakeDownSide.vue'
import { say } from './say'

const route = useRoute()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const { answer: places } = useView(listPlaces)
const { answer: keeps, failure: keepsFailure } = useView(readElsewhere, () => ({ params: { code } }))
const frame = useFrame()
const crop = computed(() => cropOf(lot.value?.crop ?? ''))
const neck = ref('')
const pack = ref('')
const placeId = ref('')
const kilos = ref('')
const pieces = ref('')
const units = ref('')
const waste = ref('')
const guessed = ref(false)
const bySize = ref(false)
const sizes = ref<GradeEntries>({})
const made = ref<string[]>()
const { act, refusal, busy } = useAct()

watchEffect(() => {
  if (!lot.value) return
  neck.value ||= schoolOf(crop.value, 'Neck') ?? crop.value.necks[0]?.id ?? ''
  pack.value ||= crop.value.packs[0]!.id
  // where it would keep longest
  if (keeps.value || keepsFailure.value) placeId.value ||= keeps.value?.[0]?.placeId ?? placeChoices.value[0]?.id ?? ''
})
const grams = computed(() => gramsFrom(kilos.value, 'kg'))
const counted = computed(() => countFrom(pieces.value))
/** What the crop's usual piece would make of the weight, for lots nobody counts. */
const estimate = computed(() => (grams.value ? Math.max(1, Math.round(grams.value / crop.value.pieceG.value)) : null))
const grades = computed(() => (bySize.value && howMuch.value === 'all' ? gradesFrom(sizes.value) : []))
const ready = computed(
  () =>
    grams.value !== null &&
    placeId.value !== '' &&
    grades.value !== null &&
    (howMuch.value === 'all' || ofG.value !== null) &&
    (pieces.value.trim() === '' || counted.value !== null),
)

/** Every place with how long this would keep there, longest first. */
const placeChoices = computed(() => {
  const options = placeOptions((places.value ?? []).filter((one) => !['outdoors', 'freezer'].includes(one.kind)))
  const order = keeps.value ?? []
  const rank = (id: string) => order.findIndex((one) => one.placeId === id) + 1 || Infinity
  return options
    .sort((a, b) => rank(a.id) - rank(b.id))
    .map((option) => {
      const there = order.find((one) => one.placeId === option.id)
      if (!there) return option
      const until = there.beyond ? say('overAYear') : say('to', { nineInTenUntil: longDate(there.nineInTenUntil) })
      return { ...option, detail: [say('keeps', { until }), option.detail].filter(Boolean).join(' · ') }
    })
})
const inDays = (days: number) => (days === 1 ? 'tomorrow' : say('inDays', { days }))
/** What speaks against taking it down today. */
const early = computed(() => {
  const curing = lot.value?.curing
  if (!curing) return []
  const from = curing.ready.p10
  return [
    ...curing.testsFailed.map((says) => say('atTheLastTest', { says })),
    ...(from === null ? [say('inThisAirItWill')] : []),
    ...(from !== null && from > frame.today
      ? [say('itsWindowOpensOn', { inDays: inDays(daysBetween(frame.today, from)), longDate: longDate(from) })]
      : []),
  ]
})
/** Some bunches are ready, others hang on. */
const howMuch = ref<'all' | 'part' | undefined>('all')
const part = ref('')
const ofG = computed(() => (howMuch.value === 'part' ? gramsFrom(part.value, 'kg') : null))
const off = computed(() => {
  if (grams.value === null || !lot.value) return null
  return howMuch.value === 'part'
    ? ofG.value === null
      ? null
      : ofG.value - grams.value
    : lot.value.weightG - grams.value
})
const asked = ref(false)
function offer() {
  if (early.value.length > 0 && !asked.value) asked.value = true
  else void keep()
}

async function keep(sure = false) {
  const answer = await act(code, {
    act: 'finish',
    ...(neck.value ? { neck: neck.value } : {}),
    pack: pack.value,
    placeId: placeId.value,
    weightG: grams.value!,
    ...(counted.value ? { pieces: counted.value } : {}),
    ...(guessed.value ? { guessed: true } : {}),
    ...(ofG.value ? { ofG: ofG.value } : {}),
    ...(countFrom(units.value) ? { units: countFrom(units.value)! } : {}),
    ...(gramsFrom(waste.value, 'kg') ? { wasteG: gramsFrom(waste.value, 'kg')! } : {}),
    ...(grades.value?.length ? { grades: grades.value } : {}),
    ...(sure ? { sure } : {}),
  })
  if (answer) made.value = howMuch.value === 'part' ? answer.made : [answer.lot.code, ...answer.made]
}
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="made" class="stack">
    <h1>{{ say('putBy') }}</h1>
    <p>{{ say('isCleanedPackedAndIn', { name: crop.name }) }}</p>
    <div class="row">
      <RouterLink v-for="c in made" :key="c" class="el-button el-button--primary" :to="`/lots/${c}/tag`">{{
        say('tagFor', { c })
      }}</RouterLink>
      <RouterLink class="el-button" :to="`/lots/${made[0]}/sort`">{{ say('sortIt') }}</RouterLink>
      <RouterLink class="el-button" :to="`/lots/${made[0]}`">{{ say('seeHowLongItKeeps') }}</RouterLink>
    </div>
  </div>
  <div v-else-if="lot && lot.stage === 'drying'" class="beside-it take-down">
    <form class="stack" @submit.prevent="offer">
      <header class="head">
        <h1>{{ say('takeDown', { code }) }}</h1>
        <p class="soft">
          {{ say('onTheLine', { name: crop.name, weightG: weight(lot.weightG), trimming: crop.trimming }) }}
        </p>
      </header>
      <section v-if="crop.necks.length" class="card stack">
        <h2>{{ say('neck') }}</h2>
        <Choices v-model="neck" :label="say('neck')" :options="crop.necks.map((n) => ({ ...n, detail: n.why }))" />
      </section>
      <section class="card stack">
        <h2>{{ say('onTheScaleCleaned') }}</h2>
        <div class="row">
          <Choices
            v-model="howMuch"
            :label="say('howMuchComesDown')"
            :options="[
              { id: 'all', label: say('allOfIt') },
              { id: 'part', label: say('someTheRestHangsOn') },
            ]"
          />
          <WeightField
            v-if="howMuch === 'part'"
            v-model="part"
            :label="say('whatComesDownWeighsAs')"
            :placeholder="weight(lot.weightG / 2)"
            :says="say('whatComesDownAsIt', { largeUnit: largeUnit() })"
            :unit="largeUnit()"
          />
        </div>
        <div class="row">
          <WeightField
            v-model="kilos"
            :label="say('weight')"
            :says="say('weightCleaned', { largeUnit: largeUnit() })"
            :unit="largeUnit()"
          />
          <Tick v-model="guessed" :label="say('aGuessNobodyWeighedIt')" />
          <Amount
            v-if="crop.pieceG.value >= 5"
            v-model="pieces"
            whole
            :label="say('count')"
            :says="say('numberOf', { many: crop.piece.many })"
            :placeholder="estimate ? say('about2', { estimate }) : ''"
            :unit="crop.piece.many"
          />
          <WeightField
            v-model="waste"
            :label="say('trimmingsIfWeighed')"
            :says="say('trimmings', { largeUnit: largeUnit() })"
            :unit="largeUnit()"
          />
        </div>
        <p v-if="off !== null" class="soft">
          {{
            off >= 0
              ? say('ofTrimmingsAndWaterOff', { weight: weight(off) })
              : say('moreThanWentOnThe', { weight: weight(-off) })
          }}
        </p>
        <Tick v-if="howMuch === 'all'" v-model="bySize" :label="say('sortBySizeEachSize')" />
        <template v-if="bySize">
          <p class="soft">{{ crop.grading }}</p>
          <GradeRows v-model="sizes" :many="crop.piece.many" />
          <p v-if="grades === null" class="bad">{{ say('oneOfTheSizesCannot') }}</p>
        </template>
      </section>
      <section class="card stack">
        <h2>{{ say('packAndPlace') }}</h2>
        <Choices v-model="pack" :label="say('pack')" :options="crop.packs" />
        <Amount v-model="units" whole :label="say('howManyOfThem')" :says="say('howManyPacks')" />
        <p v-if="crop.needs.includes('airy') && pack !== 'jar'" class="soft">{{ say('airyNeverPlasticForA') }}</p>
        <Choices v-model="placeId" :label="say('place')" :options="placeChoices" />
      </section>
      <Notice v-if="refusal" bad>
        {{ refusal.message }}
        <ElButton v-if="refusal.code === 'surprise'" @click="keep(true)">{{ say('keepItAnyway') }}</ElButton>
      </Notice>
      <Notice v-if="asked && early.length" bad>
        <p v-for="says in early" :key="says">{{ says }}</p>
        <ElButton native-type="button" :disabled="!ready || busy" @click="keep()">{{
          say('takeItDownAllThe')
        }}</ElButton>
        <RouterLink class="el-button" :to="`/lots/${code}`">{{ say('leaveItHanging') }}</RouterLink>
      </Notice>
      <div v-else>
        <ElButton type="primary" native-type="submit" size="large" :disabled="!ready || busy">{{
          say('putBy2', { grams: grams ? amount(counted, grams, crop.piece) : '' })
        }}</ElButton>
      </div>
    </form>
    <TakeDownSide v-model="placeId" :lot="lot" :keeps="keeps ?? []" />
  </div>
  <Notice v-else-if="lot">
    {{ say('isNotOnTheLine', { code }) }} <RouterLink :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
  </Notice>
</template>

<style scoped>
.take-down {
  --beside: 460px;
}
</style>
