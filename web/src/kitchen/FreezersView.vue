<script setup lang="ts">
import { readFreezers } from '@vadose/contract/kitchen'
import { civilDateOf } from '@vadose/core/households'
import { computed, ref } from 'vue'
import { lotName } from '../almanac'
import { longDate, monthOf, shortDate, temperature, useFrame, weight } from '../households'
import { LotDrawer } from '../lots'
import { useView } from '../view'
import ColdChart from './ColdChart.vue'
import FreezerBox from './FreezerBox.vue'
import { say } from './say'
import { Notice } from '../kit'

/** The freezers from above, lid off: how full, how cold it has been, what goes out first and what may still go in. */
const { answer: view, failure } = useView(readFreezers)
const frame = useFrame()
const zone = computed(() => frame.frame?.household.timeZone ?? 'UTC')
const drawer = ref<string>()
const freezers = computed(() => view.value?.freezers ?? [])
const sum = (of: (freezer: (typeof freezers.value)[number]) => number) => freezers.value.reduce((s, f) => s + of(f), 0)
const soonest = 4
const first = computed(() =>
  freezers.value
    .flatMap(({ name, lots }) => lots.map((lot) => ({ ...lot, in: name })))
    .sort((a, b) => a.monthsLeft - b.monthsLeft)
    .slice(0, soonest),
)
const spells = computed(() =>
  freezers.value.flatMap(({ name, spells: own }) => own.map((spell) => ({ ...spell, in: name }))).slice(-3),
)
const cost = computed(() => spells.value.reduce((days, s) => days + (s.thawed ? Infinity : s.costDays), 0))
/** tenths faster than at −18 °C, where that is worth a word */
const slow = computed(() => freezers.value.filter(({ pace }) => pace !== null && pace >= 1.05))
const ages = [
  { id: 'long', says: say('moreThanMonths') },
  { id: 'months', says: say('fourToEightMonths') },
  { id: 'soon', says: say('oneToFourMonths') },
  { id: 'past', says: say('underAMonthOrPast') },
]
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="view" class="columns">
    <div class="stack">
      <header class="head">
        <h1>{{ say('freezers') }}</h1>
        <p class="soft">
          {{ say('bags3', { sum: sum((f) => f.bags), weight: weight(sum((f) => f.weightG)) })
          }}<template v-if="freezers.some((f) => f.mayFreezeG !== null)">{{
            say('moreMayBeFrozenToday', { weight: weight(sum((f) => f.mayFreezeG ?? 0)) })
          }}</template>
        </p>
        <div class="acts no-print">
          <RouterLink class="el-button" to="/kitchen">{{ say('putSomethingIn') }}</RouterLink>
          <RouterLink class="el-button" to="/evening">{{ say('anEveningOfFreezing') }}</RouterLink>
          <RouterLink class="el-button el-button--primary" to="/power-cut">{{ say('thePowerIsOff') }}</RouterLink>
        </div>
      </header>
      <section v-if="freezers.length === 0" class="card">
        <h2>{{ say('noFreezerYet') }}</h2>
        <p>
          <RouterLink to="/household">{{ say('addOne') }}</RouterLink> {{ say('withItsLitresAndIts') }}
        </p>
      </section>
      <div class="side-by-side">
        <FreezerBox v-for="f in freezers" :key="f.id" :freezer="f" @look="drawer = $event" />
      </div>
      <ul v-if="freezers.length > 0" class="legend">
        <li v-for="a in ages" :key="a.id"><i class="frozen-bag" :class="a.id"></i>{{ a.says }}</li>
      </ul>
    </div>
    <aside class="stack">
      <section class="card">
        <h2>{{ say('howColdItHasBeen') }}</h2>
        <ColdChart :freezers="freezers" />
        <p v-if="freezers.every(({ log }) => log.length === 0)" class="soft">
          {{ say('nobodyMeasuresAThermometerWith') }}
        </p>
        <p v-if="spells.length > 0 && cost < 1">
          {{
            say('aLidLeftAjarCost', {
              spells: spells.length === 1 ? say('once') : say('times', { spells: spells.length }),
            })
          }}
        </p>
        <p v-for="s in cost < 1 ? [] : spells" :key="s.in + s.from" :class="{ bad: s.thawed }">
          {{
            say('hUpTo', {
              shortDate: shortDate(civilDateOf(Date.parse(s.from), zone)),
              in: s.in.toLowerCase(),
              hours: s.hours,
              warmestC: temperature(s.warmestC),
            })
          }}
          <template v-if="s.thawed"
            >{{ say('itThawed') }} <RouterLink to="/power-cut">{{ say('goThroughItBagBy') }}</RouterLink>.</template
          ><template v-else>{{
            say('itCostWhatLiesThere', {
              costDays: s.costDays < 0.5 ? say('lessThanADay') : say('aboutDays', { costDays: Math.round(s.costDays) }),
            })
          }}</template>
        </p>
        <p v-if="spells.length === 0 && freezers.some(({ log }) => log.length > 0)" class="good">
          {{ say('noWarmSpellInSix') }}
        </p>
        <p v-for="f in slow" :key="f.id" class="soft">
          {{
            say('standsAtItsBagsLose', {
              name: f.name,
              temperature: temperature(f.usualC!),
              pace: Math.round((f.pace! - 1) * 100),
              temperature2: temperature(-18),
            })
          }}
        </p>
      </section>
      <section class="card">
        <h2>{{ say('outFirst') }}</h2>
        <ul class="bare rows">
          <li v-for="lot in first" :key="lot.code" class="out">
            <div>
              <a :href="`/lots/${lot.code}`" @click.prevent="drawer = lot.code"
                ><strong>{{ lotName(lot) }}</strong></a
              >
              <span class="soft"> {{ monthOf(lot.broughtOn) }}, {{ lot.in.toLowerCase() }}</span>
              <p :class="lot.monthsLeft < 1 ? 'bad' : 'soft'">
                {{ lot.monthsLeft <= 0 ? say('tasteIsGoingSafeGood') : say('atItsBestTo') }}
                {{ longDate(lot.keepsUntil) }}
              </p>
            </div>
            <span class="heavy">{{ weight(lot.weightG) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="freezers.length > 0" class="card">
        <h2>{{ say('whatMayGoInToday') }}</h2>
        <p v-for="f in freezers" :key="f.id">
          <strong>{{ f.name }}:</strong>
          <template v-if="f.mayFreezeG !== null">
            <span class="figure"> {{ weight(f.mayFreezeG) }}</span><span v-if="f.putInG" class="soft">{{
              say('wentInSinceYesterday', { putInG: weight(f.putInG) })
            }}</span>
          </template>
          <template v-else
            >{{ say('nobodyHasSaidHowMany') }}
            <RouterLink to="/household">{{ say('saySoInPlaces') }}</RouterLink></template
          >
        </p>
        <p class="soft">{{ say('moreThanThatAndThe') }}</p>
      </section>
    </aside>
    <LotDrawer :code="drawer" @close="drawer = undefined" />
  </div>
</template>

<style scoped>
.side-by-side {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: var(--s-16);
  align-items: start;
}
.legend {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-6) var(--s-16);
  padding: 0;
  margin: 0;
}
.legend li {
  display: flex;
  align-items: center;
  gap: var(--s-8);
}
.legend .frozen-bag {
  width: 26px;
  height: 18px;
}
.heavy {
  white-space: nowrap;
}
.out {
  display: flex;
  justify-content: space-between;
  gap: var(--s-12);
}
</style>
