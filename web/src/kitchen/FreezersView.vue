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
  { id: 'long', says: 'more than 8 months' },
  { id: 'months', says: '4 to 8 months' },
  { id: 'soon', says: '1 to 4 months' },
  { id: 'past', says: 'under a month, or past its best' },
]
</script>

<template>
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="view" class="columns">
    <div class="stack">
      <header class="head">
        <h1>Freezers</h1>
        <p class="soft">
          {{ sum((f) => f.bags) }} bags, {{ weight(sum((f) => f.weightG))
          }}<template v-if="freezers.some((f) => f.mayFreezeG !== null)"
            >; {{ weight(sum((f) => f.mayFreezeG ?? 0)) }} more may be frozen today</template
          >
        </p>
        <div class="acts no-print">
          <RouterLink class="el-button" to="/kitchen">Put something in</RouterLink>
          <RouterLink class="el-button" to="/evening">An evening of freezing</RouterLink>
          <RouterLink class="el-button el-button--primary" to="/power-cut">The power is off</RouterLink>
        </div>
      </header>
      <section v-if="freezers.length === 0" class="card">
        <h2>No freezer yet</h2>
        <p><RouterLink to="/household">Add one</RouterLink> with its litres, and its baskets as parts of it.</p>
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
        <h2>How cold it has been</h2>
        <ColdChart :freezers="freezers" />
        <p v-if="freezers.every(({ log }) => log.length === 0)" class="soft">
          Nobody measures: a thermometer with a log in the top basket tells of a lid ajar.
        </p>
        <p v-if="spells.length > 0 && cost < 1">
          A lid left ajar {{ spells.length === 1 ? 'once' : `${spells.length} times` }} cost what lies there less than a
          day of life; nothing else.
        </p>
        <p v-for="s in cost < 1 ? [] : spells" :key="s.in + s.from" :class="{ bad: s.thawed }">
          {{ shortDate(civilDateOf(Date.parse(s.from), zone)) }}, {{ s.in.toLowerCase() }}: {{ s.hours }} h up to
          {{ temperature(s.warmestC) }}.
          <template v-if="s.thawed"
            >It thawed: <RouterLink to="/power-cut">go through it bag by bag</RouterLink>.</template
          ><template v-else>
            It cost what lies there
            {{ s.costDays < 0.5 ? 'less than a day' : `about ${Math.round(s.costDays)} days` }} of life; nothing
            else.</template
          >
        </p>
        <p v-if="spells.length === 0 && freezers.some(({ log }) => log.length > 0)" class="good">
          No warm spell in six weeks.
        </p>
        <p v-for="f in slow" :key="f.id" class="soft">
          {{ f.name }} stands at {{ temperature(f.usualC!) }}: its bags lose life
          {{ Math.round((f.pace! - 1) * 100) }} % faster than at {{ temperature(-18) }}. A step colder would do.
        </p>
      </section>
      <section class="card">
        <h2>Out first</h2>
        <ul class="bare rows">
          <li v-for="lot in first" :key="lot.code" class="out">
            <div>
              <a :href="`/lots/${lot.code}`" @click.prevent="drawer = lot.code"
                ><strong>{{ lotName(lot) }}</strong></a
              >
              <span class="soft"> {{ monthOf(lot.broughtOn) }}, {{ lot.in.toLowerCase() }}</span>
              <p :class="lot.monthsLeft < 1 ? 'bad' : 'soft'">
                {{ lot.monthsLeft <= 0 ? '▲ taste is going, safe: good to' : 'at its best to' }}
                {{ longDate(lot.keepsUntil) }}
              </p>
            </div>
            <span class="heavy">{{ weight(lot.weightG) }}</span>
          </li>
        </ul>
      </section>
      <section v-if="freezers.length > 0" class="card">
        <h2>What may go in today</h2>
        <p v-for="f in freezers" :key="f.id">
          <strong>{{ f.name }}:</strong>
          <template v-if="f.mayFreezeG !== null">
            <span class="figure"> {{ weight(f.mayFreezeG) }}</span><span v-if="f.putInG" class="soft"
              >, {{ weight(f.putInG) }} went in since yesterday</span
            >
          </template>
          <template v-else>
            nobody has said how many litres it holds;
            <RouterLink to="/household">say so in Places</RouterLink></template
          >
        </p>
        <p class="soft">More than that, and the bags beside it warm up. Spread it out, against the walls.</p>
      </section>
    </aside>
    <LotDrawer :code="drawer" @close="drawer = undefined" />
  </div>
</template>

<style scoped>
.side-by-side {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(300px, 1fr));
  gap: 18px;
  align-items: start;
}
.legend {
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: 6px 18px;
  padding: 0;
  margin: 0;
}
.legend li {
  display: flex;
  align-items: center;
  gap: 8px;
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
  gap: 12px;
}
</style>
