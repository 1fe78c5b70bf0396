<script setup lang="ts">
import type { PlaceClimate } from '@vadose/contract/stores'
import { cropColour } from '../almanac'
import { comfortWords } from './comfort'
import { say } from './say'
import { sayWord } from '../voice'

/** Who is happy here, and when: a bar of months for each crop, hatched where it will do, hollow where it loses. */
const props = defineProps<{ view: PlaceClimate }>()
const kinds = [
  { id: 'well', says: say('well'), css: 'well' },
  { id: 'will do', says: say('itWillDo'), css: 'does' },
  { id: 'loses', says: say('losesByIt'), css: 'loses' },
] as const
const cssOf = (comfort: string) => kinds.find(({ id }) => id === comfort)!.css
const inWords = (comforts: readonly string[]) => comfortWords(comforts, props.view.months)
</script>

<template>
  <div>
    <ul class="legend">
      <li v-for="k in kinds" :key="k.id"><i class="month" :class="k.css"></i>{{ k.says }}</li>
    </ul>
    <ul class="bare rows">
      <li v-for="c in view.comfort" :key="c.crop + c.name" class="crop" :style="{ '--crop': cropColour(c.crop) }">
        <span
          ><strong>{{ sayWord(c.name) }}</strong
          ><span v-if="!c.here" class="soft">{{ say('notHereNow') }}</span></span
        >
        <span class="bar" role="img" :aria-label="inWords(c.months)">
          <i v-for="(m, i) in c.months" :key="i" class="month" :class="cssOf(m)"></i>
        </span>
        <span class="soft">{{ inWords(c.months) }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.legend {
  --crop: var(--stock);
  list-style: none;
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-4) var(--s-16);
  padding: 0;
  margin: 0 0 var(--s-6);
}
.legend li {
  display: flex;
  align-items: center;
  gap: var(--s-6);
}
.legend .month {
  width: 26px;
}
.crop {
  display: grid;
  grid-template-columns: 170px minmax(0, 1fr) 190px;
  gap: var(--s-4) var(--s-12);
  align-items: center;
  padding: var(--s-6) 0;
}
.bar {
  display: flex;
  gap: var(--s-2);
}
.month {
  flex: 1;
  height: 18px;
  border: 1.5px solid var(--crop);
  border-radius: 2px;
}
.month.well {
  background: var(--crop);
}
.month.does {
  background: repeating-linear-gradient(
    115deg,
    var(--crop) 0 4px,
    color-mix(in srgb, var(--crop) 25%, var(--card)) 4px 9px
  );
}
.month.loses {
  border-color: var(--bad);
  background: repeating-linear-gradient(
    45deg,
    color-mix(in srgb, var(--bad) 35%, transparent) 0 2px,
    transparent 2px 8px
  );
}
@media (max-width: 820px) {
  .crop {
    grid-template-columns: 1fr;
  }
}
</style>
