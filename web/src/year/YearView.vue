<script setup lang="ts">
import { readYear } from '@vadose/contract/year'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { longDate, shortDate, weight } from '../households'
import { useView } from '../view'
import Ribbons from './Ribbons.vue'

/** The year: ribbons of what was and will be in the house, and where every gram went. */
const { answer: view, failure } = useView(readYear)
const shown = 8
const all = ref(false)
const lines = computed(() => (view.value?.lines ?? []).slice(0, all.value ? undefined : shown))
const open = ref<string>()
const lastsWords = { short: 'short', right: 'right', 'too-much': 'too much' } as const
const wide = computed(() => (view.value?.reckoning ?? []).filter((r) => r.putUpG + r.eatenG + r.lostG + r.leftG > 0))
const sum = (of: (r: (typeof wide.value)[number]) => number) => wide.value.reduce((total, r) => total + of(r), 0)
const other = (r: (typeof wide.value)[number]) => r.givenG + r.plantedG + r.fedG
const kg = (g: number) => (Math.abs(g) < 1 ? '0' : weight(g))
</script>

<template>
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="view" class="stack">
    <section v-if="view.lines.length === 0" class="card">
      <h1>The year</h1>
      <p>Nothing has come in yet. <RouterLink to="/bring-in">Bring in a harvest</RouterLink></p>
    </section>
    <section v-else class="card">
      <header class="head">
        <h1>The year</h1>
        <p class="soft">
          how much is in the house, crop by crop; solid is counted, pale is expected, the dashes are 8 chances in 10.
          Where nobody has eaten of it yet, the pace is a guess
        </p>
      </header>
      <Ribbons :view="view" :lines="lines" />
      <p v-if="view.lines.length > shown">
        <ElButton @click="all = !all">{{
          all ? 'The largest only' : `${view.lines.length - shown} more crops`
        }}</ElButton>
      </p>
    </section>
    <section v-if="wide.length" class="card">
      <header class="head">
        <h2>Reckoning since {{ longDate(view.from) }}</h2>
        <p class="soft">every gram: what there was and came is what went and is left</p>
      </header>
      <div class="scroll">
        <table>
          <thead>
            <tr>
              <th scope="col">crop</th>
              <th scope="col">there before</th>
              <th scope="col">put up</th>
              <th scope="col">eaten</th>
              <th scope="col">given, planted, fed</th>
              <th scope="col">lost</th>
              <th scope="col">water, trimmings</th>
              <th scope="col">left</th>
              <th scope="col">to the next crop</th>
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
                    <span v-if="line.gapFrom" class="soft"> gone {{ shortDate(line.gapFrom) }}</span>
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
              <th scope="row">all</th>
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
        </table>
      </div>
      <p class="soft">
        “Put up” counts what was found or put right, and what came from other crops into dishes of this one; tap what
        was lost for its causes.
      </p>
    </section>
  </div>
</template>

<style scoped>
section {
  min-width: 0;
}
.scroll {
  overflow-x: auto;
}
table {
  width: 100%;
  border-collapse: collapse;
  font-variant-numeric: tabular-nums;
}
th,
td {
  text-align: right;
  padding: 7px 10px 7px 0;
  white-space: nowrap;
}
th:first-child {
  text-align: left;
}
thead th {
  font-weight: 500;
  color: var(--soft);
  font-size: 14px;
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
  margin-right: 8px;
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
  margin-right: 18px;
}
</style>
