<script setup lang="ts">
import type { FreezersView } from '@vadose/contract/kitchen'
import { units } from '@vadose/core/almanac'
import { computed } from 'vue'
import { lotName } from '../almanac'
import { longDate, monthOf, weight } from '../households'
import { say } from './say'
import { sayWord } from '../voice'
import { Tip } from '../kit'

/** A freezer from above, lid off: baskets side by side, every lot of bags by how long it keeps. */
const props = defineProps<{ freezer: FreezersView['freezers'][number] }>()
defineEmits<{ look: [code: string] }>()
type Lot = FreezersView['freezers'][number]['lots'][number]
const ages = [
  { from: 8, id: 'long' },
  { from: 4, id: 'months' },
  { from: 1, id: 'soon' },
  { from: -Infinity, id: 'past' },
] as const
const ageOf = ({ monthsLeft }: Lot) => ages.find(({ from }) => monthsLeft > from)!.id
const baskets = computed(() => {
  const { parts, lots, id, name } = props.freezer
  const loose = lots.filter((lot) => lot.placeId === id)
  const own = parts.map((part) => ({
    id: part.id,
    name: part.name,
    lots: lots.filter((lot) => lot.placeId === part.id),
  }))
  return loose.length > 0 || own.length === 0
    ? [...own, { id, name: own.length > 0 ? say('theRest') : name, lots: loose }]
    : own
})
const heaviest = computed(() => Math.max(1, ...props.freezer.lots.map(({ weightG }) => weightG)))
const height = ({ weightG }: Lot) => 34 + Math.round(44 * Math.sqrt(weightG / heaviest.value))
const count = ({ pieces, unit }: Lot) => {
  const n = pieces ?? 1
  return `${n} ${sayWord(n === 1 ? (unit ?? 'bag') : units[unit ?? 'bag'])}`
}
const nameOf = (lot: Lot) => lotName(lot).replace(/, frozen$/, '')
</script>

<template>
  <section class="box" :aria-label="freezer.name">
    <header>
      <h2>{{ freezer.name }}</h2>
      <p>
        <template v-if="freezer.fill !== null"
          ><strong class="full">{{ Math.round(freezer.fill * 100) }} %</strong> {{ say('full') }}</template
        >
        <RouterLink v-else to="/household">{{ say('howManyLitres') }}</RouterLink>
        <span class="soft">{{ say('bags2', { bags: freezer.bags, weightG: weight(freezer.weightG) }) }}</span>
      </p>
    </header>
    <div
      v-if="freezer.fill !== null"
      class="bar"
      role="img"
      :aria-label="say('ofL', { fill: Math.round(freezer.fill * 100), litres: freezer.litres })"
    >
      <i :style="{ width: `${freezer.fill * 100}%` }"></i>
    </div>
    <div class="inside">
      <div v-for="b in baskets" :key="b.id" class="basket">
        <h3>{{ b.name }}</h3>
        <p v-if="b.lots.length === 0" class="soft">{{ say('empty') }}</p>
        <Tip
          v-for="lot in b.lots"
          :key="lot.code"
          :says="say('inAsGoodAsNew', { keepsUntil: longDate(lot.keepsUntil) })"
        >
          <button
            type="button"
            class="frozen-bag"
            :class="ageOf(lot)"
            :style="{ minHeight: `${height(lot)}px` }"
            @click="$emit('look', lot.code)"
          >
            <span
              ><b>{{ nameOf(lot) }}</b
              ><br />{{ monthOf(lot.broughtOn) }} · {{ count(lot) }}, {{ weight(lot.weightG) }}</span
            >
          </button></Tip
        >
      </div>
    </div>
  </section>
</template>

<style src="./bags.css"></style>
<style scoped>
header {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: baseline;
  gap: var(--s-4) var(--s-12);
}
.full {
  font: 700 var(--t-title) var(--font-head);
}
.bar {
  height: 12px;
  border-radius: 4px;
  background: var(--line);
  overflow: hidden;
  margin: var(--s-4) 0 var(--s-8);
}
.bar i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(
    115deg,
    var(--cold) 0 6px,
    color-mix(in srgb, var(--cold) 72%, var(--card)) 6px 10px
  );
}
.inside {
  border: 3px solid var(--wall);
  border-radius: 10px;
  padding: var(--s-8);
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: var(--s-8);
  background: color-mix(in srgb, var(--cold) 9%, var(--card));
}
.basket {
  border: 1.5px solid var(--wall);
  border-radius: 5px;
  padding: var(--s-6);
  display: grid;
  gap: var(--s-6);
  align-content: start;
  background: var(--card);
}
.basket h3 {
  font-size: var(--t-note);
  margin: 0;
}
button.frozen-bag {
  text-align: left;
  padding: var(--s-4);
  cursor: pointer;
}
.frozen-bag span {
  display: inline-block;
  background: var(--card);
  border-radius: 3px;
  padding: 1px var(--s-6);
  font-size: var(--t-small);
  line-height: 1.3;
}
</style>
