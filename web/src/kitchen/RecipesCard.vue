<script setup lang="ts">
import type { RecipeView } from '@vadose/contract/kitchen'
import { ElButton } from 'element-plus'
import { cropOf } from '../almanac'
import { longDate } from '../households'

/** What this kitchen has made before: a tap lays it out again, to what there is. */
defineProps<{ recipes: readonly RecipeView[] }>()
defineEmits<{ choose: [recipe: RecipeView] }>()
const enough = ({ enoughFor, short, makes }: RecipeView) =>
  short === null
    ? ''
    : enoughFor >= 1
      ? `enough for all of it${enoughFor >= 2 ? `, ${Math.floor(enoughFor)} times over` : ''}`
      : enoughFor > 0
        ? `${cropOf(short).name.toLowerCase()} for about ${makes}`
        : `no ${cropOf(short).name.toLowerCase()} left`
</script>

<template>
  <section class="card">
    <h2>Made before</h2>
    <p v-if="recipes.length === 0" class="soft">What is made here is remembered with what went in and what came out.</p>
    <ul class="bare rows">
      <li v-for="r in recipes" :key="r.name" class="recipe">
        <div>
          <strong>{{ r.name }}</strong>
          <p class="soft">
            {{ r.times === 1 ? 'once' : `${r.times} times` }}, last on {{ longDate(r.madeOn) }}
            <template v-if="enough(r)"> · {{ enough(r) }}</template>
          </p>
        </div>
        <ElButton :aria-label="`Make ${r.name} again`" @click="$emit('choose', r)">Again</ElButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.recipe {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 9px 0;
}
</style>
