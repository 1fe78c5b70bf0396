<script setup lang="ts">
import { listBeds } from '@vadose/contract/beds'
import { computed } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { fullDate, useFrame } from '../households'
import { useView } from '../view'
import { sayFact } from '../voice'
import { say } from './say'

/** What is about to come in, or asks for a look, before it does. */
const frame = useFrame()
const { answer: stands } = useView(listBeds)
const shown = 4
const soon = computed(() => (stands.value ?? []).filter((stand) => !stand.over).slice(0, shown))
const next = { look: say('look'), 'cut-scapes': say('cutTheScapes'), lift: say('lift') }
</script>

<template>
  <section v-if="stands" class="card">
    <header class="row">
      <h2>{{ say('stillInTheBeds') }}</h2>
      <RouterLink to="/beds">{{ stands.length ? say('allBeds') : say('writeDownALookAt') }}</RouterLink>
    </header>
    <ul v-if="soon.length" class="rows">
      <li v-for="stand in soon" :key="stand.key" :style="{ '--crop': cropColour(stand.crop) }">
        <strong>{{ cropOf(stand.crop).name }}{{ stand.variety ? ` ${stand.variety}` : '' }}</strong>
        <RouterLink :to="{ path: '/beds', query: { stand: stand.key } }">{{ stand.bed }}</RouterLink>
        <span>{{ stand.verdict?.says[0] ? sayFact(stand.verdict.says[0]) : '' }}</span>
        <span v-if="stand.verdict?.next" class="soft"
          >{{ next[stand.verdict.next.what] }}
          {{ stand.verdict.next.on <= frame.today ? say('today') : fullDate(stand.verdict.next.on) }}</span
        >
      </li>
    </ul>
    <p v-else class="soft">{{ say('whatIsSeenThereBefore') }}</p>
  </section>
</template>

<style scoped>
header {
  justify-content: space-between;
}
ul {
  list-style: none;
  margin: var(--s-6) 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1.2fr) 90px minmax(0, 2.4fr) 170px;
  gap: var(--s-4) var(--s-12);
  padding: var(--s-8) 0 var(--s-8) var(--s-8);
  border-left: 5px solid var(--crop);
}
@media (max-width: 820px) {
  li {
    grid-template-columns: 1fr auto;
  }
  li > span {
    grid-column: 1 / -1;
  }
}
</style>
