<script setup lang="ts">
import { sayFact } from '../voice'
import type { LotRow } from '@vadose/contract/lots'
import { cropColour, lotName } from '../almanac'
import { say } from './say'

/** Lots that cannot be worked out, each on a line of its own with the way to put it right. */
defineProps<{ lots: readonly LotRow[] }>()
</script>

<template>
  <section v-if="lots.length" class="card stack" :aria-label="say('cannotBeWorkedOut')">
    <h2>{{ say('cannotBeWorkedOut') }}</h2>
    <ul class="rows">
      <li v-for="lot in lots" :key="lot.code" :style="{ '--mark': cropColour(lot.crop) }">
        <p>
          <RouterLink :to="`/lots/${lot.code}`"
            ><strong>{{ lotName(lot) }}</strong> {{ lot.code }}</RouterLink
          >
          <span class="bad"> {{ lot.trouble && sayFact(lot.trouble) }}</span>
        </p>
        <p class="soft">{{ say('openItAndCorrectIts') }}</p>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
</style>
