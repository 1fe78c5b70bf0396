<script setup lang="ts">
import { readLot } from '@vadose/contract/lots'
import type { SortFate } from '@vadose/core/lots'
import { ElButton } from 'element-plus'
import { computed, onBeforeUnmount, onMounted, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { cropColour, cropOf, lotCrop, outlineOf } from '../almanac'
import { amount, weight } from '../households'
import { useView } from '../view'
import { useAct } from './act'
import HeapSwatch from './HeapSwatch.vue'
import Pile from './Pile.vue'
import SortDone from './SortDone.vue'
import SortHand from './SortHand.vue'
import SortHeaps from './SortHeaps.vue'
import { heapsToSort, heapsWithKeys, makesLot, tableHeaps, tableOf, throwsFrom, type Throw } from './sort-table'
import { say } from './say'
import { sayProse } from '../voice'
import { Notice } from '../kit'

/** A lot poured out on the table and sorted by what becomes of it: the amount in the hand first, then one tap for the heap. */
const route = useRoute()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const crop = computed(() => (lot.value ? lotCrop(lot.value) : cropOf('')))
const heaps = computed(() => tableHeaps(crop.value))
const hand = ref<InstanceType<typeof SortHand>>()

// a sorting laid down half way is there when one comes back
const draft = `sorting ${location.pathname}`
const throws = ref<Throw[]>(throwsFrom(sessionStorage.getItem(draft)))
watch(throws, (now) =>
  now.length > 0 ? sessionStorage.setItem(draft, JSON.stringify(now)) : sessionStorage.removeItem(draft),
)

const meanG = computed(() => (lot.value?.pieces ? lot.value.weightG / lot.value.pieces : crop.value.pieceG.value))
const table = computed(() => tableOf(lot.value ?? { weightG: 0, pieces: null }, throws.value, meanG.value))
const sortedG = computed(() => [...table.value.heaps.values()].reduce((sum, heap) => sum + heap.weightG, 0))
const tooMuchG = computed(() => sortedG.value - (lot.value?.weightG ?? 0))
const leftG = computed(() => table.value.left.weightG)
const nothing = computed(() => throws.value.every((t) => t.fate === 'store'))
const onTable = computed(() => heaps.value.filter((h) => (table.value.heaps.get(h.fate)?.weightG ?? 0) > 0))
const share = (fate: SortFate) =>
  (100 * table.value.heaps.get(fate)!.weightG) / Math.max(lot.value?.weightG ?? 0, sortedG.value)
const labelOf = (fate: SortFate) => heaps.value.find((h) => h.fate === fate)?.label ?? fate
const thrownSays = (t: Throw) => ('rest' in t ? say('theRest') : 'pieces' in t ? t.pieces : weight(t.weightG))

function throwOn(fate: SortFate) {
  const given = hand.value?.giveAway()
  if (!given) return
  // one heap at most takes all the rest
  const others = 'rest' in given ? throws.value.filter((t) => !('rest' in t)) : throws.value
  throws.value = [...others, { fate, ...given }]
}
const throwOnNumber = (n: number) => heaps.value[n] && throwOn(heaps.value[n].fate)
const takeBack = (at: number) => (throws.value = throws.value.filter((_, i) => i !== at))

const made = ref<{ code: string; label: string }[]>()
const before = ref<string>()
const { act, refusal, busy } = useAct()
const rest = ref<'store' | 'missing'>('store')
async function keep(what: 'store' | 'missing', sure = false) {
  rest.value = what
  before.value = lot.value?.keeping?.nineInTenUntil.p50
  const order = heaps.value.map((h) => h.fate)
  const parts = heapsToSort(throws.value, order, meanG.value)
  const answer = await act(code, { act: 'sort', heaps: parts, rest: what, ...(sure ? { sure } : {}) })
  if (!answer) return
  const lots = parts.filter(({ fate }) => makesLot(fate))
  made.value = answer.made.map((one, i) => ({ code: one, label: labelOf(lots[i]!.fate) }))
  throws.value = []
}

/** With Alt a number throws from the field too; outside it, it does so by itself. */
function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || made.value || !hand.value) return
  const inField = (event.target as HTMLElement).closest('input, textarea') !== null
  if (inField && !event.altKey) return
  const n = Number(/^(?:Digit|Numpad)(\d)$/.exec(event.code)?.[1] ?? 0)
  if (n >= 1 && n <= heapsWithKeys) throwOnNumber(n - 1)
  else if (event.key === 'g' && !inField) hand.value.turn()
  else return
  // here a number names a heap, not a screen
  event.preventDefault()
}
onMounted(() => window.addEventListener('keydown', onKey, { capture: true }))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey, { capture: true }))
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <SortDone v-if="lot && made" :lot="lot" :made="made" :before="before" />
  <Notice v-else-if="lot && !['stored', 'fresh', 'drying'].includes(lot.stage)">
    {{ say('thereIsNothingHereTo') }} <RouterLink :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
  </Notice>
  <div v-else-if="lot" class="sorting">
    <header class="head">
      <h1>{{ say('sort2', { code }) }}</h1>
      <p class="soft">
        {{ say('pouredOut', { name: crop.name, amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed) })
        }}<template v-if="lot.place"> · {{ lot.place.toLowerCase() }}</template>
      </p>
    </header>
    <div class="desk">
      <section class="table" :aria-label="say('theTable')">
        <Pile
          :share="lot.weightG > 0 ? leftG / lot.weightG : 0"
          :colour="cropColour(lot.crop)"
          :outline="outlineOf(cropOf(lot.crop), lot.form)"
        />
        <p class="left" aria-live="polite">
          <b>{{ weight(leftG) }}</b><span>{{
            say('stillOnTheTable', {
              pieces: table.left.pieces === null ? '' : `${table.left.pieces} ${crop.piece.many} `,
            })
          }}</span>
        </p>
      </section>
      <SortHand ref="hand" :counted="lot.pieces !== null" :piece="crop.piece" @throw-on="throwOnNumber" />
    </div>
    <div
      class="bar"
      role="img"
      :aria-label="say('ofSorted', { weight: weight(sortedG), weightG: weight(lot.weightG) })"
    >
      <HeapSwatch v-for="h in onTable" :key="h.fate" :heap="h" :style="{ width: `${share(h.fate)}%` }" />
    </div>
    <h2 class="where">{{ say('whereDoesItGoOne') }}</h2>
    <SortHeaps :heaps="heaps" :sums="table.heaps" @throw-on="throwOn" />
    <section v-if="throws.length" class="thrown">
      <span class="soft">{{ say('lastThrownTapOneTo') }}</span>
      <ElButton v-for="(t, i) in throws" :key="i" @click="takeBack(i)">
        {{ labelOf(t.fate) }} {{ thrownSays(t) }}
      </ElButton>
    </section>
    <Notice v-if="tooMuchG > 0">
      {{ say('moreThanItStoodAt', { weight: weight(tooMuchG) }) }}
    </Notice>
    <Notice v-if="refusal" bad>
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" @click="keep(rest, true)">{{ say('keepItAnyway') }}</ElButton>
    </Notice>
    <p v-if="crop.cautions.length" class="caution">
      <strong>{{ say('careful2') }}</strong> {{ sayProse(crop.cautions[0]!.text) }}
    </p>
    <p v-if="leftG > 0 && !nothing" class="soft rest">
      {{ say('isTheTableEmptyThough', { weight: weight(leftG) }) }}
      <ElButton size="small" :disabled="busy" @click="keep('missing')">{{ say('nothingMoreIsThere') }}</ElButton>
    </p>
    <div class="row go">
      <ElButton :disabled="throws.length === 0" @click="takeBack(throws.length - 1)">{{ say('backOne') }}</ElButton>
      <ElButton type="primary" class="grow" :disabled="nothing || busy" @click="keep('store')">{{
        leftG > 0 ? say('theRestBackIntoStore', { weight: weight(leftG) }) : say('doneTheTableIsEmpty')
      }}</ElButton>
    </div>
  </div>
</template>

<style scoped>
.sorting {
  display: grid;
  gap: var(--s-12);
}
.rest {
  margin: 0;
}
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
  gap: var(--s-12);
}
.table {
  display: flex;
  align-items: center;
  gap: var(--s-24);
  padding: var(--s-6) var(--s-16);
  border: 3px solid #b08f5c;
  border-radius: 12px;
  background: repeating-linear-gradient(0deg, #e7d3ab 0 9px, #e2cca0 9px 10px);
  color: #2b2233;
}
.left {
  margin: 0;
  display: grid;
}
.left b {
  font: 700 var(--t-figure) var(--font-head);
}
.bar {
  display: flex;
  height: 18px;
  border: 1px dashed var(--line);
  border-radius: 4px;
  overflow: hidden;
}
.where {
  margin: var(--s-4) 0 0;
  font-size: var(--t-text);
}
.thrown {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-6);
  align-items: center;
}
.thrown .el-button {
  margin: 0;
}
.caution {
  margin: 0;
  padding: var(--s-8) var(--s-12);
  border-left: 5px solid var(--bad);
  background: var(--card);
}
.go {
  position: sticky;
  bottom: 0;
  padding: var(--s-8) 0;
  background: var(--paper);
  flex-wrap: nowrap;
}
.go .el-button {
  min-height: 50px;
  margin: 0;
}
.grow {
  flex: 1;
}
@media (max-width: 820px) {
  .desk {
    grid-template-columns: minmax(0, 1fr);
    gap: var(--s-8);
  }
  .sorting {
    gap: var(--s-8);
  }
  .left b {
    font-size: var(--t-title);
  }
  .go {
    bottom: 55px;
  }
  .grow {
    white-space: normal;
  }
}
</style>
