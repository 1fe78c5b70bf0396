<script setup lang="ts">
import type { RoundView } from '@vadose/contract/round'
import { ElButton } from 'element-plus'
import { ref } from 'vue'
import { cropColour, lotCrop, lotName } from '../almanac'
import { useByAndBy } from '../by-and-by'
import { amount, weight } from '../households'
import { Notice } from '../kit'
import { useAct } from '../lots'
import { sayFact } from '../voice'
import { say } from './say'
import WeatherDays from './WeatherDays.vue'

/** What stands beside the round: what to eat first, the weather, the week. */
defineProps<{ round: RoundView }>()
const { act, refusal } = useAct()
const shown = useByAndBy(ref(3), 1)
const useOne = (code: string, pieces: number | null, weightG: number) =>
  act(code, pieces === null ? { act: 'use', weightG: Math.min(250, weightG) } : { act: 'use', pieces: 1 })
</script>

<template>
  <aside class="stack">
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
    <section v-if="shown > 1 && round.weather.length" class="card">
      <h2>{{ say('weather') }}</h2>
      <p class="soft">
        {{
          say('twoDaysPastThenWhat', { some: round.weather.some((d) => d.ahead && d.rainMm !== null) ? 'yes' : 'no' })
        }}
      </p>
      <WeatherDays :days="round.weather" />
      <Notice v-for="says in round.weatherSays" :key="says.says">{{ sayFact(says) }}</Notice>
    </section>
    <section v-if="shown > 2" class="card">
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
</template>

<style scoped>
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
