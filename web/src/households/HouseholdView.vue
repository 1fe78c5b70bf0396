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
import NameAndEnd from './NameAndEnd.vue'
import SafeKeeping from './SafeKeeping.vue'
import SettingsCard from './SettingsCard.vue'
import StartHousehold from './StartHousehold.vue'

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
  { of: exportLots, label: 'Lots' },
  { of: exportLarder, label: 'The larder' },
  { of: exportRound, label: 'The round' },
  { of: exportBeds, label: 'Beds' },
  { of: exportCounts, label: 'Counts' },
  { of: exportYear, label: 'The year' },
  { of: exportLedger, label: 'The whole ledger' },
]
</script>

<template>
  <div class="stack">
    <h1>The household</h1>
    <p v-if="frame.frame" class="phone-only">
      <RouterLink to="/line">Drying line</RouterLink> · <RouterLink to="/stores">Stores</RouterLink> ·
      <RouterLink to="/year">Year</RouterLink> · <RouterLink to="/kitchen">In the kitchen</RouterLink> ·
      <RouterLink to="/beds">In the beds</RouterLink> · <RouterLink to="/almanac">Almanac</RouterLink> ·
      <RouterLink to="/bench">Bench</RouterLink>
    </p>
    <p v-if="frame.frame" class="soft">
      New here, or putting the house in order? <RouterLink to="/first">The first evening</RouterLink> leads from the
      places to the first round.
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

    <PlacesCard v-if="places" :places="places" />

    <SettingsCard v-if="frame.frame" />

    <SafeKeeping @brought="goTo" />

    <CalendarCard v-if="frame.frame" />

    <section v-if="frame.frame" class="card stack">
      <h2>Take it with you</h2>
      <div class="row">
        <a class="el-button" :href="linkTo(exportJobs, {})" download>Jobs, as a calendar</a>
        <a v-for="t in tables" :key="t.label" class="el-button" :href="linkTo(t.of, {})" download>{{ t.label }}, CSV</a>
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
