<script setup lang="ts">
import { readThermometers } from '@vadose/contract/stores'
import { computed } from 'vue'
import { weight } from '../households'
import { useView } from '../view'

/** Where a cheap thermometer would tell most: how much surer the dates there would be. */
const { answer } = useView(readThermometers)
const most = 3
const worth = computed(() => (answer.value ?? []).slice(0, most))
const longest = computed(() => Math.max(1, ...worth.value.map(({ daysNow }) => daysNow)))
const days = (n: number) => `± ${Math.round(n)} ${Math.round(n) === 1 ? 'day' : 'days'}`
</script>

<template>
  <section v-if="worth.length > 0" class="card">
    <h2>Where a cheap thermometer tells most</h2>
    <ul class="bare rows">
      <li v-for="w in worth" :key="w.id" class="worth">
        <div>
          <RouterLink :to="`/places/${w.id}`"
            ><strong>{{ w.place }}</strong></RouterLink
          >
          <p class="soft">{{ w.lots }} {{ w.lots === 1 ? 'lot' : 'lots' }}, {{ weight(w.weightG) }}</p>
        </div>
        <div>
          <span class="bar" aria-hidden="true"
            ><i class="now" :style="{ width: `${(w.daysNow / longest) * 100}%` }"></i
            ><i class="then" :style="{ width: `${(w.daysThen / longest) * 100}%` }"></i
          ></span>
          <p class="soft">
            {{
              w.daysNow - w.daysThen < 1
                ? `${days(w.daysNow)}: known well enough`
                : `${days(w.daysNow)} now, then ${days(w.daysThen)}`
            }}
          </p>
        </div>
      </li>
    </ul>
    <p class="soft">A reading every day or two for six weeks; low in the rack, away from the door.</p>
  </section>
</template>

<style scoped>
.worth {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
  padding: 8px 0;
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
