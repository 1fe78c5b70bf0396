<script setup lang="ts">
import { useView } from '../view'
import { readLot } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { dryWeight, traysMoisturePct } from '@vadose/core/line'
import { ElButton } from 'element-plus'
import { computed, ref, watchEffect } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { cropOf } from '../almanac'
import { amount, degree, fromCelsius, gramsFrom, largeUnit, temperature, toCelsius, weight } from '../households'
import { useAct } from '../lots'
import { Amount, Choices, Field, Notice, Pick, WeightField } from '../kit'
import { namedPlaces } from '../places'
import { say } from './say'
import { sayWord } from '../voice'

/** Loading the dehydrator with a lot or a part of it. */
const route = useRoute()
const router = useRouter()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const { answer: places } = useView(listPlaces)
const crop = computed(() => cropOf(lot.value?.crop ?? ''))
const how = computed(() => crop.value.dehydrating)
const much = ref<'all' | 'part' | undefined>('all')
const all = computed(() => much.value === 'all')
const taken = ref('')
const onTrays = ref('')
const trays = ref('4')
const air = ref('')
const placeId = ref('')
watchEffect(() => {
  if (how.value) air.value ||= String(Math.round(fromCelsius((how.value.airC.value[0] + how.value.airC.value[1]) / 2)))
  placeId.value ||= places.value?.find((p) => p.kind === 'room')?.id ?? places.value?.[0]?.id ?? ''
})
const takenG = computed(() => (all.value ? (lot.value?.weightG ?? null) : gramsFrom(taken.value, 'kg')))
const weightG = computed(() => gramsFrom(onTrays.value, 'kg'))
const airC = computed(() => toCelsius(Number(air.value.replace(',', '.'))))
const trayCount = computed(() => (/^\d+$/.test(trays.value.trim()) ? Number(trays.value) : 0))
const ready = computed(
  () =>
    takenG.value !== null &&
    weightG.value !== null &&
    Number.isFinite(airC.value) &&
    trayCount.value > 0 &&
    placeId.value,
)
const outcome = computed(() =>
  weightG.value && how.value
    ? dryWeight(weightG.value, traysMoisturePct(crop.value), how.value.finalMoisturePct.value)
    : null,
)
const { act, refusal, busy } = useAct()
async function load(sure = false) {
  const done = await act(code, {
    act: 'load',
    ...(all.value ? {} : { takenG: takenG.value! }),
    weightG: weightG.value!,
    trays: trayCount.value,
    airC: Math.round(airC.value * 10) / 10,
    placeId: placeId.value,
    ...(sure ? { sure } : {}),
  })
  if (done) await router.push('/line')
}
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <Notice v-else-if="lot && !how">
    {{ say('isNotDriedInA', { name: crop.name }) }} <RouterLink :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
  </Notice>
  <form v-else-if="lot && how" class="stack load" @submit.prevent="load()">
    <header class="head">
      <h1>{{ say('dry', { name: crop.name.toLowerCase(), code }) }}</h1>
      <p class="soft">{{ say('there', { amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed) }) }}</p>
    </header>
    <section class="card stack">
      <h2>{{ say('first') }}</h2>
      <p>
        {{ sayWord(how.cut) }}<template v-if="how.pretreat">; {{ sayWord(how.pretreat) }}</template
        >{{
          say('toHoursTo', {
            temperature: temperature(how.airC.value[0], 0),
            airC: how.airC.value[1] > how.airC.value[0] ? `–${temperature(how.airC.value[1], 0)}` : '',
            hours: how.hours.value[0],
            hours2: how.hours.value[1],
            doneness: how.doneness,
          })
        }}
      </p>
    </section>
    <section class="card stack">
      <Choices
        v-model="much"
        :label="say('howMuchOfIt')"
        :options="[
          { id: 'all', label: say('allOfIt') },
          { id: 'part', label: say('aPart') },
        ]"
      />
      <div class="row">
        <WeightField
          v-if="!all"
          v-model="taken"
          :label="say('takenFromTheLot')"
          :says="say('takenFromTheLot2', { largeUnit: largeUnit() })"
          :unit="largeUnit()"
        />
        <WeightField
          v-model="onTrays"
          :label="say('onTheTraysPrepared')"
          :says="say('weightOnTheTrays', { largeUnit: largeUnit() })"
          :unit="largeUnit()"
        />
        <Amount v-model="trays" whole :label="say('trays')" />
        <Amount v-model="air" :label="say('air')" :says="say('airOfTheDryer', { degree: degree() })" :unit="degree()" />
        <Field :label="say('itStandsIn')"
          ><Pick v-model="placeId" :label="say('placeOfTheDryer')" :options="namedPlaces(places ?? [])"
        /></Field>
      </div>
      <p v-if="outcome" class="figure">
        {{ say('whenItIsDone', { weight: weight(Math.round(outcome.targetWeightG)) }) }}
        <span class="soft">{{ say('ofWaterToGo', { weight: weight(Math.round(outcome.waterToLoseG)) }) }}</span>
      </p>
    </section>
    <Notice v-if="refusal" bad>
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" @click="load(true)">{{ say('keepItAnyway') }}</ElButton>
    </Notice>
    <div>
      <ElButton type="primary" size="large" native-type="submit" :disabled="!ready || busy">{{
        say('startTheDryer')
      }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.load {
  max-width: 860px;
}
</style>
