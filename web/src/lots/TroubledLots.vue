<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import { cropColour, lotName } from '../almanac'

/** Lots that cannot be worked out, each on a line of its own with the way to put it right. */
defineProps<{ lots: readonly LotRow[] }>()
</script>

<template>
  <section v-if="lots.length" class="card stack" aria-label="Cannot be worked out">
    <h2>Cannot be worked out</h2>
    <ul class="rows">
      <li v-for="lot in lots" :key="lot.code" :style="{ '--mark': cropColour(lot.crop) }">
        <p>
          <RouterLink :to="`/lots/${lot.code}`"
            ><strong>{{ lotName(lot) }}</strong> {{ lot.code }}</RouterLink
          >
          <span class="bad"> {{ lot.trouble }}</span>
        </p>
        <p class="soft">Open it and correct its figures, or write it off; everything else goes on without it.</p>
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
