<script setup lang="ts">
import { readThermometers } from '@vadose/contract/stores'
import { computed } from 'vue'
import { weight } from '../households'
import { useView } from '../view'
import { say } from './say'

/** Where a cheap thermometer would tell most: how much surer the dates there would be. */
const { answer } = useView(readThermometers)
const most = 3
const worth = computed(() => (answer.value ?? []).slice(0, most))
const longest = computed(() => Math.max(1, ...worth.value.map(({ daysNow }) => daysNow)))
const days = (n: number) => say('day', { n: Math.round(n) })
</script>

<template>
  <section v-if="worth.length > 0" class="card">
    <h2>{{ say('whereACheapThermometerTells') }}</h2>
    <ul class="bare rows">
      <li v-for="w in worth" :key="w.id" class="worth">
        <div>
          <RouterLink :to="`/places/${w.id}`"
            ><strong>{{ w.place }}</strong></RouterLink
          >
          <p class="soft">{{ w.lots }} {{ say('lot', { lots: w.lots }) }}, {{ weight(w.weightG) }}</p>
        </div>
        <div>
          <span class="bar" aria-hidden="true"
            ><i class="now" :style="{ width: `${(w.daysNow / longest) * 100}%` }"></i
            ><i class="then" :style="{ width: `${(w.daysThen / longest) * 100}%` }"></i
          ></span>
          <p class="soft">
            {{
              w.daysNow - w.daysThen < 1
                ? say('knownWellEnough', { days: days(w.daysNow) })
                : say('nowThen', { days: days(w.daysNow), days2: days(w.daysThen) })
            }}
          </p>
        </div>
      </li>
    </ul>
    <p class="soft">{{ say('aReadingEveryDayOr') }}</p>
  </section>
</template>

<style scoped>
.worth {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: var(--s-12);
  padding: var(--s-8) 0;
}
.bar {
  display: grid;
  place-items: center;
  height: 14px;
}
.bar i {
  grid-area: 1 / 1;
  border-radius: 4px;
}
.now {
  height: 12px;
  background: color-mix(in srgb, var(--wall) 45%, var(--card));
}
.then {
  height: 8px;
  background: var(--accent);
}
</style>
