<script setup lang="ts">
import { listHouseholds } from '@vadose/contract/households'
import { useView } from '../view'
import StartHousehold from './StartHousehold.vue'
import { say } from './say'
import { Notice } from '../kit'

/** Whose page it is cannot be told from its address: the households there are, with the same page of each. */
defineProps<{ unknown: string | undefined }>()
const { answer: households, failure } = useView(listHouseholds)
const rest = () => (location.pathname.split('/').length > 2 ? location.pathname : '/')
const here = (unknown: string | undefined) => (unknown ? '/' : rest() === '/' ? '/' : rest())
const goTo = (address: string) => location.assign(`/${address}/`)
</script>

<template>
  <div class="stack">
    <h1>{{ households?.length === 0 ? say('begin') : say('whoseIsIt') }}</h1>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <Notice v-if="unknown" bad>{{ say('thereIsNoHouseholdHere', { unknown }) }}</Notice>
    <p v-else-if="households && households.length > 1" class="soft">{{ say('theAddressNamesNoHousehold') }}</p>
    <section v-if="households?.length" class="card">
      <h2>{{ say('householdsOnThisMachine') }}</h2>
      <ul class="plain">
        <li v-for="h in households" :key="h.id" class="row">
          <a class="el-button" :href="`/${h.address}${here(unknown)}`">{{ h.name }}</a>
          <span class="soft">{{ h.clock === 'practice' ? say('practiceClock') : say('realClock') }}</span>
        </li>
      </ul>
    </section>
    <StartHousehold @started="goTo" />
  </div>
</template>

<style scoped>
.plain {
  list-style: none;
  margin: var(--s-8) 0;
  padding: 0;
  display: grid;
  gap: var(--s-8);
}
</style>
