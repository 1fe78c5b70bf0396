<script setup lang="ts">
import type { LotRow } from '@vadose/contract/lots'
import { computed } from 'vue'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount, shortDate } from '../households'
import { say } from './say'

/** The last lots that came in, to see that yesterday's are there and to tie on a tag that is missing. */
const props = defineProps<{ lots: LotRow[] }>()
const shown = 8
const lately = computed(() =>
  [...props.lots].sort((a, b) => (a.broughtOn < b.broughtOn ? 1 : a.broughtOn > b.broughtOn ? -1 : 0)).slice(0, shown),
)
</script>

<template>
  <section v-if="lately.length" class="card">
    <h2>{{ say('broughtInLately') }}</h2>
    <ul class="rows">
      <li v-for="lot in lately" :key="lot.code" :style="{ '--crop': cropColour(lot.crop) }">
        <span class="soft">{{ shortDate(lot.broughtOn) }}</span>
        <RouterLink :to="`/lots/${lot.code}`">{{ lot.code }}</RouterLink>
        <strong>{{ lotName(lot) }}</strong>
        <span class="soft">{{ [lot.variety, lot.bed, lot.place?.toLowerCase()].filter(Boolean).join(' · ') }}</span>
        <span class="much">{{ amount(lot.pieces, lot.weightG, lotCrop(lot).piece, lot.guessed) }}</span>
        <RouterLink class="tag" :to="`/lots/${lot.code}/tag`">{{ say('tag') }}</RouterLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  list-style: none;
  margin: var(--s-6) 0 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 62px 62px minmax(0, 1.2fr) minmax(0, 1.4fr) 170px 44px;
  gap: var(--s-12);
  align-items: center;
  padding: var(--s-8) 0 var(--s-8) var(--s-8);
  border-left: 5px solid var(--crop);
}
.much {
  text-align: right;
}
.tag {
  text-align: right;
  padding: var(--s-4) 0;
}
@media (max-width: 820px) {
  li {
    grid-template-columns: 56px 62px minmax(0, 1fr) 44px;
  }
  li > .soft:nth-of-type(2),
  .much {
    grid-column: 2 / -1;
    text-align: left;
  }
  .tag {
    grid-row: 1;
    grid-column: 4;
  }
}
</style>
