<script setup lang="ts">
import { listLots } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { instantOf } from '@vadose/core/households'
import { loadKgPerLitre, scoreOf, type GlutPlan } from '@vadose/core/kitchen'
import { wrap, type Remote } from 'comlink'
import { ElButton, ElInput } from 'element-plus'
import { computed, onBeforeUnmount, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { cropColour, cropOf, currentAlmanac, lotName } from '../almanac'
import { amount, gramsFrom, bareLarge, largeUnit, useFrame, weight } from '../households'
import { Pick } from '../kit'
import { useView } from '../view'
import {
  clockAt,
  heapsFor,
  hoursBetween,
  isLaidOut,
  keeps,
  keepIn,
  keptIn,
  usualKitchen,
  type KitchenSetup,
  type Running,
} from './evening'
import type { Planner } from './evening.worker'
import EveningScore from './EveningScore.vue'

/** An evening, or a few, of freezing: what came in against pan, trays, freezer and clock, as a score. */
const frame = useFrame()
const router = useRouter()
const { answer: lots } = useView(listLots)
const setup = ref<KitchenSetup>({ ...usualKitchen, ...keptIn<KitchenSetup>('kitchen') })
watch(setup, (now) => keepIn('kitchen', now), { deep: true })
const fields = [
  { key: 'panLitres', label: 'Pan', unit: 'L' },
  { key: 'stoveKW', label: 'Stove plate', unit: 'kW' },
  { key: 'trays', label: 'Trays', unit: '' },
  { key: 'kgPerTray', label: 'On a tray', unit: 'kg' },
  { key: 'freezerLitres', label: 'Freezer', unit: 'L' },
] as const
const setNumber = (key: (typeof fields)[number]['key'], text: string) => {
  const n = Number(text.replace(',', '.'))
  if (Number.isFinite(n) && n > 0) setup.value = { ...setup.value, [key]: n }
}
const { answer: places } = useView(listPlaces)
const beginsMs = computed(() =>
  instantOf(frame.today, Number(setup.value.from.slice(0, 2)), frame.frame?.household.timeZone ?? 'UTC'),
)
const heaps = computed(() =>
  heapsFor(
    lots.value ?? [],
    beginsMs.value,
    new Set((places.value ?? []).filter(({ kind }) => kind === 'fridge').map(({ id }) => id)),
  ),
)
/** how much of each is meant tonight, g; undefined: all that is laid out */
const meant = ref<Record<string, number>>({})
const cuts = ref<Record<string, string>>({})
const gramsOf = (code: string) => {
  const heap = heaps.value.find(({ lot }) => lot.code === code)!
  return meant.value[code] ?? (isLaidOut(heap) ? heap.lot.weightG : 0)
}
const going = computed(() => heaps.value.filter(({ lot }) => gramsOf(lot.code) >= 50))
/** every half hour of a day, from noon on */
const times = Array.from({ length: 48 }, (_, i) => clockAt('12:00', i * 30)).map((id) => ({ id, label: id }))
const hours = computed(() => hoursBetween(setup.value.from, setup.value.to))

const worker = new Worker(new URL('./evening.worker.ts', import.meta.url), { type: 'module' })
const planner: Remote<Planner> = wrap<Planner>(worker)
onBeforeUnmount(() => worker.terminate())
const planned = ref<{ plan: GlutPlan; boilsAfter: number }>()
const refusal = ref('')
let asked = 0
watch(
  [going, setup, cuts, meant],
  async () => {
    const own = ++asked
    if (going.value.length === 0) {
      planned.value = undefined
      return
    }
    const { panLitres, stoveKW, trays, kgPerTray, freezerLitres, evenings } = setup.value
    const answer = await planner.plan({
      changes: JSON.parse(JSON.stringify(currentAlmanac().changes)) as ReturnType<typeof currentAlmanac>['changes'],
      heaps: going.value.map(({ lot, hours: since }) => ({
        crop: lot.crop,
        ...(cuts.value[lot.code] ? { cut: cuts.value[lot.code]! } : {}),
        kg: gramsOf(lot.code) / 1000,
        hoursSincePicking: Math.min(200, since),
      })),
      evenings: Array.from({ length: evenings }, (_, i) => ({ inHours: i * 24, hours: hours.value })),
      kitchen: { panLitres, trays, kgPerTray, freezerLitres, altitudeM: frame.frame?.household.altitudeM ?? 0 },
      stoveKW,
    })
    if (own !== asked) return
    refusal.value = 'refusal' in answer ? answer.refusal : ''
    planned.value = 'refusal' in answer ? undefined : answer
  },
  { deep: true, immediate: true },
)
const evening = ref(0)
const tonight = computed(() =>
  (planned.value?.plan.batches ?? []).filter(
    ({ startInHours }) => Math.floor(startInHours / 24 + 1e-9) === evening.value,
  ),
)
const score = computed(() => scoreOf(tonight.value, evening.value * 24, planned.value?.boilsAfter ?? 0))
const mostKg = computed(() => setup.value.freezerLitres * loadKgPerLitre.most)
const leftOver = computed(() => planned.value?.plan.leftOver ?? [])
const whyNot = {
  time: 'no time for it',
  trays: 'no tray for it',
  freezer: 'the freezer is full for the day',
  'too-old': 'too old to freeze well',
} as const
const lotOfCrop = (crop: string) => going.value.find(({ lot }) => lot.crop === crop)?.lot

const running = ref(keptIn<Running>('evening'))
function begin() {
  const own: Running = {
    beganMs: Date.now(),
    acts: score.value.acts,
    done: 0,
    muted: false,
    heaps: going.value.flatMap(({ lot }) => {
      const own = tonight.value.filter(({ crop }) => crop === lot.crop)
      const kg = Math.min(
        lot.weightG / 1000,
        own.reduce((sum, b) => sum + b.kg, 0),
      )
      return kg > 0 ? [{ code: lot.code, crop: lot.crop, kg, cut: own[0]!.cut }] : []
    }),
  }
  keepIn('evening', own)
  void router.push('/evening/clock')
}
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>Putting by</h1>
      <p class="soft">
        {{ evening === 0 ? 'this evening' : evening === 1 ? 'tomorrow evening' : `in ${evening} days` }},
        {{ setup.from }} to {{ setup.to }} · {{ setup.panLitres }}-litre pan, {{ setup.trays }}
        {{ setup.trays === 1 ? 'tray' : 'trays' }}
      </p>
      <div class="acts">
        <RouterLink v-if="running" class="el-button" to="/evening/clock">Back to the clock</RouterLink>
        <ElButton type="primary" :disabled="tonight.length === 0 || evening > 0" @click="begin">Begin now</ElButton>
      </div>
    </header>
    <p v-if="refusal" class="notice bad" role="alert">{{ refusal }}</p>
    <div class="plan">
      <section class="card stack">
        <h2>What came in</h2>
        <p v-if="lots && heaps.length === 0" class="soft">Nothing is here that is frozen raw or blanched.</p>
        <div
          v-for="h in heaps"
          :key="h.lot.code"
          class="heap"
          :style="{ '--crop': cropColour(h.lot.crop) }"
          :data-heap="h.lot.code"
        >
          <p>
            <strong>{{ lotName(h.lot) }}</strong>
            <span class="soft">{{ amount(h.lot.pieces, h.lot.weightG, cropOf(h.lot.crop).piece) }}</span>
          </p>
          <div
            class="fresh"
            role="img"
            :aria-label="h.left > 0 ? `${Math.round(h.left)} hours left of ${h.within}` : 'too late to freeze well'"
          >
            <i :style="{ width: `${Math.min(100, (h.hours / h.within) * 100)}%` }"></i>
          </div>
          <p class="soft" :class="{ bad: h.left <= 0 && !keeps(h.lot) }">
            {{
              keeps(h.lot)
                ? 'in store: keeps where it is'
                : h.left > 0
                  ? `best within ${Math.round(h.left)} hours`
                  : '▲ late: quality is going'
            }}
          </p>
          <div class="row">
            <ElInput
              :model-value="gramsOf(h.lot.code) ? bareLarge(gramsOf(h.lot.code)).replace(/\.?0+$/, '') : ''"
              class="number"
              inputmode="decimal"
              :aria-label="`How much of ${h.lot.code}, ${largeUnit()}`"
              placeholder="none"
              @change="meant = { ...meant, [h.lot.code]: Math.min(h.lot.weightG, gramsFrom($event, 'kg') ?? 0) }"
              ><template #suffix>{{ largeUnit() }}</template></ElInput
            >
            <Pick
              v-if="(cropOf(h.lot.crop).freezing?.blanch.length ?? 0) > 1"
              :model-value="cuts[h.lot.code] ?? cropOf(h.lot.crop).freezing!.blanch[0]!.cut"
              :label="`How ${h.lot.code} is cut`"
              :options="cropOf(h.lot.crop).freezing!.blanch.map(({ cut }) => ({ id: cut, label: cut }))"
              class="cut"
              @update:model-value="cuts = { ...cuts, [h.lot.code]: $event! }"
            />
          </div>
        </div>
      </section>
      <div class="stack">
        <section class="card">
          <div v-if="setup.evenings > 1" class="row">
            <button
              v-for="i in setup.evenings"
              :key="i"
              type="button"
              class="choice"
              :aria-pressed="evening === i - 1"
              @click="evening = i - 1"
            >
              {{ i === 1 ? 'tonight' : i === 2 ? 'tomorrow' : `in ${i - 1} days` }}
            </button>
          </div>
          <EveningScore v-if="tonight.length" :score="score" :from="setup.from" :hours="hours" :most-kg="mostKg" />
          <p v-else class="soft">Nothing is laid out for this evening: say how much of what, on the left.</p>
          <details v-if="tonight.length">
            <summary>The same as a list</summary>
            <table>
              <tbody>
                <tr v-for="(b, i) in tonight" :key="i">
                  <td>{{ clockAt(setup.from, (b.startInHours - evening * 24) * 60) }}</td>
                  <td>batch {{ i + 1 }}</td>
                  <td>{{ cropOf(b.crop).name }}, {{ b.cut }}</td>
                  <td>{{ weight(b.kg * 1000) }}</td>
                  <td>{{ b.blanchMinutes ? `${b.blanchMinutes} min in the pan` : 'raw on the tray' }}</td>
                  <td :class="{ bad: b.late }">{{ b.late ? '▲ late' : 'in time' }}</td>
                </tr>
              </tbody>
            </table>
          </details>
        </section>
        <section v-if="leftOver.length" class="card">
          <h2>What does not fit</h2>
          <div v-for="l in leftOver" :key="l.crop" class="row rest">
            <p>
              <strong>{{ cropOf(l.crop).name }}</strong> {{ weight(l.kg * 1000) }}
              <span class="soft">{{ whyNot[l.why] }}. {{ l.instead }}</span>
            </p>
            <ElButton v-if="setup.evenings < 3" @click="setup.evenings++">Another evening</ElButton>
            <RouterLink
              v-if="lotOfCrop(l.crop)"
              class="el-button"
              :to="{ path: '/kitchen', query: { lots: lotOfCrop(l.crop)!.code } }"
              >Cook it</RouterLink
            >
            <RouterLink
              v-if="lotOfCrop(l.crop) && cropOf(l.crop).dehydrating"
              class="el-button"
              :to="`/lots/${lotOfCrop(l.crop)!.code}/dry`"
              >Dry it</RouterLink
            >
          </div>
        </section>
        <section class="card">
          <h2>The kitchen</h2>
          <div class="row">
            <label v-for="f in fields" :key="f.key" class="field"
              >{{ f.label }}
              <ElInput
                :model-value="String(setup[f.key])"
                class="small"
                inputmode="decimal"
                :aria-label="f.label"
                @change="setNumber(f.key, $event)"
                ><template v-if="f.unit" #suffix>{{ f.unit }}</template></ElInput
              ></label
            >
            <label class="field">From <Pick v-model="setup.from" label="From" :options="times" class="small" /></label>
            <label class="field">To <Pick v-model="setup.to" label="To" :options="times" class="small" /></label>
            <label class="field"
              >Evenings
              <Pick
                :model-value="String(setup.evenings)"
                label="Evenings"
                :options="['1', '2', '3'].map((id) => ({ id, label: id }))"
                @update:model-value="setup.evenings = Number($event)"
            /></label>
          </div>
          <p class="soft">
            About half a kilo to four litres of water; at most {{ mostKg.toFixed(1) }} kg a day in this freezer. Boiling
            water and steam: the lid away from you, children away from the stove.
          </p>
        </section>
      </div>
    </div>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
.heap {
  display: grid;
  gap: 3px;
  padding-bottom: 10px;
  border-bottom: 1px solid var(--line);
}
.fresh {
  height: 12px;
  border-radius: 6px;
  overflow: hidden;
  background: linear-gradient(
    90deg,
    color-mix(in srgb, var(--crop) 70%, var(--card)),
    color-mix(in srgb, var(--crop) 10%, var(--card))
  );
}
.fresh i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(
    115deg,
    var(--crop) 0 5px,
    color-mix(in srgb, var(--crop) 65%, var(--card)) 5px 8px
  );
  border-right: 3px solid var(--ink);
}
.number {
  width: 110px;
}
.row .cut {
  width: 140px;
  min-width: 130px;
}
.small,
.row .el-select.small {
  width: 108px;
  min-width: 0;
}
.rest {
  justify-content: space-between;
  padding: 6px 0;
}
.rest p {
  flex: 1;
  min-width: 220px;
}
table {
  width: 100%;
}
td {
  padding: 3px 8px 3px 0;
}
@media (max-width: 1000px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
