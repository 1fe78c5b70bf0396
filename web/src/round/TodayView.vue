<script setup lang="ts">
import { useByAndBy } from '../by-and-by'
import { useView } from '../view'
import { readRound } from '@vadose/contract/round'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount, fullDate, BackupNotice, humidity, shortDate, temperature, useFrame, weight } from '../households'
import { TroubledLots, useAct } from '../lots'
import AlarmsCard from './AlarmsCard.vue'
import JobRow from './JobRow.vue'
import Spark from './Spark.vue'
import WeatherDays from './WeatherDays.vue'
import { sayFact } from '../voice'
import { say } from './say'
import { Notice } from '../kit'

const frame = useFrame()
const route = useRoute()
const on = computed(() => (typeof route.query['on'] === 'string' ? route.query['on'] : undefined))
const { answer: round, failure } = useView(readRound, () => ({ query: { on: on.value } }))
/** What has outlived its time comes before everything else, wherever it lies. */
const overdue = computed(() =>
  (round.value?.places ?? []).flatMap((place) =>
    place.jobs.filter((job) => job.overdue).map((job) => ({ job, place })),
  ),
)
const places = computed(() =>
  (round.value?.places ?? [])
    .map((place) => ({ ...place, jobs: place.jobs.filter((job) => !job.overdue) }))
    .filter((place) => place.jobs.length > 0),
)
const count = computed(() => round.value?.places.reduce((sum, p) => sum + p.jobs.length, 0) ?? 0)
/** the first places are on the screen before what is below them, and beside them, is drawn */
const shown = useByAndBy(
  computed(() => (round.value ? places.value.length + 1 : 0)),
  1,
)
const { act, refusal } = useAct()
const useOne = (code: string, pieces: number | null, weightG: number) =>
  act(code, pieces === null ? { act: 'use', weightG: Math.min(250, weightG) } : { act: 'use', pieces: 1 })
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="round" class="columns">
    <div class="stack">
      <header class="head">
        <h1>{{ on && on !== frame.today ? say('theRoundOn', { fullDate: fullDate(on) }) : say('theRound') }}</h1>
        <p class="soft">
          <template v-if="count">{{
            say('inInWalkingOrder', {
              jobs: say('jobs', { n: count }),
              places: say('places', { n: round.places.length }),
            })
          }}</template>
        </p>
      </header>
      <BackupNotice />
      <TroubledLots :lots="round.troubled" />
      <AlarmsCard v-if="!on || on === frame.today" />
      <section v-if="count === 0" class="card quiet">
        <h2>{{ say('nothingNeedsYouThatDay', { on: on && on !== frame.today ? 'yes' : 'no' }) }}</h2>
        <p v-if="round.nextJobs.length">
          {{ say('next') }}
          <template v-for="(n, i) in round.nextJobs" :key="n.on">{{
            say('on', { i: i ? ', ' : '', jobs: say('jobs', { n: n.count }), on: fullDate(n.on) })
          }}</template>.
        </p>
        <p v-else>
          {{ say('nothingIsOnTheLine') }} <RouterLink to="/bring-in">{{ say('bringInAHarvest') }}</RouterLink>
          {{ say('andItsJobsAppearHere') }} <RouterLink to="/first">{{ say('theFirstEvening') }}</RouterLink>.
        </p>
      </section>
      <section v-if="overdue.length" class="card place" :aria-label="say('pastTheirTime')">
        <header class="row">
          <h2>{{ say('pastTheirTime') }}</h2>
          <span class="soft">{{ say('nobodyHasLookedSinceThey') }}</span>
        </header>
        <div class="rows">
          <JobRow
            v-for="o in overdue"
            :key="o.job.id"
            :job="o.job"
            :place-id="o.place.id"
            :where="o.place.name"
            :today="frame.today"
          />
        </div>
      </section>
      <section v-for="place in places.slice(0, shown)" :key="place.id" class="card place">
        <header class="row">
          <h2>{{ place.name }}</h2>
          <Spark :values="place.recent" :ok="place.verdict.suits" />
          <span v-if="place.temperatureC !== null" class="soft"
            >{{ temperature(place.temperatureC) }} · {{ humidity(place.relativeHumidityPct ?? 0) }}</span
          >
          <span v-else class="soft">{{ say('neverMeasured') }}</span>
          <strong class="verdict" :class="place.verdict.suits ? 'good' : 'bad'"
            >{{ place.verdict.suits ? '' : '▲ ' }}{{ sayFact(place.verdict.says) }}</strong
          >
        </header>
        <div class="rows">
          <JobRow v-for="job in place.jobs" :key="job.id" :job="job" :place-id="place.id" :today="frame.today" />
        </div>
      </section>
      <p v-if="count && round.nextJobs.length" class="soft">
        {{ say('comingUp') }}
        <template v-for="(n, i) in round.nextJobs.slice(0, 4)" :key="n.on">{{
          say('on', { i: i ? ', ' : '', jobs: say('jobs', { n: n.count }), on: shortDate(n.on) })
        }}</template>.
      </p>
    </div>
    <aside v-if="shown > 2" class="stack">
      <section class="card">
        <h2>{{ say('eatFirst') }}</h2>
        <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
        <p v-if="round.eatFirst.length === 0" class="soft">{{ say('theLarderIsEmpty') }}</p>
        <ul class="eat rows">
          <li
            v-for="lot in round.eatFirst"
            :key="lot.code"
            :style="{ '--mark': cropColour(lot.crop) }"
            :class="{ urgent: lot.urgent }"
          >
            <div>
              <RouterLink :to="`/lots/${lot.code}`"
                ><strong>{{ lotName(lot) }}</strong></RouterLink
              >
              <span class="soft"> {{ amount(lot.pieces, lot.weightG, lotCrop(lot).piece) }}</span>
              <p class="soft">{{ lot.urgent ? say('soon') : '' }}{{ sayFact(lot.why) }}</p>
            </div>
            <ElButton
              :aria-label="say('useSomeOf', { pieces: lot.pieces === null ? 'yes' : 'no', code: lot.code })"
              @click="useOne(lot.code, lot.pieces, lot.weightG)"
            >
              {{ lot.pieces === null ? say('use', { weight: weight(250) }) : say('useOne') }}
            </ElButton>
          </li>
        </ul>
      </section>
      <section v-if="round.weather.length" class="card">
        <h2>{{ say('weather') }}</h2>
        <p class="soft">
          {{
            say('twoDaysPastThenWhat', { some: round.weather.some((d) => d.ahead && d.rainMm !== null) ? 'yes' : 'no' })
          }}
        </p>
        <WeatherDays :days="round.weather" />
        <Notice v-for="says in round.weatherSays" :key="says.says">{{ sayFact(says) }}</Notice>
      </section>
      <section class="card">
        <h2>{{ say('theLastSevenDays') }}</h2>
        <p class="soft">
          {{
            say('broughtInUsedLostDried', {
              broughtInG: weight(round.lastWeek.broughtInG),
              usedG: weight(round.lastWeek.usedG),
              lostG: weight(round.lastWeek.lostG),
              waterG: weight(round.lastWeek.waterG),
            })
          }}
        </p>
      </section>
    </aside>
  </div>
</template>

<style scoped>
.quiet {
  display: grid;
  gap: var(--s-6);
}
.place > header {
  padding-bottom: var(--s-8);
  border-bottom: 1px solid var(--line);
  gap: var(--s-12);
}
.verdict {
  margin-left: auto;
  font-size: var(--t-note);
}
.eat {
  list-style: none;
  padding: 0;
  margin: var(--s-8) 0 0;
}
.eat li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-12);
  align-items: center;
  padding: var(--s-8) 0 var(--s-8) var(--s-12);
  position: relative;
}
.eat li::before {
  content: '';
  position: absolute;
  left: 0;
  top: 10px;
  bottom: 10px;
  width: 4px;
  border-radius: 2px;
  background: var(--mark);
}
.eat li.urgent::before {
  background: repeating-linear-gradient(var(--bad) 0 5px, transparent 5px 8px);
}
.eat a {
  color: var(--ink);
}
.notice {
  margin-top: var(--s-8);
}
</style>
