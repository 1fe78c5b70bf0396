<script setup lang="ts">
import { exportJobs, exportLedger, exportLots, exportReadings } from '@vadose/contract/exports'
import { useView, write } from '../view'
import { listHouseholds } from '@vadose/contract/households'
import { addPlace as addPlaceEndpoint, listPlaces } from '@vadose/contract/places'
import { placeKinds, type PlaceKind } from '@vadose/core/places'
import { ElButton, ElInput } from 'element-plus'
import { ref } from 'vue'
import { householdHere, linkTo } from '../call'
import { useFrame } from './frame'
import { Choices } from '../kit'
import { PlaceRight } from '../places'
import NameAndEnd from './NameAndEnd.vue'
import SafeKeeping from './SafeKeeping.vue'
import SettingsCard from './SettingsCard.vue'
import StartHousehold from './StartHousehold.vue'
import { humidity, temperature } from './words'

const frame = useFrame()
const { answer: households } = useView(listHouseholds)
const { answer: places } = useView(listPlaces, () => (householdHere ? {} : null))

const failure = ref('')
async function attempt(work: () => Promise<unknown>) {
  failure.value = ''
  try {
    await work()
  } catch (error) {
    failure.value = error instanceof Error ? error.message : String(error)
  }
}
/** Another household is another page: this one goes on writing into its own only. */
const goTo = (address: string) => location.assign(`/${address}/`)

const placeName = ref('')
const placeKind = ref<PlaceKind>('cool-room')
const placeKindChoices = (Object.keys(placeKinds) as PlaceKind[]).map((id) => ({ id, label: placeKinds[id].label }))
const righting = ref<string>()
const addPlace = () =>
  attempt(async () => {
    await write(addPlaceEndpoint, { body: { name: placeName.value.trim(), kind: placeKind.value } })
    placeName.value = ''
  })

const theme = ref<'paper' | 'cellar'>(document.documentElement.dataset['theme'] === 'cellar' ? 'cellar' : 'paper')
function wear(next: 'paper' | 'cellar') {
  theme.value = next
  document.documentElement.dataset['theme'] = next
  localStorage.setItem('theme', next)
}
</script>

<template>
  <div class="stack">
    <h1>The household</h1>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
    <p v-if="frame.frame" class="phone-only">
      <RouterLink to="/line">Drying line</RouterLink> · <RouterLink to="/stores">Stores</RouterLink> ·
      <RouterLink to="/almanac">Almanac</RouterLink> · <RouterLink to="/bench">Bench</RouterLink>
    </p>

    <div class="who">
      <section v-if="households?.length" class="card">
        <h2>Households on this machine</h2>
        <ul class="plain">
          <li v-for="h in households" :key="h.id" class="row">
            <strong>{{ h.name }}</strong>
            <span class="soft">{{ h.clock === 'practice' ? 'practice clock' : 'real clock' }}</span>
            <span v-if="h.address === householdHere" class="good">you are here</span>
            <a v-else class="el-button" :href="`/${h.address}/`">Go there</a>
          </li>
        </ul>
      </section>
      <StartHousehold @started="goTo" />
    </div>

    <section v-if="places" class="card">
      <h2>Places</h2>
      <ul class="plain">
        <li v-for="p in places" :key="p.id">
          <strong>{{ p.name }}</strong> <span class="soft">{{ placeKinds[p.kind].label.toLowerCase() }}</span>
          <span v-if="p.air.temperatureC !== null">
            · {{ temperature(p.air.temperatureC) }} · {{ humidity(p.air.relativeHumidityPct ?? 0) }}</span
          >
          <span v-else class="soft"> · never measured</span>
          <ElButton
            size="small"
            :aria-label="`Put right ${p.name}`"
            :aria-expanded="righting === p.id"
            @click="righting = righting === p.id ? undefined : p.id"
            >Put right</ElButton
          >
          <PlaceRight v-if="righting === p.id" :place="p" :kinds="placeKindChoices" @done="righting = undefined" />
        </li>
      </ul>
      <form class="stack" @submit.prevent="addPlace">
        <ElInput
          v-model="placeName"
          class="place-name"
          maxlength="40"
          aria-label="Name of a new place"
          placeholder="another place"
        />
        <Choices v-if="placeName.trim()" v-model="placeKind" label="Kind of place" :options="placeKindChoices" />
        <div><ElButton native-type="submit" :disabled="!placeName.trim()">Add it</ElButton></div>
      </form>
      <p class="more">
        <RouterLink class="el-button" to="/readings">Logger files and sensors</RouterLink>
      </p>
    </section>

    <SettingsCard v-if="frame.frame" />

    <SafeKeeping @brought="goTo" />

    <section v-if="frame.frame" class="card stack">
      <h2>Take it with you</h2>
      <div class="row">
        <a class="el-button" :href="linkTo(exportJobs, {})" download>Jobs, as a calendar</a>
        <a class="el-button" :href="linkTo(exportLots, {})" download>Lots, CSV</a>
        <a class="el-button" :href="linkTo(exportLedger, {})" download>The whole ledger, CSV</a>
      </div>
      <p v-if="places?.length">
        Readings, CSV:
        <template v-for="(p, i) in places" :key="p.id"
          >{{ i ? ', ' : ''
          }}<a :href="linkTo(exportReadings, { query: { place: p.id } })" download>{{
            p.name.toLowerCase()
          }}</a></template
        >
      </p>
    </section>

    <section class="card stack">
      <h2>Light</h2>
      <Choices
        label="Light"
        :model-value="theme"
        :options="[
          { id: 'paper', label: 'Paper, by day' },
          { id: 'cellar', label: 'Cellar, in the dark' },
        ]"
        @update:model-value="$event && wear($event)"
      />
    </section>

    <NameAndEnd v-if="frame.frame" />

    <section class="card">
      <h2>Advice, not authority</h2>
      <p>
        Vadose reckons; it does not see, smell or taste. Your local food-safety authority and tested recipes come first.
        When in doubt, throw it out.
      </p>
    </section>
  </div>
</template>

<style scoped>
.who {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: 14px;
  align-items: start;
}
.plain {
  list-style: none;
  margin: 8px 0;
  padding: 0;
  display: grid;
  gap: 6px;
}
.more {
  margin-top: 10px;
}
.place-name {
  width: 220px;
}
.phone-only {
  display: none;
}
@media (max-width: 820px) {
  .phone-only {
    display: block;
    font-size: 18px;
  }
}
</style>
