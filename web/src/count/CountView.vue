<script setup lang="ts">
import { countOne, readCount, uncountOne } from '@vadose/contract/count'
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { lotCrop, lotName } from '../almanac'
import { amount, useAttempt } from '../households'
import { useView, write } from '../view'
import CountEnd from './CountEnd.vue'
import CountNow from './CountNow.vue'
import CountSide from './CountSide.vue'
import { isOff, linesOf, nextAfter, offWords, tallyOf, type Said } from './count'
import { say } from './say'
import { Notice } from '../kit'

/** Shelf by shelf, line after line, by keyboard or thumb: rows × a row + loose, or as expected in one key. */
const { answer: view, failure } = useView(readCount)
const code = ref<string>()
const ending = ref(false)
const done = ref<{ booked: number; asExpected: number }>()
const { attempt, failure: refused, busy } = useAttempt()

const all = computed(() => (view.value ? linesOf(view.value) : []))
const current = computed(() => all.value.find(({ line }) => line.code === code.value))
const tally = computed(() => (view.value ? tallyOf(view.value) : undefined))
const go = (to: string | undefined) => (code.value = to)
watch(view, (now) => {
  if (now && !code.value) go(nextAfter(now, undefined) ?? all.value[0]?.line.code)
})
function step(by: 1 | -1) {
  const at = all.value.findIndex(({ line }) => line.code === code.value)
  go(all.value[Math.max(0, Math.min(all.value.length - 1, at + by))]?.line.code)
}
async function keep(at: string, said: Said) {
  const body = 'same' in said ? { typed: '', ...said } : said
  if (!(await attempt(() => write(countOne, { params: { code: at }, body })))) return
  const next = view.value && nextAfter(view.value, at)
  go(next)
  if (!next) ending.value = true
}
async function again(of: string) {
  if (await attempt(() => write(uncountOne, { params: { code: of } }))) go(of)
}
const shelfDone = (lines: { counted: unknown }[]) => lines.filter((line) => line.counted).length
const truth = computed(() => view.value?.truth.at(-1))
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="done" class="stack">
    <h1>{{ say('theBooksAreTrueAgain') }}</h1>
    <p class="figure" data-booked>
      {{ say('differenceBookedAsExpected', { booked: done.booked, asExpected: done.asExpected }) }}
    </p>
    <p v-if="truth" class="soft">
      {{ say('theBooksWereRightFor', { truePct: truth.truePct })
      }}<template v-if="view!.truth.length > 1">{{
        say('beforeThat', { truePct: view!.truth.at(-2)!.truePct })
      }}</template
      >.
    </p>
    <div class="row">
      <RouterLink class="el-button el-button--primary" to="/larder">{{ say('toTheLarder') }}</RouterLink>
    </div>
  </div>
  <CountEnd
    v-else-if="view && ending"
    :view="view"
    @back="ending = false"
    @done="(booked, asExpected) => (done = { booked, asExpected })"
  />
  <div v-else-if="view" class="stack">
    <header class="head">
      <h1>{{ say('countTheShelves') }}</h1>
      <p v-if="tally" class="soft" data-progress>
        {{ say('ofLinesStopWhenYou', { counted: tally.counted, lines: tally.lines }) }}
      </p>
      <div class="acts">
        <ElButton v-if="tally && tally.counted > 0" type="primary" @click="ending = true">{{
          say('toTheEnd')
        }}</ElButton>
        <RouterLink class="el-button" to="/larder">{{ say('stopForNow') }}</RouterLink>
      </div>
    </header>
    <section v-if="view.shelves.length === 0" class="card">
      <h2>{{ say('theShelvesAreEmpty') }}</h2>
      <p>
        {{ say('thereIsNothingToCount') }} <RouterLink to="/shelf">{{ say('writeDownWhatStandsThere') }}</RouterLink>
      </p>
    </section>
    <nav class="shelves" :aria-label="say('shelves')">
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
        <span class="soft">{{ say('of', { shelfDone: shelfDone(s.lines), lines: s.lines.length }) }}</span>
      </button>
    </nav>
    <Notice v-if="refused" bad>{{ refused }}</Notice>
    <div class="columns">
      <div>
        <section v-for="s in view.shelves" v-show="!current || current.placeId === s.placeId" :key="s.placeId">
          <h2>
            {{ s.place }} <span class="soft">{{ say('inTheOrderItIs') }}</span>
          </h2>
          <template v-for="line in s.lines" :key="line.code">
            <CountNow
              v-if="line.code === code"
              :line="line"
              :busy="busy"
              @said="keep(line.code, $event)"
              @step="step"
            />
            <button v-else type="button" class="line" :class="{ counted: line.counted }" @click="go(line.code)">
              <span class="name"
                >{{ lotName(line) }} <span class="soft">{{ line.code }}</span></span
              >
              <span class="soft">{{ amount(line.pieces, line.weightG, lotCrop(line).piece) }}</span>
              <span>{{ line.counted ? (line.counted.typed === '=' ? say('same') : line.counted.typed) : '' }}</span>
              <strong :class="{ bad: line.counted && isOff(line) }">{{
                line.counted ? offWords(line, lotCrop(line).piece) : ''
              }}</strong>
            </button>
          </template>
        </section>
        <p>
          <RouterLink class="el-button" to="/shelf">{{ say('somethingHereThatIsNot') }}</RouterLink>
        </p>
      </div>
      <CountSide :view="view" @again="again" />
    </div>
  </div>
</template>

<style scoped>
.shelves {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-12);
}
.shelves .choice {
  min-width: 128px;
  display: grid;
  gap: var(--s-4);
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
  gap: var(--s-12);
  width: 100%;
  padding: var(--s-8) var(--s-6);
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
@media (max-width: 820px) {
  /* one strip to be pushed along: the line that is counted stays in view */
  .shelves {
    flex-wrap: nowrap;
    overflow-x: auto;
    min-width: 0;
  }
  .shelves .choice {
    flex: none;
  }
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .line > :nth-child(2) {
    grid-row: 2;
  }
}
</style>
