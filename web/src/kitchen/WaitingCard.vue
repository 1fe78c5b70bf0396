<script setup lang="ts">
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { cropOf, lotName } from '../almanac'
import { amount } from '../households'
import { useDish } from './dish-draft'
import { say } from './say'

/** What was set aside and wants using. */
const dish = useDish()
const waiting = computed(() => dish.from.filter(({ aside }) => aside))
</script>

<template>
  <section class="card">
    <h2>{{ say('waitingToBeUsed') }}</h2>
    <p v-if="waiting.length === 0" class="soft">{{ say('nothingIsSetAside') }}</p>
    <ul class="bare rows">
      <li v-for="lot in waiting" :key="lot.code">
        <span
          ><strong>{{ lotName(lot) }}</strong>
          <span class="soft">{{ lot.code }}, {{ amount(lot.pieces, lot.weightG, cropOf(lot.crop).piece) }}</span></span
        >
        <ElButton
          :disabled="dish.isIn(lot.code)"
          :aria-label="say('goesIn', { code: lot.code })"
          @click="dish.put(lot, { all: true })"
          >{{ say('in') }}</ElButton
        >
      </li>
    </ul>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-8);
  align-items: center;
  padding: var(--s-8) 0;
}
</style>
