<script setup lang="ts">
import { useView } from '../view'
import { readLarder, type LarderLot } from '@vadose/contract/larder'
import { Choices } from '../kit'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf, lotCrop, lotName } from '../almanac'
import { amount, dateRange, exactWeight, inUnits, longDate, shortDate, weight } from '../households'
import { LotDrawer, TakeForm, TroubledLots, useAct } from '../lots'
import Shelf from './Shelf.vue'

const { answer: view, failure } = useView(readLarder)
const { act, refusal, busy } = useAct()
const some = ref<string>()
const drawer = ref<string>()
const order = ref<'shelves' | 'eat-first'>('shelves')
const shelves = computed(() => {
  const lots = view.value?.lots ?? []
  if (order.value === 'eat-first') return [{ place: 'soonest lost first', lots }]
  const aside = lots.filter((l) => l.aside)
  const kept = lots.filter((l) => !l.aside)
  const names = [...new Set(kept.map((l) => l.place ?? 'somewhere'))].sort()
  return [
    ...(aside.length > 0 ? [{ place: 'Set aside, to be used soon', lots: aside }] : []),
    ...names.map((place) => ({ place, lots: kept.filter((l) => (l.place ?? 'somewhere') === place) })),
  ]
})
/** One tap takes a piece; of what is not counted the weight of a usual one, a handful of what is tiny. */
const handfulG = 50
const littleOf = (lot: LarderLot) => Math.min(lot.weightG, Math.max(handfulG, Math.round(lotCrop(lot).pieceG.value)))
const takes = (lot: LarderLot) => (lot.pieces === null ? { weightG: littleOf(lot) } : { pieces: 1 })
const totalOf = (crop: string) => view.value!.totals.find((t) => t.crop === crop)!
const countOf = (crop: string) => {
  const { pieces, uncountedG, driedG, frozenG } = totalOf(crop)
  const { one, many } = cropOf(crop).piece
  return [
    pieces ? `, ${pieces} ${pieces === 1 ? one : many}` : '',
    pieces && uncountedG ? ` and ${weight(uncountedG)} not counted` : '',
    driedG ? `; ${weight(driedG)} of it dried` : '',
    frozenG ? `; ${weight(frozenG)} of it frozen` : '',
  ].join('')
}
const until = (lot: LarderLot) =>
  lot.overdueSince
    ? `its time was over on ${longDate(lot.overdueSince)}`
    : lot.beyond
      ? 'keeps over a year'
      : `9 in 10 to ${longDate(lot.keepsUntil)}`
</script>

<template>
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="view" class="columns">
    <div class="stack">
      <header class="head">
        <h1>The larder</h1>
        <p>
          <strong data-larder-sum>{{ exactWeight(view.weightG) }}</strong>
          <span class="soft"> in {{ view.lots.length }} {{ view.lots.length === 1 ? 'lot' : 'lots' }}</span>
        </p>
        <Choices
          v-model="order"
          class="acts"
          label="Order"
          :options="[
            { id: 'shelves', label: 'By shelf' },
            { id: 'eat-first', label: 'Eat first' },
          ]"
        />
      </header>
      <p v-if="refusal" class="notice bad" role="alert">{{ refusal.message }}</p>
      <TroubledLots :lots="view.troubled" />
      <section v-if="view.lots.length === 0" class="card">
        <h2>Nothing to eat from yet</h2>
        <p>
          What comes off the line or is eaten first stands here.
          <RouterLink to="/bring-in">Bring in a harvest</RouterLink>
        </p>
      </section>
      <section v-for="shelf in shelves" :key="shelf.place">
        <p class="soft">{{ shelf.place }}</p>
        <div class="shelf">
          <article v-for="lot in shelf.lots" :key="lot.code" :data-lot="lot.code">
            <Shelf :lot="lot" />
            <i class="board" aria-hidden="true"></i>
            <h3>
              <a :href="`/lots/${lot.code}`" @click.prevent="drawer = lot.code">{{
                lotName(lot.crop, lot.heap, lot.form)
              }}</a>
              <span class="soft">{{ lot.code }}</span>
            </h3>
            <p>{{ amount(lot.pieces, lot.weightG, lotCrop(lot).piece, lot.guessed) }}</p>
            <p class="soft" :class="{ bad: lot.lossAvoidedPerKg > 0.15 }">
              {{ lot.overdueSince || lot.aside ? '▲ ' : lot.lossAvoidedPerKg > 0.15 ? '▲ eat now: ' : ''
              }}{{ lot.stage === 'fresh' ? inUnits(lot.why) : until(lot) }}
            </p>
            <div class="row">
              <ElButton
                type="primary"
                :disabled="busy"
                :aria-label="`Use ${lot.pieces === null ? 'a little' : 'one'} of ${lot.code}`"
                @click="act(lot.code, { act: 'use', ...takes(lot) })"
                >{{ lot.pieces === null ? `Use ${weight(littleOf(lot))}` : 'Use one' }}</ElButton
              >
              <ElButton :aria-label="`Use some of ${lot.code}`" @click="some = some === lot.code ? undefined : lot.code"
                >Use some</ElButton
              >
            </div>
            <TakeForm v-if="some === lot.code" :lot="lot" kind="use" @done="some = undefined" />
          </article>
        </div>
      </section>
    </div>
    <aside class="stack">
      <section class="card">
        <h2>Will it last?</h2>
        <p class="soft">at the pace it is eaten, against how long it keeps</p>
        <div v-for="r in view.runOut" :key="r.crop" class="last" :style="{ '--crop': cropColour(r.crop) }">
          <h3>{{ cropOf(r.crop).name }}</h3>
          <p v-if="totalOf(r.crop).weightG">{{ exactWeight(totalOf(r.crop).weightG) }}{{ countOf(r.crop) }}</p>
          <p v-if="totalOf(r.crop).overdueG" class="bad">
            ▲ {{ weight(totalOf(r.crop).overdueG) }}{{ totalOf(r.crop).weightG ? ' more' : '' }} past their time: not
            counted on.
          </p>
          <template v-if="r.runsOutOn && r.perWeekG">
            <p>
              gone about <strong>{{ longDate(r.runsOutOn.p50) }}</strong>
              <span class="soft">
                ({{ dateRange(r.runsOutOn.p10, r.runsOutOn.p90) }}), {{ weight(Math.round(r.perWeekG.p50)) }} a
                week</span
              >
            </p>
            <p v-if="r.keepsUntil && r.runsOutOn.p50 > r.keepsUntil" class="bad">
              ▲ More than will keep: 9 in 10 are sound only to {{ shortDate(r.keepsUntil) }}. Give some away or put it
              up another way.
            </p>
            <p v-else class="good">It keeps as long as it lasts.</p>
          </template>
          <p v-else-if="totalOf(r.crop).weightG" class="soft">None used yet: the pace is not known.</p>
        </div>
        <p v-if="view.runOut.length === 0" class="soft">Nothing is in store.</p>
      </section>
    </aside>
    <LotDrawer :code="drawer" @close="drawer = undefined" />
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 18px 22px;
  margin-top: 4px;
}
article {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 4px;
  align-content: start;
}
.board {
  height: 7px;
  background: var(--rope);
  border-radius: 2px;
  opacity: 0.6;
  margin: -4px 0 3px;
}
.last {
  border-left: 5px solid var(--crop);
  padding-left: 10px;
  margin-top: 12px;
}
article a {
  color: var(--ink);
}
</style>
