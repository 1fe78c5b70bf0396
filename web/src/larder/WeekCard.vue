<script setup lang="ts">
import { listRecipes } from '@vadose/contract/kitchen'
import type { LarderView } from '@vadose/contract/larder'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, lotName } from '../almanac'
import { sentence } from '../households'
import { useView } from '../view'
import { dishesFor } from './pots'
import { weekdayOf, weight } from '../households'
import { say } from './say'
import { sayWord } from '../voice'
import { Tip } from '../kit'

/** Seven days of pots that save what would be lost. */
const props = defineProps<{ view: LarderView }>()
const { answer: recipes } = useView(listRecipes)
/** how often other dishes were asked for */
const turn = ref(0)
const pots = computed(() => dishesFor(props.view, recipes.value ?? [], turn.value))
const more = computed(() => pots.value.some(({ ways }) => ways.length > 1))
const most = computed(() => Math.max(1, ...pots.value.map(({ savesG }) => savesG)))
</script>

<template>
  <section class="card">
    <h2>{{ say('soThatNothingIsLost') }}</h2>
    <p v-if="pots.length === 0" class="soft">{{ say('nothingIsWaitingEverythingKeeps') }}</p>
    <template v-else>
      <p class="soft">{{ say('aPotADayWhat') }}</p>
      <ul class="bare rows">
        <li v-for="pot in pots" :key="pot.code">
          <span class="day">{{ weekdayOf(pot.on).slice(0, 3) }}</span>
          <span>
            <RouterLink
              :to="{ path: '/kitchen', query: { lots: pot.code, ...(pot.dish ? { named: sentence(pot.dish) } : {}) } }"
              ><strong>{{ pot.dish ? sentence(sayWord(pot.dish)) : sentence(lotName(pot.lot)) }}</strong></RouterLink
            ><br />
            <span class="soft"
              >{{ weight(pot.useG)
              }}<template v-if="pot.dish">{{ say('of', { lotName: lotName(pot.lot).toLowerCase() }) }}</template></span
            >
          </span>
          <Tip :says="say('saves', { savesG: weight(pot.savesG) })">
            <i
              class="saves"
              :style="{ width: `${8 + (pot.savesG / most) * 52}px`, '--crop': cropColour(pot.lot.crop) }"
              tabindex="0"
              role="img"
              :aria-label="say('saves', { savesG: weight(pot.savesG) })"
            ></i
          ></Tip>
        </li>
      </ul>
      <p>
        <strong class="figure">{{ say('saved', { savedG: weight(view.week.savedG) }) }}</strong>
        <span class="soft">{{ say('ofThatAFortnightWould', { atRiskG: weight(view.week.atRiskG) }) }}</span>
      </p>
      <ElButton v-if="more" @click="turn++">{{ say('otherDishes') }}</ElButton>
    </template>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 38px 1fr 64px;
  gap: var(--s-8);
  align-items: center;
  padding: var(--s-8) 0;
}
.day {
  font: 650 var(--t-note) var(--font-head);
}
.saves {
  height: 11px;
  border-radius: 3px;
  background: repeating-linear-gradient(
    115deg,
    var(--crop) 0 5px,
    color-mix(in srgb, var(--crop) 60%, var(--card)) 5px 8px
  );
}
</style>
