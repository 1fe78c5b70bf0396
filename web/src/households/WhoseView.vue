<script setup lang="ts">
import { listHouseholds } from '@vadose/contract/households'
import { useView } from '../view'
import StartHousehold from './StartHousehold.vue'

/** Whose page it is cannot be told from its address: the households there are, with the same page of each. */
defineProps<{ unknown: string | undefined }>()
const { answer: households, failure } = useView(listHouseholds)
const rest = () => (location.pathname.split('/').length > 2 ? location.pathname : '/')
const here = (unknown: string | undefined) => (unknown ? '/' : rest() === '/' ? '/' : rest())
const goTo = (address: string) => location.assign(`/${address}/`)
</script>

<template>
  <div class="stack">
    <h1>{{ households?.length === 0 ? 'Begin' : 'Whose is it?' }}</h1>
    <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
    <p v-if="unknown" class="notice bad" role="alert">There is no household “{{ unknown }}” here (any more).</p>
    <p v-else-if="households && households.length > 1" class="soft">The address names no household.</p>
    <section v-if="households?.length" class="card">
      <h2>Households on this machine</h2>
      <ul class="plain">
        <li v-for="h in households" :key="h.id" class="row">
          <a class="el-button" :href="`/${h.address}${here(unknown)}`">{{ h.name }}</a>
          <span class="soft">{{ h.clock === 'practice' ? 'practice clock' : 'real clock' }}</span>
        </li>
      </ul>
    </section>
    <StartHousehold @started="goTo" />
  </div>
</template>

<style scoped>
.plain {
  list-style: none;
  margin: 8px 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
</style>
