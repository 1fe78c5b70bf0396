<script setup lang="ts">
import { PlacesCard } from '../places'
import { useView, write } from '../view'
import { changePlace, listPlaces, orderPlaces } from '@vadose/contract/places'
import { readStores, type StoresView } from '@vadose/contract/stores'
import { freezerFill } from '@vadose/core/kitchen'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { useAttempt, weight } from '../households'
import { LotDrawer, MoveForm } from '../lots'
import { bringIntoView, Notice } from '../kit'
import AirPlane from './AirPlane.vue'
import { useCarry } from './carry'
import ArrangeCard from './ArrangeCard.vue'
import ChosenLot from './ChosenLot.vue'
import PlaceBox from './PlaceBox.vue'
import ThermometerCard from './ThermometerCard.vue'
import { say } from './say'

const route = useRoute()
const { answer: view, failure } = useView(readStores)
const { answer: places } = useView(listPlaces)
const chosen = ref<string>()
const moving = ref<{ code: string; to: string | undefined }>()
const drawer = ref<string>()

const of = (storey: StoresView['places'][number]['storey']) =>
  (view.value?.places ?? []).filter((p) => p.storey === storey && (p.kind !== 'outdoors' || lotsIn(p.id).length > 0))
const lotsIn = (placeId: string) => (view.value?.lots ?? []).filter((l) => l.placeId === placeId)
const heaviest = computed(() => Math.max(1000, ...(view.value?.lots ?? []).map((l) => l.weightG)))
const total = computed(() => (view.value?.lots ?? []).reduce((sum, l) => sum + l.weightG, 0))
const lot = computed(
  () =>
    view.value?.lots.find((l) => l.code === chosen.value) ??
    view.value?.lots.filter((l) => l.stage === 'stored').sort((a, b) => b.weightG - a.weightG)[0],
)
const focusPlace = computed(() =>
  typeof route.query['place'] === 'string' ? route.query['place'] : (lot.value?.placeId ?? null),
)
/** with its baskets and drawers */
const fillOf = ({ id, kind, within, litres }: StoresView['places'][number]) => {
  if (kind !== 'freezer' || within !== null || litres === null) return undefined
  const parts = new Set([id, ...view.value!.places.filter((p) => p.within === id).map((p) => p.id)])
  const g = view.value!.lots.reduce((sum, l) => sum + (l.placeId && parts.has(l.placeId) ? l.weightG : 0), 0)
  return freezerFill(g / 1000, litres)
}
const box = (place: StoresView['places'][number]) => ({
  place,
  lots: lotsIn(place.id),
  heaviestG: heaviest.value,
  chosen: lot.value?.code,
  fill: fillOf(place),
  arranging: arranging.value,
})
/** the places themselves are arranged: in the order they are walked, each on its storey */
const arranging = ref(false)
const { attempt, failure: notArranged } = useAttempt()
type Place = StoresView['places'][number]
const order = (ids: readonly string[]) => attempt(() => write(orderPlaces, { body: { ids: [...ids] } }))
/** dropped on another, a place goes before it, and to its storey */
async function before(target: Place, moved: string) {
  const { places } = view.value!
  const ids = places.map(({ id }) => id).filter((id) => id !== moved)
  ids.splice(ids.indexOf(target.id), 0, moved)
  const storey = places.find(({ id }) => id === moved)?.storey
  if (storey !== target.storey) {
    await attempt(() => write(changePlace, { params: { id: moved }, body: { storey: target.storey } }))
  }
  await order(ids)
}
/** what a place's box tells */
const told = (place: Place) => ({
  choose,
  step: (by: -1 | 1) => step(place, by),
})
function step(place: Place, by: -1 | 1) {
  const ids = view.value!.places.map(({ id }) => id)
  const beside = of(place.storey)[of(place.storey).findIndex(({ id }) => id === place.id) + by]
  if (!beside) return
  const [from, to] = [ids.indexOf(place.id), ids.indexOf(beside.id)]
  ids.splice(to, 0, ...ids.splice(from, 1))
  void order(ids)
}
const house = ref<HTMLElement>()
useCarry(house, (what, placeId) => {
  const target = view.value?.places.find(({ id }) => id === placeId)
  if ('lot' in what) drop(what.lot, placeId)
  else if (target && what.place !== placeId) void before(target, what.place)
})
const beside = ref<HTMLElement>()
function choose(code: string) {
  chosen.value = code
  moving.value = undefined
  void bringIntoView(beside)
}
function drop(code: string, to: string) {
  chosen.value = code
  void bringIntoView(beside)
  if (view.value?.lots.find((l) => l.code === code)?.placeId !== to) moving.value = { code, to }
}
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="view" class="columns">
    <div class="stack">
      <header class="head">
        <h1>{{ say('theHouse') }}</h1>
        <p class="soft">
          {{ say('inPlaces', { weight: weight(total), places: view.places.length }) }}
          <span class="by-mouse">{{ say('dragALotToA') }}</span><span class="by-thumb">{{
            say('tapALotThenMove')
          }}</span>
          {{ say('toSeeWhatTheMove') }}
        </p>
        <div class="acts no-print">
          <ElButton :aria-pressed="arranging" @click="arranging = !arranging">{{
            arranging ? say('doneArranging') : say('arrangeThePlaces')
          }}</ElButton>
        </div>
      </header>
      <template v-if="arranging">
        <p class="soft">
          {{ say('dragAPlaceByIts') }}
        </p>
        <Notice v-if="notArranged" bad>{{ notArranged }}</Notice>
      </template>
      <div ref="house" class="house">
        <div v-if="of('roof').length" class="roof">
          <svg viewBox="0 0 100 22" preserveAspectRatio="none" aria-hidden="true"><path d="M0 22 50 1 100 22z" /></svg>
          <PlaceBox v-for="p in of('roof')" :key="p.id" v-bind="box(p)" v-on="told(p)" />
        </div>
        <div class="walls">
          <div class="floor">
            <PlaceBox v-for="p in of('floor')" :key="p.id" v-bind="box(p)" v-on="told(p)" />
          </div>
          <div v-if="of('side').length" class="side">
            <PlaceBox v-for="p in of('side')" :key="p.id" v-bind="box(p)" v-on="told(p)" />
          </div>
        </div>
        <div class="under">
          <PlaceBox v-for="p in of('under')" :key="p.id" v-bind="box(p)" v-on="told(p)" />
          <p v-if="of('under').length === 0" class="soft">
            {{ say('noCellarFridgeOrFreezer') }} <RouterLink to="/household">{{ say('addOne') }}</RouterLink>
          </p>
        </div>
        <div v-if="of('garden').length" class="garden">
          <PlaceBox v-for="p in of('garden')" :key="p.id" v-bind="box(p)" v-on="told(p)" />
        </div>
      </div>
    </div>
    <aside class="stack">
      <div ref="beside" class="beside">
        <MoveForm
          v-if="moving"
          :key="moving.code + moving.to"
          :code="moving.code"
          :place-id="view.lots.find((l) => l.code === moving!.code)?.placeId ?? null"
          :to="moving.to"
          @done="moving = undefined"
        />
        <ChosenLot
          v-if="lot && !moving"
          :lot="lot"
          @move="moving = { code: lot.code, to: undefined }"
          @open="drawer = lot.code"
        />
      </div>
      <PlacesCard v-if="arranging && places" :places="places" />
      <ArrangeCard />
      <section class="card">
        <h2>{{ say('whereEachPlaceSits') }}</h2>
        <p class="soft">{{ say('marksTheLastDaysDashes') }}</p>
        <AirPlane :view="view" :chosen-place="focusPlace" />
      </section>
      <ThermometerCard />
    </aside>
    <LotDrawer :code="drawer" @close="drawer = undefined" />
  </div>
</template>

<style scoped>
.beside {
  /* clear of the bar below on a phone */
  scroll-margin-bottom: 72px;
}
.by-thumb {
  display: none;
}
@media (pointer: coarse) {
  .by-mouse {
    display: none;
  }
  .by-thumb {
    display: inline;
  }
}
.house {
  display: grid;
}
.roof {
  width: 72%;
}
.roof svg {
  display: block;
  width: 100%;
  height: 64px;
}
.roof path {
  fill: var(--roof);
  stroke: var(--wall);
  stroke-width: 2;
  vector-effect: non-scaling-stroke;
}
.roof :deep(.place) {
  border-top: 0;
  background: var(--roof);
}
.walls {
  display: grid;
  grid-template-columns: 72% 1fr;
  border-bottom: 5px solid var(--wall);
}
.floor {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
}
.floor :deep(.place) {
  border-top-width: 0;
}
.side {
  display: grid;
  align-content: end;
  padding-left: var(--s-12);
  gap: var(--s-8);
}
.side :deep(.place) {
  border-bottom: 0;
}
.under {
  background: var(--earth);
  padding: var(--s-12);
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: var(--s-16);
  border-radius: 0 0 8px 8px;
}
.garden {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: var(--s-16);
  padding: var(--s-12);
  border-top: 3px dotted var(--good);
}
@media (max-width: 820px) {
  .roof {
    width: 100%;
  }
  .walls {
    grid-template-columns: 1fr;
  }
  .side {
    padding: var(--s-8) 0 0;
  }
}
</style>
