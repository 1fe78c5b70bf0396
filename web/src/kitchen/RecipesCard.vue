<script setup lang="ts">
import type { RecipeView } from '@vadose/contract/kitchen'
import { ElButton } from 'element-plus'
import { cropOf } from '../almanac'
import { longDate } from '../households'
import { say } from './say'

/** What this kitchen has made before: a tap lays it out again, to what there is. */
defineProps<{ recipes: readonly RecipeView[] }>()
defineEmits<{ choose: [recipe: RecipeView] }>()
const enough = ({ enoughFor, short, makes }: RecipeView) =>
  short === null
    ? ''
    : enoughFor >= 1
      ? say('enoughForAllOfIt', { enoughFor: enoughFor >= 2 ? say('timesOver', { floor: Math.floor(enoughFor) }) : '' })
      : enoughFor > 0
        ? say('forAbout', { name: cropOf(short).name.toLowerCase(), makes })
        : say('noLeft', { name: cropOf(short).name.toLowerCase() })
</script>

<template>
  <section class="card">
    <h2>{{ say('madeBefore') }}</h2>
    <p v-if="recipes.length === 0" class="soft">{{ say('whatIsMadeHereIs') }}</p>
    <ul class="bare rows">
      <li v-for="r in recipes" :key="r.name" class="recipe">
        <div>
          <strong>{{ r.name }}</strong>
          <p class="soft">
            {{
              say('lastOn', {
                times: r.times === 1 ? say('once') : say('times2', { times: r.times }),
                madeOn: longDate(r.madeOn),
              })
            }}
            <template v-if="enough(r)"> · {{ enough(r) }}</template>
          </p>
        </div>
        <ElButton :aria-label="say('makeAgain', { name: r.name })" @click="$emit('choose', r)">{{
          say('again')
        }}</ElButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.recipe {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: var(--s-8);
  align-items: center;
  padding: var(--s-8) 0;
}
</style>
