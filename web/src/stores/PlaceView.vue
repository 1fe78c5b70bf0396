<script setup lang="ts">
import { readClimate } from '@vadose/contract/stores'
import { listPlaces } from '@vadose/contract/places'
import { placeKinds, type PlaceKind } from '@vadose/core/places'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { lotName } from '../almanac'
import { humidity, temperature, untilDate, weight } from '../households'
import { LotDrawer } from '../lots'
import { PlaceRight, ReadField } from '../places'
import { useView } from '../view'
import ClimateChart from './ClimateChart.vue'
import ComfortRows from './ComfortRows.vue'
import ThermometerCard from './ThermometerCard.vue'
import { say } from './say'
import { sayWord, sayFact, sayProse } from '../voice'
import { Notice } from '../kit'

/** One place: its air as it is and will be, who likes it there, what lies there, what it is like. */
const route = useRoute()
const { answer: view, failure } = useView(readClimate, () => ({ params: { id: String(route.params['id']) } }))
const { answer: places } = useView(listPlaces)
const drawer = ref<string>()
const righting = ref(false)
const place = computed(() => view.value?.place)
const kg = computed(() => (view.value?.lots ?? []).reduce((sum, lot) => sum + lot.weightG, 0))
const kinds = (Object.keys(placeKinds) as PlaceKind[]).map((id) => ({
  id,
  label: sayWord(placeKinds[id].label),
  detail: sayProse(placeKinds[id].winter),
}))
const known = computed(() => {
  const { fittedDays, gain, lagDays } = view.value!
  if (fittedDays === 0) return say('neverMeasuredReckonedAsPlaces')
  const share = say('ofTheSeasonComesIn', { what: Math.round(Math.max(0, gain) * 100) })
  const late = lagDays >= 1.5 ? say('daysLate', { lagDays: Math.round(lagDays) }) : ''
  return say('fittedToDayOfReadings', { fittedDays, share, late })
})
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="view && place" class="columns">
    <div class="stack">
      <header class="head">
        <h1>{{ place.name }}</h1>
        <p class="soft">
          {{ sayWord(placeKinds[place.kind].label).toLowerCase()
          }}<template v-if="place.air.temperatureC !== null">{{
            say('now2', {
              temperatureC: temperature(place.air.temperatureC),
              humidity: humidity(place.air.relativeHumidityPct ?? 0),
            })
          }}</template
          >; {{ weight(kg) }} in {{ view.lots.length }} {{ say('lot', { lots: view.lots.length }) }}
          <template v-if="place.holdsKg">{{ say('roomFor', { weight: weight(place.holdsKg * 1000) }) }}</template>
        </p>
        <div class="acts no-print">
          <ElButton :aria-expanded="righting" @click="righting = !righting">{{ say('putRight') }}</ElButton>
          <RouterLink class="el-button" to="/readings">{{ say('readings') }}</RouterLink>
        </div>
      </header>
      <section v-if="righting" class="card">
        <PlaceRight :place="place" :places="places ?? []" :kinds="kinds" @done="righting = false" />
      </section>
      <section v-if="view.conflicts.length > 0" class="card">
        <h2>{{ say('whatDoesNotGoTogether') }}</h2>
        <p v-for="c in view.conflicts" :key="c.kind + c.codes.join()" class="bad">
          ▲ {{ sayFact(c.says) }} <span class="soft">{{ c.codes.slice(0, 4).join(', ') }}</span>
        </p>
      </section>
      <section class="card">
        <h2>{{ say('twelveMonthsAhead') }}</h2>
        <p class="soft">{{ say('lineMostLikelyPaleChances', { known }) }}</p>
        <ClimateChart :view="view" />
      </section>
      <section v-if="view.comfort.length > 0" class="card">
        <h2>{{ say('whoIsHappyHereAnd') }}</h2>
        <ComfortRows :view="view" />
      </section>
    </div>
    <aside class="stack">
      <section class="card stack">
        <h2>{{ say('readItNow') }}</h2>
        <ReadField :place-id="place.id" :place-name="place.name" />
        <p class="soft">
          {{ place.dark ? say('dark') : say('lightComesIn') }}, {{ place.heated ? say('heated') : say('notHeated') }},
          {{ place.frostSafe ? 'frost-safe' : say('frostGetsIn')
          }}<template v-if="place.mice">{{ say('miceGetIn') }}</template>
        </p>
      </section>
      <section class="card">
        <h2>{{ say('whatLiesHere') }}</h2>
        <p v-if="view.lots.length === 0" class="soft">{{ say('nothing') }}</p>
        <ul class="bare rows">
          <li v-for="lot in view.lots" :key="lot.code" class="lot">
            <a :href="`/lots/${lot.code}`" @click.prevent="drawer = lot.code">{{ lotName(lot) }}</a>
            <span class="soft">{{ lot.code }}, {{ weight(lot.weightG) }}</span>
            <span v-if="lot.keeps" class="soft until">{{
              lot.keeps.overdueSince
                ? say('pastItsTime')
                : say('to5', { untilDate: untilDate(lot.keeps.nineInTenUntil.p50, lot.keeps.beyond) })
            }}</span>
          </li>
        </ul>
        <p v-if="view.parts.length > 0" class="soft">
          {{ say('parts') }}
          <template v-for="(p, i) in view.parts" :key="p.id"
            >{{ i ? ', ' : '' }}<RouterLink :to="`/places/${p.id}`">{{ p.name }}</RouterLink></template
          >
        </p>
      </section>
      <ThermometerCard />
    </aside>
    <LotDrawer :code="drawer" @close="drawer = undefined" />
  </div>
</template>

<style scoped>
.lot {
  display: grid;
  grid-template-columns: 1fr auto;
  padding: var(--s-6) 0;
}
.until {
  grid-column: 1 / -1;
  margin: 0;
}
</style>
