<script setup lang="ts">
import { countOne, readCount, uncountOne } from '@vadose/contract/count'
import { ElButton } from 'element-plus'
import { computed, nextTick, ref, watch } from 'vue'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount, inUnits, largeUnit, useAttempt, weight, yearDate } from '../households'
import { useView, write } from '../view'
import CountEnd from './CountEnd.vue'
import { isFarOff, isOff, linesOf, nextAfter, offWords, saidOf, tallyOf } from './count'
import OffRope from './OffRope.vue'
import ShelfDrawing from './ShelfDrawing.vue'

/** Shelf by shelf, line after line, by keyboard or thumb: rows × a row + loose, or as expected in one key. */
const { answer: view, failure } = useView(readCount)
const code = ref<string>()
const typed = ref('')
const byWeight = ref(false)
const field = ref<HTMLInputElement>()
/** one of the lines has the field, whichever is counted */
const keepField = (el: unknown) => void (field.value = (el as HTMLInputElement | null) ?? undefined)
const ending = ref(false)
const done = ref<{ booked: number; asExpected: number }>()
const soFine = ref(new Set<string>())
/** above so many that lie loose they go on the scale */
const manyPieces = 30
const { attempt, failure: refused, busy } = useAttempt()

const all = computed(() => (view.value ? linesOf(view.value) : []))
const current = computed(() => all.value.find(({ line }) => line.code === code.value))
const tally = computed(() => (view.value ? tallyOf(view.value) : undefined))
const said = computed(() => saidOf(typed.value, byWeight.value))
const asked = computed(() =>
  all.value.map(({ line }) => line).filter((line) => isFarOff(line) && !soFine.value.has(line.code)),
)
watch(view, (now) => {
  if (now && !code.value) go(nextAfter(now, undefined) ?? all.value[0]?.line.code)
})
function go(to: string | undefined) {
  code.value = to
  typed.value = ''
  const line = all.value.find((one) => one.line.code === to)?.line
  // nobody counts a crate of apples
  byWeight.value =
    line !== undefined &&
    (line.pieces === null || (line.unit === null && line.form === 'fresh' && line.pieces > manyPieces))
  void nextTick(() => {
    field.value?.focus({ preventScroll: true })
    field.value?.closest('.now')?.scrollIntoView({ block: 'nearest' })
  })
}
function step(by: 1 | -1) {
  const at = all.value.findIndex(({ line }) => line.code === code.value)
  go(all.value[Math.max(0, Math.min(all.value.length - 1, at + by))]?.line.code)
}
async function keep() {
  const what = said.value
  const at = code.value
  if (!what || !at || busy.value) return
  const ok = await attempt(() =>
    write(countOne, {
      params: { code: at },
      body:
        'same' in what
          ? { typed: '', same: true }
          : 'pieces' in what
            ? what
            : { typed: what.typed, weightG: what.weightG },
    }),
  )
  if (!ok) return
  const next = view.value && nextAfter(view.value, at)
  if (next) go(next)
  else {
    code.value = undefined
    ending.value = true
  }
}
async function again(of: string) {
  await attempt(() => write(uncountOne, { params: { code: of } }))
  go(of)
}
function onKey(event: KeyboardEvent) {
  if (event.key === 'Enter' || (event.key === ' ' && typed.value.trim() === '')) {
    event.preventDefault()
    void keep()
  } else if (event.key === 'ArrowUp' || (event.key === 'ArrowLeft' && typed.value === '')) {
    event.preventDefault()
    step(-1)
  } else if (event.key === 'ArrowDown') {
    event.preventDefault()
    step(1)
  } else if (event.key === 'w' && typed.value === '') {
    event.preventDefault()
    if (current.value?.line.pieces !== null) byWeight.value = !byWeight.value
  }
}
const insert = (text: string) => {
  typed.value += text
  field.value?.focus()
}
const shelfDone = (lines: { counted: unknown }[]) => lines.filter((line) => line.counted).length
const truth = computed(() => view.value?.truth.at(-1))
</script>

<template>
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="done" class="stack">
    <h1>The books are true again</h1>
    <p class="figure" data-booked>
      {{ done.booked }} {{ done.booked === 1 ? 'difference' : 'differences' }} booked, {{ done.asExpected }} as expected
    </p>
    <p v-if="truth" class="soft">
      The books were right for {{ truth.truePct }} in 100, by weight<template v-if="view!.truth.length > 1"
        >; before that {{ view!.truth.at(-2)!.truePct }}</template
      >.
    </p>
    <div class="row"><RouterLink class="el-button el-button--primary" to="/larder">To the larder</RouterLink></div>
  </div>
  <CountEnd
    v-else-if="view && ending"
    :view="view"
    @back="ending = false"
    @done="(booked, asExpected) => (done = { booked, asExpected })"
  />
  <div v-else-if="view" class="stack">
    <header class="head">
      <h1>Count the shelves</h1>
      <p v-if="tally" class="soft" data-progress>
        {{ tally.counted }} of {{ tally.lines }} lines; stop when you like, it waits for you
      </p>
      <div class="acts">
        <ElButton v-if="tally && tally.counted > 0" type="primary" @click="ending = true">To the end</ElButton>
        <RouterLink class="el-button" to="/larder">Stop for now</RouterLink>
      </div>
    </header>
    <section v-if="view.shelves.length === 0" class="card">
      <h2>The shelves are empty</h2>
      <p>There is nothing to count yet. <RouterLink to="/shelf">Write down what stands there</RouterLink></p>
    </section>
    <nav class="shelves" aria-label="Shelves">
      <button
        v-for="s in view.shelves"
        :key="s.placeId"
        type="button"
        class="choice"
        :aria-pressed="current?.placeId === s.placeId"
        @click="go((s.lines.find((l) => !l.counted) ?? s.lines[0])!.code)"
      >
        <strong>{{ s.place }}</strong>
        <span class="bar" aria-hidden="true"
          ><i :style="{ width: `${(shelfDone(s.lines) / s.lines.length) * 100}%` }"></i
        ></span>
        <span class="soft">{{ shelfDone(s.lines) }} of {{ s.lines.length }}</span>
      </button>
    </nav>
    <p v-if="refused" class="notice bad" role="alert">{{ refused }}</p>
    <div class="columns">
      <div class="lines">
        <section v-for="s in view.shelves" v-show="!current || current.placeId === s.placeId" :key="s.placeId">
          <h2>{{ s.place }} <span class="soft">in the order it is walked</span></h2>
          <template v-for="line in s.lines" :key="line.code">
            <div
              v-if="line.code === code"
              class="card now"
              :style="{ '--crop': cropColour(line.crop) }"
              :data-count="line.code"
            >
              <div>
                <h3>
                  {{ lotName(line) }} <span class="soft">{{ line.code }}</span>
                </h3>
                <p class="soft">
                  {{ amount(line.pieces, line.weightG, lotCrop(line).piece) }} expected: {{ inUnits(line.since) }}
                </p>
                <div class="row">
                  <input
                    :ref="keepField"
                    v-model="typed"
                    class="typed"
                    :inputmode="byWeight ? 'decimal' : 'tel'"
                    autocomplete="off"
                    :aria-label="
                      byWeight
                        ? `What is there of ${lotName(line)}, ${largeUnit()}`
                        : `How many there are of ${lotName(line)}`
                    "
                    @keydown="onKey"
                  />
                  <strong v-if="said && 'pieces' in said" class="figure">= {{ said.pieces }}</strong>
                  <strong v-else-if="said && 'weightG' in said" class="figure">{{ weight(said.weightG) }}</strong>
                  <span v-else-if="typed && !said" class="bad">not a count: 3x4+2, or 14</span>
                  <span v-else class="soft">{{ byWeight ? largeUnit() : lotCrop(line).piece.many }}</span>
                </div>
                <div class="row thumbs">
                  <ElButton type="primary" :disabled="!said || busy" @click="keep">{{
                    typed ? 'Keep' : 'As expected'
                  }}</ElButton>
                  <ElButton v-if="!byWeight" aria-label="times" @click="insert('x')">×</ElButton>
                  <ElButton aria-label="and" @click="insert('+')">+</ElButton>
                  <ElButton v-if="line.pieces !== null" @click="((byWeight = !byWeight), field?.focus())">{{
                    byWeight ? 'By count' : 'By weight'
                  }}</ElButton>
                  <ElButton aria-label="The line before" @click="step(-1)">Back</ElButton>
                </div>
                <p class="soft keys-said">
                  <kbd>Space</kbd> as expected · <kbd>Enter</kbd> next · <kbd>↑</kbd> back · <kbd>w</kbd> by weight
                </p>
              </div>
              <ShelfDrawing v-if="!byWeight" :typed="typed" :crop="line.crop" :expected="line.pieces" />
            </div>
            <button v-else type="button" class="line" :class="{ counted: line.counted }" @click="go(line.code)">
              <span class="name"
                >{{ lotName(line) }} <span class="soft">{{ line.code }}</span></span
              >
              <span class="soft">{{ amount(line.pieces, line.weightG, lotCrop(line).piece) }}</span>
              <span>{{ line.counted ? (line.counted.typed === '=' ? 'same' : line.counted.typed) : '' }}</span>
              <strong :class="{ bad: line.counted && isOff(line) }">{{
                line.counted ? offWords(line, lotCrop(line).piece) : ''
              }}</strong>
            </button>
          </template>
        </section>
        <p><RouterLink class="el-button" to="/shelf">Something here that is not listed</RouterLink></p>
      </div>
      <aside v-if="tally" class="stack">
        <section class="card">
          <h2>How far off so far</h2>
          <p v-if="tally.counted === 0" class="soft">Nothing is counted yet.</p>
          <ul v-else class="bare">
            <li v-if="tally.fewer">
              <strong class="figure bad">−{{ tally.fewer }}</strong> fewer than the books say
            </li>
            <li v-if="tally.lessG">
              <strong class="figure bad">−{{ weight(tally.lessG) }}</strong> less of what is weighed
            </li>
            <li v-if="tally.more">
              <strong class="figure">+{{ tally.more }}</strong> more
            </li>
            <li>
              <strong class="figure">{{ tally.asExpected }}</strong> lines as expected
            </li>
          </ul>
          <OffRope :view="view" />
        </section>
        <section v-if="asked.length" class="card">
          <h2>Far off, while you stand there</h2>
          <div v-for="line in asked.slice(-3)" :key="line.code" class="rows">
            <p>
              <strong>{{ lotName(line) }}</strong> <span class="bad">{{ offWords(line, lotCrop(line).piece) }}</span>
            </p>
            <div class="row">
              <ElButton @click="again(line.code)">Count again</ElButton>
              <ElButton @click="soFine = new Set([...soFine, line.code])">It is so</ElButton>
            </div>
          </div>
        </section>
        <section v-if="view.truth.length" class="card">
          <h2>How true the books were</h2>
          <ul class="bare">
            <li v-for="t in view.truth" :key="t.on">
              <strong>{{ t.truePct }} in 100</strong>
              <span class="soft">{{ yearDate(t.on) }}, {{ t.lines }} lines, by weight</span>
            </li>
          </ul>
          <p v-if="view.unexplainedG" class="soft">{{ weight(view.unexplainedG) }} gone, cause unknown.</p>
        </section>
      </aside>
    </div>
  </div>
</template>

<style scoped>
.shelves {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
}
.shelves .choice {
  min-width: 128px;
  display: grid;
  gap: 4px;
}
.bar {
  height: 7px;
  background: var(--line);
  border-radius: 4px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: var(--accent);
}
.line {
  display: grid;
  grid-template-columns: minmax(0, 1.6fr) 1fr 90px 1fr;
  gap: 10px;
  width: 100%;
  padding: 9px 6px;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: none;
  color: var(--soft);
  text-align: left;
  cursor: pointer;
  font: inherit;
}
.line.counted .name {
  color: var(--ink);
  font-weight: 600;
}
.now {
  border: 2px solid var(--accent);
  margin: 6px 0;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 300px);
  gap: 14px;
}
.typed {
  width: 170px;
  height: 54px;
  padding: 4px 14px;
  border: 1.5px solid var(--accent);
  border-radius: 8px;
  background: var(--card);
  color: var(--ink);
  font: 650 24px var(--font-head);
}
.now .row {
  margin-top: 10px;
}
.keys-said kbd {
  color: var(--ink);
}
.keys-said {
  margin-top: 10px;
}
aside li {
  padding: 3px 0;
}
@media (max-width: 820px) {
  .now {
    grid-template-columns: minmax(0, 1fr);
  }
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .line > :nth-child(2) {
    grid-row: 2;
  }
  .keys-said {
    display: none;
  }
  .typed {
    width: 100%;
  }
  .thumbs .el-button {
    min-height: 48px;
  }
}
</style>
