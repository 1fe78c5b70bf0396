<script setup lang="ts">
import type { RoundView } from '@vadose/contract/round'
import { humidity, temperature } from '../households'
import { sayFact } from '../voice'
import JobRow from './JobRow.vue'
import Spark from './Spark.vue'
import { say } from './say'

/** A stop of the round: the place, how it suits what lies there, and its jobs. @prop rows how many of them are drawn by now */
defineProps<{ place: RoundView['places'][number]; rows: number; today: string }>()
</script>

<template>
  <section class="card ruled">
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
      <JobRow v-for="job in place.jobs.slice(0, rows)" :key="job.id" :job="job" :place-id="place.id" :today="today" />
    </div>
  </section>
</template>

<style scoped>
.verdict {
  margin-left: auto;
  font-size: var(--t-note);
}
</style>
