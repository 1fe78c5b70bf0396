<script setup lang="ts">
import { useByAndBy } from '../by-and-by'
import { useView } from '../view'
import { readRound } from '@vadose/contract/round'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { fullDate, BackupNotice, shortDate, useFrame } from '../households'
import { TroubledLots } from '../lots'
import AlarmsCard from './AlarmsCard.vue'
import JobRow from './JobRow.vue'
import PlaceJobs from './PlaceJobs.vue'
import TodayAside from './TodayAside.vue'
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
const places = computed(() => {
  let before = overdue.value.length
  return (round.value?.places ?? [])
    .map((place) => ({ ...place, jobs: place.jobs.filter((job) => !job.overdue) }))
    .filter((place) => place.jobs.length > 0)
    .map((place) => ({ ...place, before: (before += place.jobs.length) - place.jobs.length }))
})
const count = computed(() => round.value?.places.reduce((sum, p) => sum + p.jobs.length, 0) ?? 0)
/** what stands above the jobs is on the screen first, then a place before its jobs, then what is below and beside them */
const shown = useByAndBy(
  computed(() => (round.value ? count.value + 1 : 0)),
  0,
  2,
)
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
      <section v-if="overdue.length && shown > 0" class="card ruled" :aria-label="say('pastTheirTime')">
        <header class="row">
          <h2>{{ say('pastTheirTime') }}</h2>
          <span class="soft">{{ say('nobodyHasLookedSinceThey') }}</span>
        </header>
        <div class="rows">
          <JobRow
            v-for="o in overdue.slice(0, shown - 1)"
            :key="o.job.id"
            :job="o.job"
            :place-id="o.place.id"
            :where="o.place.name"
            :today="frame.today"
          />
        </div>
      </section>
      <PlaceJobs
        v-for="place in places.filter(({ before }) => before < shown)"
        :key="place.id"
        :place="place"
        :rows="Math.min(place.jobs.length, shown - place.before - 1)"
        :today="frame.today"
      />
      <p v-if="count && round.nextJobs.length" class="soft">
        {{ say('comingUp') }}
        <template v-for="(n, i) in round.nextJobs.slice(0, 4)" :key="n.on">{{
          say('on', { i: i ? ', ' : '', jobs: say('jobs', { n: n.count }), on: shortDate(n.on) })
        }}</template>.
      </p>
    </div>
    <TodayAside v-if="shown > 4" :round="round" />
  </div>
</template>

<style scoped>
.quiet {
  display: grid;
  gap: var(--s-6);
}
</style>
