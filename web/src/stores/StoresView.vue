<script setup lang="ts">
import { useView } from '../view'
import { readStores, type StoresView } from '@vadose/contract/stores'
import { freezerFill } from '@vadose/core/kitchen'
import type { PlaceKind } from '@vadose/core/places'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { useRoute } from 'vue-router'
import { lotName } from '../almanac'
import { dateRange, sentence, untilDate, weight } from '../households'
import { LotDrawer, MoveForm } from '../lots'
import { bringIntoView } from '../kit'
import AirPlane from './AirPlane.vue'
import ArrangeCard from './ArrangeCard.vue'
import PlaceBox from './PlaceBox.vue'
import ThermometerCard from './ThermometerCard.vue'

const route = useRoute()
const { answer: view, failure } = useView(readStores)
const chosen = ref<string>()
const moving = ref<{ code: string; to: string | undefined }>()
const drawer = ref<string>()

const storeys: { id: string; kinds: PlaceKind[] }[] = [
  { id: 'roof', kinds: ['loft'] },
  { id: 'floor', kinds: ['cool-room', 'room'] },
  { id: 'side', kinds: ['veranda', 'shed'] },
  { id: 'under', kinds: ['cellar', 'fridge', 'freezer'] },
]
const of = (id: string) => {
  const { kinds } = storeys.find((s) => s.id === id)!
  return (view.value?.places ?? []).filter((p) => kinds.includes(p.kind))
}
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
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="view" class="columns">
    <div class="stack">
      <header class="head">
        <h1>The house</h1>
        <p class="soft">
          {{ weight(total) }} in {{ view.places.length }} places; <span class="by-mouse">drag a lot to a place</span
          ><span class="by-thumb">tap a lot, then Move,</span> to see what the move does to it
        </p>
      </header>
      <div class="house">
        <div v-if="of('roof').length" class="roof">
          <svg viewBox="0 0 100 22" preserveAspectRatio="none" aria-hidden="true"><path d="M0 22 50 1 100 22z" /></svg>
          <PlaceBox v-for="p in of('roof')" :key="p.id" v-bind="box(p)" @choose="choose" @drop="drop" />
        </div>
        <div class="walls">
          <div class="floor">
            <PlaceBox v-for="p in of('floor')" :key="p.id" v-bind="box(p)" @choose="choose" @drop="drop" />
          </div>
          <div v-if="of('side').length" class="side">
            <PlaceBox v-for="p in of('side')" :key="p.id" v-bind="box(p)" @choose="choose" @drop="drop" />
          </div>
        </div>
        <div class="under">
          <PlaceBox v-for="p in of('under')" :key="p.id" v-bind="box(p)" @choose="choose" @drop="drop" />
          <p v-if="of('under').length === 0" class="soft">
            No cellar, fridge or freezer yet. <RouterLink to="/household">Add one</RouterLink>
          </p>
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
        <section v-if="lot && !moving" class="card stack" aria-label="Chosen lot">
          <h2>{{ lotName(lot) }} {{ lot.code }}</h2>
          <p v-if="lot.trouble" class="bad">Cannot be worked out: {{ lot.trouble }}</p>
          <template v-if="lot.keeps">
            <p class="soft">
              {{ weight(lot.weightG) }} in {{ lot.place?.toLowerCase() }};
              {{ lot.keeps.overdueSince ? 'its time was over on' : '9 in 10 still sound until' }}
            </p>
            <p class="figure">{{ untilDate(lot.keeps.nineInTenUntil.p50, lot.keeps.beyond) }}</p>
            <p v-if="lot.keeps.overdueSince" class="bad">Nobody has looked since: what became of it?</p>
            <p v-else class="soft">
              8 chances in 10: {{ dateRange(lot.keeps.nineInTenUntil.p10, lot.keeps.nineInTenUntil.p90) }}.
              {{ sentence(lot.keeps.endedBy) }} ends it first.
            </p>
          </template>
          <p v-else class="soft">
            {{ weight(lot.weightG) }} in {{ lot.place?.toLowerCase() }}; to be eaten first, not stored.
          </p>
          <div class="row">
            <ElButton type="primary" @click="moving = { code: lot.code, to: undefined }">Move</ElButton>
            <ElButton @click="drawer = lot.code">Open</ElButton>
            <RouterLink v-if="lot.stage === 'stored'" class="el-button" :to="`/lots/${lot.code}/check`"
              >Look over</RouterLink
            >
          </div>
        </section>
      </div>
      <ArrangeCard />
      <section class="card">
        <h2>Where each place sits</h2>
        <p class="soft">marks: the last 30 days; dashes: the months to come</p>
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
  padding-left: 12px;
  gap: 8px;
}
.side :deep(.place) {
  border-bottom: 0;
}
.under {
  background: var(--earth);
  padding: 14px;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(220px, 1fr));
  gap: 14px;
  border-radius: 0 0 8px 8px;
}
@media (max-width: 820px) {
  .roof {
    width: 100%;
  }
  .walls {
    grid-template-columns: 1fr;
  }
  .side {
    padding: 8px 0 0;
  }
}
</style>
