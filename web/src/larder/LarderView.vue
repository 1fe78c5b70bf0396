<script setup lang="ts">
import { useView } from '../view'
import { readLarder } from '@vadose/contract/larder'
import { listPlaces } from '@vadose/contract/places'
import { units, type Unit } from '@vadose/core/almanac'
import { Choices, Notice } from '../kit'
import { ElButton, ElInput } from 'element-plus'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { exactWeight } from '../households'
import { LotDrawer, oneOf, TroubledLots, useAct } from '../lots'
import EarnsCard from './EarnsCard.vue'
import LastsCard from './LastsCard.vue'
import ShelfLine from './ShelfLine.vue'
import { containerOf } from './shapes'
import { shelvesOf, type Wanted } from './shelves'
import WeekCard from './WeekCard.vue'
import { say } from './say'
import { sayWord } from '../voice'

const { answer: view, failure } = useView(readLarder)
const { answer: places } = useView(listPlaces)
const { act, refusal, busy } = useAct()
const some = ref<string>()
const drawer = ref<string>()
const order = ref<Wanted['order'] | undefined>('shelves')
const typed = ref('')
const container = ref<Unit | 'loose'>()
const source = ref<Wanted['source']>()
const shelves = computed(() =>
  shelvesOf(
    view.value?.lots ?? [],
    (places.value ?? []).map(({ name }) => name),
    {
      order: order.value ?? 'shelves',
      typed: typed.value,
      container: container.value,
      source: source.value,
    },
  ),
)
/** a screenful first, the rest a few a frame: five hundred lines at once would hold the page up */
const aFew = 24
const drawn = ref(aFew)
let frame = 0
function drawMore() {
  frame = 0
  if (drawn.value >= (view.value?.lots.length ?? 0)) return
  drawn.value += aFew
  frame = requestAnimationFrame(drawMore)
}
watch([order, typed, container, source], () => (drawn.value = aFew))
watch(
  [drawn, () => view.value?.lots.length],
  () => {
    if (!frame) frame = requestAnimationFrame(drawMore)
  },
  { immediate: true },
)
onBeforeUnmount(() => cancelAnimationFrame(frame))
const onScreen = computed(() => {
  let left = drawn.value
  return shelves.value.flatMap((shelf) => {
    const lots = shelf.lots.slice(0, Math.max(0, left))
    left -= shelf.lots.length
    return lots.length > 0 ? [{ ...shelf, lots }] : []
  })
})
/** the filters are the things themselves, and how many of each there are */
const containers = computed(() => {
  const count = new Map<Unit | 'loose', number>()
  for (const lot of view.value?.lots ?? []) {
    const id = containerOf(lot)
    count.set(id, (count.get(id) ?? 0) + (id === 'loose' ? 1 : (lot.pieces ?? 1)))
  }
  return [...count].map(([id, n]) => ({ id, n, label: sayWord(id === 'loose' || n === 1 ? id : units[id]) }))
})
const sources = [
  { id: 'grown', label: say('grown') },
  { id: 'bought', label: say('boughtGiven') },
  { id: 'noted', label: say('withANote') },
] as const
const lasts = computed(
  () => new Map((view.value?.runOut ?? []).filter(({ name }) => name === null).map((line) => [line.crop, line])),
)
const turned = <T,>(now: T | undefined, to: T) => (now === to ? undefined : to)
const freezers = computed(
  () => new Map((places.value ?? []).filter(({ kind }) => kind === 'freezer').map(({ id, name }) => [name, id])),
)
const print = () => window.print()
const fridge = computed(() => places.value?.find(({ kind }) => kind === 'fridge')?.id)
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="view" class="columns">
    <div class="stack">
      <header class="head">
        <h1>{{ say('theLarder') }}</h1>
        <p>
          <strong data-larder-sum>{{ exactWeight(view.weightG) }}</strong>
          <span class="soft"> in {{ view.lots.length }} {{ say('lot', { lots: view.lots.length }) }}</span>
        </p>
        <div class="acts no-print">
          <ElButton @click="print">{{ say('printTheList') }}</ElButton>
          <RouterLink class="el-button" to="/kitchen">{{ say('inTheKitchen') }}<kbd>k</kbd></RouterLink>
          <RouterLink v-if="freezers.size > 0" class="el-button" to="/freezers">{{ say('freezers') }}</RouterLink>
          <RouterLink class="el-button" to="/evening">{{ say('anEveningOfFreezing') }}</RouterLink>
          <RouterLink class="el-button" to="/shelf">{{ say('putOnTheShelf') }}</RouterLink>
          <RouterLink class="el-button el-button--primary" to="/count">{{ say('countTheShelves') }}</RouterLink>
        </div>
      </header>
      <div v-if="view.lots.length > 0" class="row filters no-print">
        <ElInput
          v-model="typed"
          class="find"
          clearable
          :aria-label="say('findOnTheShelves')"
          :placeholder="say('cropDishNoteMonth')"
        />
        <Choices
          v-model="order"
          :label="say('order')"
          :options="[
            { id: 'shelves', label: say('byShelf') },
            { id: 'eat-first', label: say('eatFirst') },
          ]"
        />
        <div class="row" role="group" :aria-label="say('onlyThese')">
          <button
            v-for="c in containers"
            :key="c.id"
            type="button"
            class="choice"
            :aria-pressed="container === c.id"
            @click="container = turned(container, c.id)"
          >
            <strong>{{ c.n }}</strong> {{ c.label }}
          </button>
          <button
            v-for="s in sources"
            :key="s.id"
            type="button"
            class="choice"
            :aria-pressed="source === s.id"
            @click="source = turned(source, s.id)"
          >
            {{ s.label }}
          </button>
        </div>
      </div>
      <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
      <TroubledLots :lots="view.troubled" />
      <section v-if="view.lots.length === 0" class="card">
        <h2>{{ say('nothingToEatFromYet') }}</h2>
        <p>
          {{ say('whatComesOffTheLine') }}
          <RouterLink to="/bring-in">{{ say('bringInAHarvest') }}</RouterLink>{{ say('or') }}
          <RouterLink to="/shelf">{{ say('writeDownWhatIsOn') }}</RouterLink>.
        </p>
      </section>
      <Notice v-else-if="shelves.length === 0">{{ say('nothingOnTheShelvesFits') }}</Notice>
      <div class="wall">
        <section
          v-for="shelf in onScreen"
          :key="shelf.place"
          :style="{ flex: `${shelf.lots.length} 1 ${Math.min(3, shelf.lots.length) * 250}px` }"
        >
          <h2 class="place">
            {{ shelf.place }}
            <RouterLink
              v-if="freezers.has(shelf.place)"
              class="soft"
              :to="{ path: '/power-cut', query: { place: freezers.get(shelf.place) } }"
              >{{ say('thePowerWasOff') }}</RouterLink
            >
          </h2>
          <div class="shelf">
            <ShelfLine
              v-for="lot in shelf.lots"
              :key="lot.code"
              :lot="lot"
              :busy="busy"
              :some="some === lot.code"
              :lasts="lot.name || lot.aside || lot.stage !== 'stored' ? undefined : lasts.get(lot.crop)"
              @use="act(lot.code, { act: 'use', ...oneOf(lot) })"
              @open="act(lot.code, { act: 'open', ...(fridge ? { placeId: fridge } : {}) })"
              @some="some = some === lot.code ? undefined : lot.code"
              @look="drawer = lot.code"
              @done="some = undefined"
            />
          </div>
        </section>
      </div>
    </div>
    <aside class="stack no-print">
      <WeekCard :view="view" />
      <EarnsCard :lots="view.lots" />
      <LastsCard :view="view" />
    </aside>
    <LotDrawer :code="drawer" @close="drawer = undefined" />
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(236px, 1fr));
  gap: var(--s-16) var(--s-24);
  margin-top: var(--s-4);
}
.wall {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-16) var(--s-40);
  align-items: start;
}
.wall > section {
  min-width: 0;
  max-width: 100%;
}
.place {
  font: 600 var(--t-text) var(--font-head);
  margin: 0;
}
.find {
  width: 210px;
}
@media (min-width: 821px) {
  .filters .choice {
    min-height: 34px;
    padding: var(--s-4) var(--s-8);
  }
}
.filters {
  gap: var(--s-8) var(--s-16);
}
</style>
