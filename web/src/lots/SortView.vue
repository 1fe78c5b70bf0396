<script setup lang="ts">
import { readLot } from '@vadose/contract/lots'
import type { SortFate } from '@vadose/core/lots'
import { ElButton, ElInput } from 'element-plus'
import { computed, nextTick, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute } from 'vue-router'
import { cropColour, cropOf, lotCrop, outlineOf } from '../almanac'
import { amount, gramsFrom, largeUnit, longDate, untilDate, weight } from '../households'
import { useView } from '../view'
import { useAct } from './act'
import Pile from './Pile.vue'
import { heapSum, tableHeaps, type Throw } from './sort-table'

/** A lot poured out on the table and sorted by what becomes of it: the amount in the hand first, then one tap for the heap. */
const route = useRoute()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const crop = computed(() => (lot.value ? lotCrop(lot.value) : cropOf('')))
const heaps = computed(() => tableHeaps(crop.value))
const more = ref(false)
const shown = computed(() => (more.value ? heaps.value : heaps.value.slice(0, 8)))
const throws = ref<Throw[]>([])
const counts = computed(() => lot.value?.pieces !== null && lot.value !== undefined)
const by = ref<'pieces' | 'weight'>()
const unit = computed(() => by.value ?? (counts.value ? 'pieces' : 'weight'))
const text = ref('')
const hand = ref<InstanceType<typeof ElInput>>()
const meanG = computed(() => (lot.value?.pieces ? lot.value.weightG / lot.value.pieces : crop.value.pieceG.value))
const sums = computed(() => new Map(heaps.value.map((h) => [h.fate, heapSum(throws.value, h.fate, meanG.value)])))
const sorted = computed(() => [...sums.value.values()].reduce((sum, h) => sum + h.weightG, 0))
const leftG = computed(() => Math.max(0, (lot.value?.weightG ?? 0) - sorted.value))
const leftPieces = computed(() => {
  const all = lot.value?.pieces
  if (all === null || all === undefined) return null
  return Math.max(
    0,
    all - throws.value.reduce((n, t) => n + (t.pieces ?? Math.round((t.weightG ?? 0) / meanG.value)), 0),
  )
})
const inHand = computed((): Omit<Throw, 'fate'> | null => {
  if (unit.value === 'weight') {
    const grams = gramsFrom(text.value, 'kg')
    return grams === null ? null : { weightG: grams }
  }
  return /^\s*[1-9]\d*\s*$/.test(text.value) ? { pieces: Number(text.value) } : null
})
const plus = (n: number) => (text.value = String((Number(text.value) || 0) + n))
const problem = ref('')
function throwOn(fate: SortFate) {
  problem.value = ''
  if (!inHand.value) {
    problem.value = `First how ${unit.value === 'weight' ? 'much' : 'many'}, then where it goes.`
    hand.value?.focus()
    return
  }
  throws.value = [...throws.value, { fate, ...inHand.value }]
  text.value = ''
  void nextTick(() => hand.value?.focus())
}
/** All that still lies on the table is in the hand. */
function theRest() {
  if (leftPieces.value) {
    by.value = 'pieces'
    text.value = String(leftPieces.value)
  } else {
    by.value = 'weight'
    text.value = largeUnit() === 'kg' ? String(leftG.value / 1000) : weight(leftG.value)
  }
}
const back = () => (throws.value = throws.value.slice(0, -1))
const takeOff = (at: number) => (throws.value = throws.value.filter((_, i) => i !== at))
const turnUnit = (to: 'pieces' | 'weight') => {
  by.value = to
  text.value = ''
  hand.value?.focus()
}

const made = ref<{ code: string; fate: SortFate }[]>()
const before = ref<string>()
const { act, refusal, busy } = useAct()
async function keep(rest: 'store' | 'missing', sure = false) {
  before.value = lot.value?.keeping?.nineInTenUntil.p50
  const parts = heaps.value.flatMap(({ fate }) => {
    const { weightG, pieces, byCount } = sums.value.get(fate)!
    if (weightG === 0 && !pieces) return []
    return [
      {
        fate,
        ...(byCount ? { pieces: pieces! } : { weightG, ...(pieces ? { pieces } : {}) }),
        ...(fate === 'feed' ? { to: 'hens' } : {}),
      },
    ]
  })
  const answer = await act(code, { act: 'sort', heaps: parts, rest, ...(sure ? { sure } : {}) })
  if (!answer) return
  const lotsMade = parts.filter(
    ({ fate }) => !['store', 'use', 'feed', 'give', 'compost', 'bin', 'burn'].includes(fate),
  )
  made.value = answer.made.map((c, i) => ({ code: c, fate: lotsMade[i]!.fate }))
}
const nothing = computed(() => throws.value.every((t) => t.fate === 'store'))
const labelOf = (fate: SortFate) => heaps.value.find((h) => h.fate === fate)?.label ?? fate
const share = (g: number) => (lot.value ? Math.min(100, (100 * g) / Math.max(lot.value.weightG, sorted.value)) : 0)

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey || made.value) return
  const inField = (event.target as HTMLElement).closest('input, textarea')
  // with the amount typed, + and − are not part of it: a heap is chosen by Alt and its number, or by its number outside the field
  if (inField) return
  const n = Number(event.key)
  if (n >= 1 && n <= 8 && shown.value[n - 1]) throwOn(shown.value[n - 1]!.fate)
  else if (event.key === 'g') turnUnit(unit.value === 'weight' ? 'pieces' : 'weight')
  else return
  event.preventDefault()
}
/** Typed amount and heap in one go: “23 4” or “1.2 kg 2”. */
function onEnter() {
  const match = /^(.*\S)[\s]+([1-8])\s*$/.exec(text.value)
  if (!match) return throwOn('store')
  text.value = match[1]!
  throwOn(shown.value[Number(match[2]) - 1]!.fate)
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="lot && made" class="stack">
    <header class="head">
      <h1>Sorted {{ code }}</h1>
      <p class="soft">{{ amount(lot.pieces, lot.weightG, crop.piece) }} back in store</p>
    </header>
    <section class="card stack">
      <p v-if="lot.keeping && before">
        Back into store: 9 in 10 sound to
        <strong>{{ untilDate(lot.keeping.nineInTenUntil.p50, lot.keeping.beyond) }}</strong>
        <span class="soft"> · was {{ longDate(before) }} with the others among them</span>
      </p>
      <ul class="bare">
        <li v-for="m in made" :key="m.code">
          <RouterLink class="code" :to="`/lots/${m.code}`">{{ m.code }}</RouterLink>
          {{ labelOf(m.fate).toLowerCase() }} · <RouterLink :to="`/lots/${m.code}/tag`">its tag</RouterLink>
        </li>
      </ul>
    </section>
    <div class="row">
      <RouterLink
        v-if="made.length > 1"
        class="el-button el-button--primary"
        :to="`/lots/${made.map((m) => m.code).join(',')}/tag`"
        >All {{ made.length }} tags</RouterLink
      >
      <RouterLink class="el-button" :to="`/lots/${code}`">To the lot</RouterLink>
      <RouterLink class="el-button" to="/">To the round</RouterLink>
    </div>
  </div>
  <p v-else-if="lot && !['stored', 'fresh', 'drying'].includes(lot.stage)" class="notice">
    There is nothing here to pour out. <RouterLink :to="`/lots/${code}`">To the lot</RouterLink>
  </p>
  <div v-else-if="lot" class="sorting">
    <header class="head">
      <h1>Sort {{ code }}</h1>
      <p class="soft">
        {{ crop.name }} · {{ amount(lot.pieces, lot.weightG, crop.piece) }} poured out<template v-if="lot.place">
          · {{ lot.place.toLowerCase() }}</template
        >
      </p>
    </header>
    <div class="desk">
      <section class="table" aria-label="The table">
        <Pile
          :share="lot.weightG > 0 ? leftG / lot.weightG : 0"
          :colour="cropColour(lot.crop)"
          :outline="outlineOf(cropOf(lot.crop), lot.dried)"
        />
        <p class="left" aria-live="polite">
          <b>{{ weight(leftG) }}</b><span
            >{{ leftPieces === null ? '' : `${leftPieces} ${crop.piece.many} ` }}still on the table</span
          >
        </p>
      </section>
      <section class="hand" aria-label="In the hand">
        <label class="amount"
          ><span>in the hand: {{ unit === 'weight' ? 'the scale says' : 'counted' }}</span>
          <ElInput
            ref="hand"
            v-model="text"
            :inputmode="unit === 'weight' ? 'decimal' : 'numeric'"
            :aria-label="
              unit === 'weight' ? `Weight in the hand, ${largeUnit()}` : `Number of ${crop.piece.many} in the hand`
            "
            placeholder="0"
            autofocus
            @keydown.enter.prevent="onEnter"
            ><template #suffix>{{ unit === 'weight' ? largeUnit() : crop.piece.many }}</template></ElInput
          >
        </label>
        <div class="steps">
          <template v-if="unit === 'pieces'">
            <button v-for="n in [1, 5, 10, 20]" :key="n" type="button" class="choice" @click="plus(n)">+{{ n }}</button>
          </template>
          <button type="button" class="choice" @click="theRest">all the rest</button>
          <button v-if="unit === 'pieces'" type="button" class="choice" @click="turnUnit('weight')">
            {{ largeUnit() }}
          </button>
          <button v-else-if="counts" type="button" class="choice" @click="turnUnit('pieces')">
            {{ crop.piece.many }}
          </button>
        </div>
        <p v-if="problem" class="bad" role="alert">{{ problem }}</p>
      </section>
    </div>
    <div class="bar" role="img" :aria-label="`${weight(sorted)} of ${weight(lot.weightG)} sorted`">
      <i
        v-for="h in heaps.filter((one) => sums.get(one.fate)!.weightG > 0)"
        :key="h.fate"
        :class="['swatch', h.fate, h.pattern]"
        :style="{ width: `${share(sums.get(h.fate)!.weightG)}%` }"
      ></i>
    </div>
    <h2 class="where">Where does it go? One tap.</h2>
    <div class="heaps">
      <button
        v-for="(h, i) in shown"
        :key="h.fate"
        type="button"
        class="heap"
        :aria-label="`${h.label}: ${sums.get(h.fate)!.pieces ?? ''} ${weight(sums.get(h.fate)!.weightG)}`"
        @click="throwOn(h.fate)"
      >
        <i :class="['swatch', h.fate, h.pattern]"></i>
        <span>
          <strong
            >{{ h.label }} <kbd v-if="i < 8">{{ i + 1 }}</kbd></strong
          >
          <b>{{
            sums.get(h.fate)!.weightG === 0
              ? 'none yet'
              : `${sums.get(h.fate)!.pieces ? `${sums.get(h.fate)!.pieces}, ` : ''}${weight(sums.get(h.fate)!.weightG)}`
          }}</b>
          <span class="soft">{{ h.hint }}</span>
        </span>
      </button>
      <button type="button" class="heap other" :aria-expanded="more" @click="more = !more">
        {{ more ? 'Fewer heaps' : 'Other heaps: sizes, given, burnt …' }}
      </button>
    </div>
    <section v-if="throws.length" class="thrown">
      <span class="soft">Last thrown, tap one to take it back:</span>
      <button v-for="(t, i) in throws" :key="i" type="button" class="choice" @click="takeOff(i)">
        {{ labelOf(t.fate) }} {{ t.pieces ?? weight(t.weightG!) }}
      </button>
    </section>
    <p v-if="sorted > lot.weightG" class="notice">
      {{ weight(sorted - lot.weightG) }} more than it stood at: the scale of today counts.
    </p>
    <p v-if="refusal" class="notice bad" role="alert">
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" @click="keep('store', true)">Keep it anyway</ElButton>
    </p>
    <p v-if="crop.cautions.length" class="caution"><strong>Careful.</strong> {{ crop.cautions[0]!.text }}</p>
    <p v-if="leftG > 0 && !nothing" class="soft rest">
      Is the table empty, though {{ weight(leftG) }} are not accounted for?
      <ElButton size="small" :disabled="busy" @click="keep('missing')">Nothing more is there</ElButton>
    </p>
    <div class="row go">
      <ElButton :disabled="throws.length === 0" @click="back">Back one</ElButton>
      <ElButton type="primary" class="grow" :disabled="nothing || busy" @click="keep('store')">{{
        leftG > 0 ? `The rest back into store, ${weight(leftG)}` : 'Done, the table is empty'
      }}</ElButton>
    </div>
  </div>
</template>

<style scoped>
.sorting {
  display: grid;
  gap: 12px;
}
.rest {
  margin: 0;
}
.desk {
  display: grid;
  grid-template-columns: minmax(0, 1.15fr) minmax(0, 1fr);
  gap: 12px;
}
.table {
  display: flex;
  align-items: center;
  gap: 20px;
  padding: 6px 18px;
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
  font: 700 34px var(--font-head);
}
.bar {
  display: flex;
  height: 18px;
  border: 1px dashed var(--line);
  border-radius: 4px;
  overflow: hidden;
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-content: center;
  align-items: end;
  padding: 10px 14px;
  border: 2px solid var(--accent, #7a1e4e);
  border-radius: 10px;
  background: var(--card);
}
.amount span {
  display: block;
  color: var(--soft);
}
.amount :deep(input) {
  font: 700 24px var(--font-head);
  height: 46px;
}
.amount .el-input {
  width: 220px;
}
.steps {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.where {
  margin: 4px 0 0;
  font-size: 17px;
}
.heaps {
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 10px;
}
.heap {
  display: flex;
  gap: 10px;
  min-height: 92px;
  padding: 0 10px 0 0;
  border: 1.5px solid var(--line);
  border-radius: 10px;
  background: var(--card);
  color: inherit;
  text-align: left;
  cursor: pointer;
  overflow: hidden;
}
.heap > span {
  padding: 9px 0;
  display: grid;
  align-content: start;
  gap: 1px;
  min-width: 0;
}
.heap b {
  font: 650 18px var(--font-head);
}
.heap .soft {
  margin: 0;
  font-size: 13px;
}
.heap > .swatch {
  flex: none;
  width: 16px;
}
.other {
  min-height: 44px;
  grid-column: 1 / -1;
  align-items: center;
  justify-content: center;
  padding: 10px;
  color: var(--soft);
}
.swatch {
  display: block;
  --ink: rgb(255 255 255 / 0.45);
}
.swatch.store {
  background-color: #94713b;
}
.swatch.eat-first,
.swatch.use {
  background-color: #c08d2f;
}
.swatch.cook,
.swatch.cut-round {
  background-color: #c2473d;
}
.swatch.plant {
  background-color: #35623a;
}
.swatch.freeze {
  background-color: #3f6d94;
}
.swatch.feed {
  background-color: #6d7f2b;
}
.swatch.compost {
  background-color: #3f7d4c;
}
.swatch.bin,
.swatch.burn {
  background-color: #5d5666;
}
.swatch.small,
.swatch.large,
.swatch.give,
.swatch.dry,
.swatch.juice {
  background-color: #7b5b86;
}
.stripes {
  background-image: repeating-linear-gradient(135deg, var(--ink) 0 3px, transparent 3px 8px);
}
.cross {
  background-image:
    repeating-linear-gradient(45deg, var(--ink) 0 2px, transparent 2px 7px),
    repeating-linear-gradient(135deg, var(--ink) 0 2px, transparent 2px 7px);
}
.dots {
  background-image: radial-gradient(var(--ink) 1.6px, transparent 2px);
  background-size: 7px 7px;
}
.bars {
  background-image: repeating-linear-gradient(90deg, var(--ink) 0 2px, transparent 2px 6px);
}
.grid {
  background-image:
    repeating-linear-gradient(0deg, var(--ink) 0 1.5px, transparent 1.5px 7px),
    repeating-linear-gradient(90deg, var(--ink) 0 1.5px, transparent 1.5px 7px);
}
.thrown {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
}
.caution {
  margin: 0;
  padding: 8px 12px;
  border-left: 5px solid var(--bad);
  background: var(--card);
}
.go {
  position: sticky;
  bottom: 0;
  padding: 8px 0;
  background: var(--paper);
}
.go {
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
  .heaps {
    grid-template-columns: 1fr 1fr;
  }
  .desk {
    grid-template-columns: minmax(0, 1fr);
    gap: 8px;
  }
  .sorting {
    gap: 8px;
  }
  .left b {
    font-size: 26px;
  }
  .hand {
    padding: 8px 10px;
  }
  .amount .el-input {
    width: 128px;
  }
  .amount span {
    font-size: 13px;
  }
  .heap {
    min-height: 78px;
  }
  .go {
    bottom: 55px;
  }
  .grow {
    white-space: normal;
  }
}
</style>
