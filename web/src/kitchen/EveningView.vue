<script setup lang="ts">
import { listLots } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { instantOf } from '@vadose/core/households'
import { loadKgPerLitre, scoreOf } from '@vadose/core/kitchen'
import { ElButton } from 'element-plus'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { cropOf } from '../almanac'
import { useFrame, weight } from '../households'
import { TableBelow } from '../charts'
import { useView } from '../view'
import {
  clockAt,
  heapsFor,
  hoursBetween,
  isLaidOut,
  keepIn,
  keptIn,
  minutesOf,
  usualKitchen,
  type Heap,
  type KitchenSetup,
  type Running,
} from './evening'
import { usePlan } from './evening-plan'
import BusyHalfHour from './BusyHalfHour.vue'
import EveningScore from './EveningScore.vue'
import HeapCard from './HeapCard.vue'
import KitchenCard from './KitchenCard.vue'
import NotFitCard from './NotFitCard.vue'
import { say } from './say'
import { sayWord } from '../voice'
import { Notice } from '../kit'

/** An evening, or a few, of freezing: what came in against pan, trays, freezer and clock, as a score. */
const frame = useFrame()
const router = useRouter()
const { answer: lots } = useView(listLots)
const { answer: places } = useView(listPlaces)
const setup = ref<KitchenSetup>({ ...usualKitchen, ...keptIn<KitchenSetup>('kitchen') })
watch(setup, (now) => keepIn('kitchen', now))
const beginsMs = computed(() => {
  const zone = frame.frame?.household.timeZone ?? 'UTC'
  return instantOf(frame.today, 0, zone) + minutesOf(setup.value.from) * 60_000
})
const heaps = computed(() => {
  const fridges = (places.value ?? []).filter(({ kind }) => kind === 'fridge').map(({ id }) => id)
  return heapsFor(lots.value ?? [], beginsMs.value, new Set(fridges))
})
/** how much of each is meant tonight, g; undefined: all that is laid out */
const meant = ref<Record<string, number>>({})
const cuts = ref<Record<string, string>>({})
const gramsOf = (heap: Heap) => meant.value[heap.lot.code] ?? (isLaidOut(heap) ? heap.lot.weightG : 0)
/** less is supper */
const leastG = 50
const going = computed(() => heaps.value.filter((heap) => gramsOf(heap) >= leastG))
const hours = computed(() => hoursBetween(setup.value.from, setup.value.to))
/** so old it is not asked about any more */
const oldestHours = 200
const asked = computed(() => {
  if (going.value.length === 0) return null
  const { panLitres, stoveKW, trays, kgPerTray, freezerLitres, evenings } = setup.value
  return {
    heaps: going.value.map((heap) => ({
      crop: heap.lot.crop,
      ...(cuts.value[heap.lot.code] ? { cut: cuts.value[heap.lot.code]! } : {}),
      kg: gramsOf(heap) / 1000,
      hoursSincePicking: Math.min(oldestHours, heap.hours),
    })),
    evenings: Array.from({ length: evenings }, (_, i) => ({ inHours: i * 24, hours: hours.value })),
    kitchen: { panLitres, trays, kgPerTray, freezerLitres, altitudeM: frame.frame?.household.altitudeM ?? 0 },
    stoveKW,
  }
})
const { planned, refusal } = usePlan(asked)
const evening = ref(0)
const dayWords = [say('thisEvening'), say('tomorrowEvening'), say('inTwoDays')]
const tonight = computed(() =>
  (planned.value?.plan.batches ?? []).filter(
    ({ startInHours }) => Math.floor(startInHours / 24 + 1e-9) === evening.value,
  ),
)
const score = computed(() => scoreOf(tonight.value, evening.value * 24, planned.value?.boilsAfter ?? 0))
const mostKg = computed(() => setup.value.freezerLitres * loadKgPerLitre.most)
const rest = computed(() => planned.value?.plan.leftOver ?? [])

const running = keptIn<Running>('evening')
function begin() {
  const batchesOf = (heap: number) => tonight.value.filter((batch) => batch.heap === heap)
  const own: Running = {
    beganMs: Date.now(),
    acts: score.value.acts,
    done: 0,
    muted: false,
    heaps: going.value.flatMap(({ lot }, heap) => {
      const batches = batchesOf(heap)
      const kg = batches.reduce((sum, batch) => sum + batch.kg, 0)
      return kg > 0 ? [{ code: lot.code, crop: lot.crop, kg, cut: batches[0]!.cut }] : []
    }),
  }
  keepIn('evening', own)
  void router.push('/evening/clock')
}
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>{{ say('puttingBy') }}</h1>
      <p class="soft">
        {{
          say('toLitrePanTray', {
            dayWords: dayWords[evening],
            from: setup.from,
            to: setup.to,
            panLitres: setup.panLitres,
            trays: setup.trays,
          })
        }}
      </p>
      <div class="acts">
        <RouterLink v-if="running" class="el-button" to="/evening/clock">{{ say('backToTheClock') }}</RouterLink>
        <ElButton type="primary" :disabled="tonight.length === 0 || evening > 0" @click="begin">{{
          say('beginNow')
        }}</ElButton>
      </div>
    </header>
    <Notice v-if="refusal" bad>{{ refusal }}</Notice>
    <div class="plan">
      <section class="card stack">
        <h2>{{ say('whatCameIn') }}</h2>
        <p v-if="lots && heaps.length === 0" class="soft">{{ say('nothingIsHereThatIs') }}</p>
        <HeapCard
          v-for="h in heaps"
          :key="h.lot.code"
          :heap="h"
          :grams="gramsOf(h)"
          :cut="cuts[h.lot.code]"
          @grams="meant = { ...meant, [h.lot.code]: $event }"
          @cut="cuts = { ...cuts, [h.lot.code]: $event }"
        />
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
              {{ dayWords[i - 1] }}
            </button>
          </div>
          <EveningScore v-if="tonight.length" :score="score" :from="setup.from" :hours="hours" :most-kg="mostKg" />
          <p v-else class="soft">{{ say('nothingIsLaidOutFor') }}</p>
          <BusyHalfHour v-if="tonight.length" :score="score" :from="setup.from" />
          <TableBelow v-if="tonight.length">
            <tbody>
              <tr v-for="(b, i) in tonight" :key="i">
                <td>{{ clockAt(setup.from, (b.startInHours - evening * 24) * 60) }}</td>
                <td>{{ say('batch2', { i: i + 1 }) }}</td>
                <td>{{ cropOf(b.crop).name }}, {{ sayWord(b.cut) }}</td>
                <td>{{ weight(b.kg * 1000) }}</td>
                <td>
                  {{ b.blanchMinutes ? say('minInThePan', { blanchMinutes: b.blanchMinutes }) : say('rawOnTheTray') }}
                </td>
                <td :class="{ bad: b.late }">{{ b.late ? say('late') : say('inTime') }}</td>
              </tr>
            </tbody>
          </TableBelow>
        </section>
        <NotFitCard
          v-if="rest.length"
          :rest="rest"
          :lots="going.map(({ lot }) => lot)"
          :more="setup.evenings < dayWords.length"
          @evening="setup = { ...setup, evenings: setup.evenings + 1 }"
        />
        <KitchenCard v-model="setup" :most-kg="mostKg" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  grid-template-columns: 290px minmax(0, 1fr);
  gap: var(--s-16);
  align-items: start;
}
@media (max-width: 1000px) {
  .plan {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
