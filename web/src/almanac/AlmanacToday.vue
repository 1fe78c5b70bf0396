<script setup lang="ts">
import { listBeds } from '@vadose/contract/beds'
import { listLots, type LotRow } from '@vadose/contract/lots'
import type { Crop } from '@vadose/core/almanac'
import { computed } from 'vue'
import { humidity, temperature, weight } from '../households'
import { useView } from '../view'
import { sayFact } from '../voice'
import { allCrops, cropColour, cropOf } from './almanac'
import { say } from './say'

/** What of the book matters in this house today: the ripe, the hanging, what lies in store; each leads to its pages. */
const { answer: stands } = useView(listBeds)
const { answer: lots } = useView(listLots)

interface Line {
  crop: Crop
  says: string
  soft: string
}
const ripe = computed<Line[]>(() =>
  (stands.value ?? [])
    .filter(({ over, verdict }) => !over && (verdict?.state === 'lift' || verdict?.state === 'late'))
    .map(({ crop, bed, verdict }) => ({
      crop: cropOf(crop),
      says: bed,
      soft: verdict!.says[0] ? sayFact(verdict!.says[0]) : '',
    })),
)
/** Lots by their crop, the heaviest first. */
function byCrop(chosen: (lot: LotRow) => boolean, told: (crop: Crop, lots: LotRow[]) => string): Line[] {
  const groups = new Map<string, LotRow[]>()
  for (const lot of (lots.value ?? []).filter(chosen)) groups.set(lot.crop, [...(groups.get(lot.crop) ?? []), lot])
  const heavy = (of: LotRow[]) => of.reduce((sum, { weightG }) => sum + weightG, 0)
  return [...groups.entries()]
    .sort(([, a], [, b]) => heavy(b) - heavy(a))
    .map(([id, of]) => ({
      crop: cropOf(id),
      says: say('lotsOfIt', { lots: of.length, weight: weight(heavy(of)) }),
      soft: told(cropOf(id), of),
    }))
}
const drying = new Set<LotRow['stage']>(['drying', 'dryer', 'conditioning'])
const hanging = computed(() =>
  byCrop(
    ({ stage }) => drying.has(stage),
    (crop) =>
      crop.curing
        ? say('doneWhen', { tests: crop.curing.endTests.map(({ label }) => label.toLowerCase()).join(', ') })
        : '',
  ),
)
const stored = computed(() =>
  byCrop(
    // of what is jarred, frozen or dried the crop's own air says nothing
    ({ stage, form, crop }) => !drying.has(stage) && form === 'fresh' && cropOf(crop).group !== 'goods',
    ({ keeping }, of) =>
      say('likesAirAndLies', {
        one:
          temperature(keeping.bestTemperatureC.value[0], 0) === temperature(keeping.bestTemperatureC.value[1], 0)
            ? 'yes'
            : 'no',
        from: temperature(keeping.bestTemperatureC.value[0], 0),
        to: temperature(keeping.bestTemperatureC.value[1], 0),
        damp: humidity(keeping.bestHumidityPct.value[0]),
        damper: humidity(keeping.bestHumidityPct.value[1]),
        places: [...new Set(of.flatMap(({ place }) => place?.toLowerCase() ?? []))].join(', '),
      }),
  ),
)
const groups = computed(() =>
  [
    { name: say('ripeNow'), lines: ripe.value },
    { name: say('onTheLineNow'), lines: hanging.value },
    { name: say('inStoreNow'), lines: stored.value },
  ].filter(({ lines }) => lines.length > 0),
)
</script>

<template>
  <div class="stack">
    <h1>{{ say('almanac') }}</h1>
    <p class="soft">
      {{ say('cropsAndFormsEachFrom', { allCrops: allCrops().length }) }} {{ say('changeAnyNumberForYour') }}
    </p>
    <div class="groups">
      <section v-for="g in groups" :key="g.name" class="card">
        <h2>{{ g.name }}</h2>
        <ul class="bare rows">
          <li v-for="(l, i) in g.lines" :key="i" :style="{ '--crop': cropColour(l.crop.id) }">
            <RouterLink :to="`/almanac/${l.crop.id}`"
              ><strong>{{ l.crop.name }}</strong></RouterLink
            >
            <span class="soft">{{ l.says }}</span>
            <p class="soft">{{ l.soft }}</p>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>

<style scoped>
.groups {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 270px), 1fr));
  gap: var(--s-16);
  align-items: start;
}
li {
  border-left: 5px solid var(--crop);
  padding: var(--s-6) 0 var(--s-6) var(--s-12);
}
</style>
