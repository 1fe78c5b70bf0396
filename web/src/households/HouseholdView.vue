<script setup lang="ts">
import {
  exportBeds,
  exportCounts,
  exportJobs,
  exportLarder,
  exportLedger,
  exportLots,
  exportReadings,
  exportRound,
  exportYear,
} from '@vadose/contract/exports'
import { useView } from '../view'
import { listHouseholds } from '@vadose/contract/households'
import { listPlaces } from '@vadose/contract/places'
import { ref } from 'vue'
import { householdHere, linkTo } from '../call'
import { useFrame } from './frame'
import { Choices } from '../kit'
import { PlacesCard } from '../places'
import CalendarCard from './CalendarCard.vue'
import HabitsCard from './HabitsCard.vue'
import NameAndEnd from './NameAndEnd.vue'
import SafeKeeping from './SafeKeeping.vue'
import SettingsCard from './SettingsCard.vue'
import StartHousehold from './StartHousehold.vue'
import { say } from './say'

const frame = useFrame()
const { answer: households } = useView(listHouseholds)
const { answer: places } = useView(listPlaces, () => (householdHere ? {} : null))

/** Another household is another page: this one goes on writing into its own only. */
const goTo = (address: string) => location.assign(`/${address}/`)

const theme = ref<'paper' | 'cellar'>(document.documentElement.dataset['theme'] === 'cellar' ? 'cellar' : 'paper')
function wear(next: 'paper' | 'cellar') {
  theme.value = next
  document.documentElement.dataset['theme'] = next
  localStorage.setItem('theme', next)
}
/** every list as a spreadsheet reads it */
const tables = [
  { of: exportLots, label: say('lots') },
  { of: exportLarder, label: say('theLarder') },
  { of: exportRound, label: say('theRound') },
  { of: exportBeds, label: say('beds') },
  { of: exportCounts, label: say('counts') },
  { of: exportYear, label: say('theYear') },
  { of: exportLedger, label: say('theWholeLedger') },
]
</script>

<template>
  <div class="stack">
    <h1>{{ say('theHousehold') }}</h1>
    <p v-if="frame.frame" class="phone-only">
      <RouterLink to="/line">{{ say('dryingLine') }}</RouterLink> ·
      <RouterLink to="/stores">{{ say('stores') }}</RouterLink> ·
      <RouterLink to="/year">{{ say('year') }}</RouterLink> ·
      <RouterLink to="/kitchen">{{ say('inTheKitchen') }}</RouterLink> ·
      <RouterLink to="/beds">{{ say('inTheBeds') }}</RouterLink> ·
      <RouterLink to="/almanac">{{ say('almanac') }}</RouterLink> ·
      <RouterLink to="/bench">{{ say('bench') }}</RouterLink>
    </p>
    <p v-if="frame.frame" class="soft">
      {{ say('newHereOrPuttingThe') }} <RouterLink to="/first">{{ say('theFirstEvening') }}</RouterLink>
      {{ say('leadsFromThePlacesTo') }}
    </p>

    <div class="who">
      <section v-if="households?.length" class="card">
        <h2>{{ say('householdsOnThisMachine') }}</h2>
        <ul class="plain">
          <li v-for="h in households" :key="h.id" class="row">
            <strong>{{ h.name }}</strong>
            <span class="soft">{{ h.clock === 'practice' ? say('practiceClock') : say('realClock') }}</span>
            <span v-if="h.address === householdHere" class="good">{{ say('youAreHere') }}</span>
            <a v-else class="el-button" :href="`/${h.address}/`">{{ say('goThere') }}</a>
          </li>
        </ul>
      </section>
      <StartHousehold @started="goTo" />
    </div>

    <PlacesCard v-if="places" :places="places" />

    <HabitsCard v-if="frame.frame" />
    <SettingsCard v-if="frame.frame" />

    <SafeKeeping @brought="goTo" />

    <CalendarCard v-if="frame.frame" />

    <section v-if="frame.frame" class="card stack">
      <h2>{{ say('takeItWithYou') }}</h2>
      <div class="row">
        <a class="el-button" :href="linkTo(exportJobs, {})" download>{{ say('jobsAsACalendar') }}</a>
        <a v-for="t in tables" :key="t.label" class="el-button" :href="linkTo(t.of, {})" download>{{ t.label }}, CSV</a>
      </div>
      <p v-if="places?.length">
        {{ say('readingsCsv') }}
        <template v-for="(p, i) in places" :key="p.id"
          >{{ i ? ', ' : ''
          }}<a :href="linkTo(exportReadings, { query: { place: p.id } })" download>{{
            p.name.toLowerCase()
          }}</a></template
        >
      </p>
    </section>

    <section class="card stack">
      <h2>{{ say('light') }}</h2>
      <Choices
        :label="say('light')"
        :model-value="theme"
        :options="[
          { id: 'paper', label: say('paperByDay') },
          { id: 'cellar', label: say('cellarInTheDark') },
        ]"
        @update:model-value="$event && wear($event)"
      />
    </section>

    <NameAndEnd v-if="frame.frame" />

    <section class="card">
      <h2>{{ say('adviceNotAuthority') }}</h2>
      <p>
        {{ say('vadoseReckonsItDoesNot') }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.who {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: var(--s-16);
  align-items: start;
}
.plain {
  list-style: none;
  margin: var(--s-8) 0;
  padding: 0;
  display: grid;
  gap: var(--s-6);
}
.phone-only {
  display: none;
}
@media (max-width: 820px) {
  .phone-only {
    display: block;
    font-size: var(--t-head);
  }
}
</style>
