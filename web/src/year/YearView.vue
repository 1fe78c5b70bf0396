<script setup lang="ts">
import { readYear } from '@vadose/contract/year'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { longDate, shortDate, weight } from '../households'
import { useView } from '../view'
import Ribbons from './Ribbons.vue'
import { say } from './say'
import { Figures, Notice } from '../kit'

/** The year: ribbons of what was and will be in the house, and where every gram went. */
const { answer: view, failure } = useView(readYear)
const shown = 8
const all = ref(false)
const lines = computed(() => (view.value?.lines ?? []).slice(0, all.value ? undefined : shown))
const open = ref<string>()
const lastsWords = { short: say('short'), right: say('right'), 'too-much': say('tooMuch') } as const
const wide = computed(() => (view.value?.reckoning ?? []).filter((r) => r.putUpG + r.eatenG + r.lostG + r.leftG > 0))
const sum = (of: (r: (typeof wide.value)[number]) => number) => wide.value.reduce((total, r) => total + of(r), 0)
const other = (r: (typeof wide.value)[number]) => r.givenG + r.plantedG + r.fedG
const kg = (g: number) => (Math.abs(g) < 1 ? '0' : weight(g))
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="view" class="stack">
    <section v-if="view.lines.length === 0" class="card">
      <h1>{{ say('theYear') }}</h1>
      <p>
        {{ say('nothingHasComeInYet') }} <RouterLink to="/bring-in">{{ say('bringInAHarvest') }}</RouterLink>
      </p>
    </section>
    <section v-else class="card">
      <header class="head">
        <h1>{{ say('theYear') }}</h1>
        <p class="soft">
          {{ say('howMuchIsInThe') }}
        </p>
      </header>
      <Ribbons :view="view" :lines="lines" />
      <p v-if="view.lines.length > shown">
        <ElButton @click="all = !all">{{
          all ? say('theLargestOnly') : say('moreCrops', { lines: view.lines.length - shown })
        }}</ElButton>
      </p>
    </section>
    <section v-if="wide.length" class="card">
      <header class="head">
        <h2>{{ say('reckoningSince', { from: longDate(view.from) }) }}</h2>
        <p class="soft">{{ say('everyGramWhatThereWas') }}</p>
      </header>
      <Figures class="wide" :label="say('reckoningSince', { from: longDate(view.from) })">
        <thead>
          <tr>
            <th scope="col">{{ say('crop') }}</th>
            <th scope="col">{{ say('thereBefore') }}</th>
            <th scope="col">{{ say('putUp') }}</th>
            <th scope="col">{{ say('eaten') }}</th>
            <th scope="col">{{ say('givenPlantedFed') }}</th>
            <th scope="col">{{ say('lost') }}</th>
            <th scope="col">{{ say('waterTrimmings') }}</th>
            <th scope="col">{{ say('left') }}</th>
            <th scope="col">{{ say('toTheNextCrop') }}</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="r in wide" :key="r.crop">
            <tr :data-crop="r.crop">
              <th scope="row" :style="{ '--mark': cropColour(r.crop) }">{{ cropOf(r.crop).name }}</th>
              <td>{{ kg(r.startG) }}</td>
              <td>{{ kg(r.putUpG + r.cookedG + r.correctedG) }}</td>
              <td>{{ kg(r.eatenG) }}</td>
              <td>{{ kg(other(r)) }}</td>
              <td>
                <button
                  v-if="r.causes.length"
                  type="button"
                  class="why"
                  :aria-expanded="open === r.crop"
                  @click="open = open === r.crop ? undefined : r.crop"
                >
                  {{ kg(r.lostG) }}
                </button>
                <template v-else>{{ kg(r.lostG) }}</template>
              </td>
              <td>{{ kg(r.driedG) }}</td>
              <td>
                <strong>{{ kg(r.leftG) }}</strong>
              </td>
              <td>
                <template v-for="line in view.lines.filter((l) => l.crop === r.crop)" :key="line.crop">
                  <span v-if="line.lasts" :class="{ bad: line.lasts !== 'right', good: line.lasts === 'right' }"
                    >{{ line.lasts === 'short' ? '▲ ' : '' }}{{ lastsWords[line.lasts] }}</span
                  >
                  <span v-if="line.gapFrom" class="soft">{{ say('gone2', { gapFrom: shortDate(line.gapFrom) }) }}</span>
                </template>
              </td>
            </tr>
            <tr v-if="open === r.crop" class="causes">
              <td colspan="9">
                <span v-for="c in r.causes" :key="c.cause"
                  >{{ c.cause }} <strong>{{ weight(c.weightG) }}</strong></span
                >
              </td>
            </tr>
          </template>
        </tbody>
        <tfoot>
          <tr>
            <th scope="row">{{ say('all') }}</th>
            <td>{{ kg(sum((r) => r.startG)) }}</td>
            <td>{{ kg(sum((r) => r.putUpG + r.cookedG + r.correctedG)) }}</td>
            <td>{{ kg(sum((r) => r.eatenG)) }}</td>
            <td>{{ kg(sum(other)) }}</td>
            <td>{{ kg(sum((r) => r.lostG)) }}</td>
            <td>{{ kg(sum((r) => r.driedG)) }}</td>
            <td>
              <strong data-left>{{ kg(sum((r) => r.leftG)) }}</strong>
            </td>
            <td></td>
          </tr>
        </tfoot>
      </Figures>
      <p class="soft">
        {{ say('putUpCountsWhatWas') }}
      </p>
    </section>
  </div>
</template>

<style scoped>
section {
  min-width: 0;
}
th,
td {
  text-align: right;
  padding: var(--s-8) var(--s-8) var(--s-8) 0;
  white-space: nowrap;
}
th:first-child {
  text-align: left;
}
thead th {
  font-weight: 500;
  color: var(--soft);
  font-size: var(--t-note);
}
tbody tr,
tfoot tr {
  border-top: 1px solid var(--line);
}
tbody th {
  font-weight: 600;
}
tbody th::before {
  content: '';
  display: inline-block;
  width: 10px;
  height: 14px;
  margin-right: var(--s-8);
  border-radius: 2px;
  background: var(--mark);
  vertical-align: -1px;
}
.why {
  border: 0;
  background: none;
  color: var(--accent);
  text-decoration: underline;
  font: inherit;
  cursor: pointer;
  min-height: 32px;
}
.causes td {
  text-align: left;
  white-space: normal;
}
.causes span {
  margin-right: var(--s-16);
}
</style>
