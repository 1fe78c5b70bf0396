<script setup lang="ts">
import { weight } from '../households'
import type { Score } from '@vadose/core/kitchen'
import { computed } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { DayAxis } from '../charts'
import { clockAt } from './evening'
import { say } from './say'

/** The evening as a score: hands, stove, pan, cold water, trays and freezer as lanes, batches as notes. */
const props = defineProps<{ score: Score; from: string; hours: number; mostKg: number }>()
const left = 92
const width = 860
const lanes = ['hands', 'stove', 'pan', 'water', 'trays', 'freezer'] as const
const names = {
  hands: say('hands'),
  stove: say('stove'),
  pan: say('pan'),
  water: say('coldWater'),
  trays: say('trays'),
  freezer: say('freezer'),
}
const laneY = { hands: 40, stove: 94, pan: 152, water: 200, trays: 248, freezer: 326 }
const height = 384
const ends = computed(() => Math.max(props.hours * 60, Math.min(props.score.ends, props.hours * 60 + 60)))
const x = (minute: number) => left + (Math.min(minute, ends.value) / ends.value) * (width - left - 28)
const ticks = computed(() =>
  Array.from({ length: Math.floor(ends.value / 30) + 1 }, (_, i) => ({
    x: x(i * 30),
    // a long evening has room for the hours alone
    label: i % 2 === 0 || ends.value <= 240 ? clockAt(props.from, i * 30) : '',
    strong: i % 2 === 0,
  })),
)
const of = (lane: string) => props.score.notes.filter((note) => note.lane === lane)
/** trays lie above one another where they lie at the same time */
const trays = computed(() => {
  const rows: number[] = []
  return of('trays').map((note) => {
    let row = rows.findIndex((until) => until <= note.from)
    if (row < 0) row = rows.push(0) - 1
    rows[row] = note.to
    return { ...note, row }
  })
})
const trayH = computed(() => Math.min(13, 46 / Math.max(1, new Set(trays.value.map(({ row }) => row)).size)))
const stove = computed(() => {
  const { waterOn, boils, waterOff } = props.score
  if (waterOn === null || boils === null || waterOff === null) return ''
  const dips = of('pan').flatMap(({ from }) => [
    `L${x(from)} ${laneY.stove - 8}`,
    `L${x(from + 1)} ${laneY.stove - 15}`,
  ])
  return `M${x(waterOn)} ${laneY.stove + 16}L${x(boils)} ${laneY.stove - 15}${dips.join('')}L${x(waterOff)} ${laneY.stove - 15}V${laneY.stove + 16}Z`
})
const frozen = computed(() => {
  const y = (kg: number) => laneY.freezer + 26 - (Math.min(kg, props.mostKg) / props.mostKg) * 46
  let d = `M${left} ${laneY.freezer + 26}`
  let last = 0
  for (const { at, kg } of props.score.freezer) {
    d += `L${x(at)} ${y(last)}L${x(at)} ${y(kg)}`
    last = kg
  }
  return `${d}L${x(ends.value)} ${y(last)}V${laneY.freezer + 26}Z`
})
const inFreezer = computed(() => props.score.freezer.at(-1)?.kg ?? 0)
const says = computed(() =>
  say('batchesInThePanOf', {
    of: of('pan').length,
    waterOn:
      props.score.waterOn === null
        ? ''
        : say('waterOnBoils', {
            clockAt: clockAt(props.from, props.score.waterOn),
            clockAt2: clockAt(props.from, props.score.boils!),
          }),
    inFreezer: weight(1000 * inFreezer.value),
    most: weight(1000 * props.mostKg),
  }),
)
</script>

<template>
  <figure class="chart">
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="says">
      <defs>
        <pattern id="score-hands" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(35)">
          <path d="M0 0v7" stroke="var(--card)" stroke-width="1.6" opacity="0.55" />
        </pattern>
        <pattern id="score-water" width="8" height="6" patternUnits="userSpaceOnUse">
          <path d="M0 4q2-2.500 4 0t4 0" fill="none" stroke="var(--card)" stroke-width="1.2" />
        </pattern>
      </defs>
      <DayAxis :ticks="ticks" :y="15" :lines="{ top: 24, bottom: height - 30 }" />
      <g v-for="lane in lanes" :key="lane">
        <text x="0" :y="laneY[lane] + 5" class="lane">{{ names[lane] }}</text>
      </g>
      <rect
        v-for="(n, i) in of('hands')"
        :key="`h${i}`"
        :x="x(n.from)"
        :y="laneY.hands - 13"
        :width="Math.max(2, x(n.to) - x(n.from) - 1)"
        height="26"
        rx="3"
        :style="{ fill: cropColour(n.crop) }"
      >
        <title>
          {{
            say('batch', { clockAt: clockAt(from, n.from), batch: n.batch, name: cropOf(n.crop).name.toLowerCase() })
          }}
        </title>
      </rect>
      <rect
        v-for="(n, i) in of('hands')"
        :key="`hp${i}`"
        :x="x(n.from)"
        :y="laneY.hands - 13"
        :width="Math.max(2, x(n.to) - x(n.from) - 1)"
        height="26"
        fill="url(#score-hands)"
        pointer-events="none"
      />
      <path v-if="stove" :d="stove" class="stove" />
      <text
        v-if="score.waterOn !== null"
        :x="Math.max(left, x(score.waterOn) - 4)"
        :y="laneY.stove + 32"
        class="axis red"
      >
        {{ say('waterOn', { clockAt: clockAt(from, score.waterOn) }) }}
      </text>
      <text v-if="score.boils !== null" :x="x(score.boils) + 6" :y="laneY.stove + 8" class="axis red">
        {{ say('boils', { clockAt: clockAt(from, score.boils) }) }}
      </text>
      <g v-for="(n, i) in of('pan')" :key="`p${i}`">
        <rect
          :x="x(n.from)"
          :y="laneY.pan - 15"
          :width="Math.max(3, x(n.to) - x(n.from) - 1)"
          height="30"
          rx="3"
          :style="{ fill: cropColour(n.crop) }"
        >
          <title>
            {{
              say('batchKgTo', {
                batch: n.batch,
                name: cropOf(n.crop).name.toLowerCase(),
                weight: weight(1000 * n.kg),
                clockAt: clockAt(from, n.from),
                clockAt2: clockAt(from, n.to),
              })
            }}
          </title>
        </rect>
        <text :x="(x(n.from) + x(n.to)) / 2" :y="laneY.pan - 19" text-anchor="middle" class="axis hour">
          {{ n.batch }}
        </text>
      </g>
      <g v-for="(n, i) in of('water')" :key="`w${i}`">
        <rect
          :x="x(n.from)"
          :y="laneY.water - 11"
          :width="Math.max(3, x(n.to) - x(n.from) - 1)"
          height="22"
          rx="3"
          class="water"
        />
        <rect
          :x="x(n.from)"
          :y="laneY.water - 11"
          :width="Math.max(3, x(n.to) - x(n.from) - 1)"
          height="22"
          fill="url(#score-water)"
        />
      </g>
      <rect
        v-for="(n, i) in trays"
        :key="`t${i}`"
        :x="x(n.from)"
        :y="laneY.trays - 20 + n.row * (trayH + 1)"
        :width="Math.max(3, x(n.to) - x(n.from))"
        :height="trayH"
        rx="3"
        :style="{ fill: cropColour(n.crop) }"
      >
        <title>
          {{
            say('batchHardAbout', {
              batch: n.batch,
              name: cropOf(n.crop).name.toLowerCase(),
              clockAt: clockAt(from, n.to),
            })
          }}
        </title>
      </rect>
      <path :d="frozen" class="frozen" />
      <line :x1="left" :x2="width - 28" :y1="laneY.freezer - 20" :y2="laneY.freezer - 20" class="most" />
      <text :x="width - 32" :y="laneY.freezer + 18" text-anchor="end" class="axis hour">
        {{
          inFreezer >= mostKg - 0.05
            ? say('fullForToday')
            : say('kgMoreMayFreezeToday', { weight: weight(1000 * (mostKg - inFreezer)) })
        }}
      </text>
      <g v-if="score.idle && score.idle.from < ends">
        <path :d="`M${x(score.idle.from)} ${laneY.hands - 4}v-5H${x(score.idle.to)}v5`" class="idle" />
        <text
          :x="(x(score.idle.from) + x(score.idle.to)) / 2"
          :y="laneY.hands + 6"
          text-anchor="middle"
          class="axis nothing"
        >
          {{
            say('minWithNothingToDo', {
              floor: Math.floor((score.idle.to - score.idle.from) / 60)
                ? `${Math.floor((score.idle.to - score.idle.from) / 60)} h `
                : '',
              to: (score.idle.to - score.idle.from) % 60,
            })
          }}
        </text>
      </g>
      <line :x1="x(hours * 60)" :x2="x(hours * 60)" y1="24" :y2="height - 30" class="end" />
    </svg>
  </figure>
</template>

<style scoped>
.lane {
  font: 600 var(--t-note) var(--font);
  fill: var(--ink);
}
.hour {
  fill: var(--ink);
  font-weight: 650;
}
.stove {
  fill: color-mix(in srgb, var(--bad) 20%, var(--card));
  stroke: var(--bad);
  stroke-width: 1.5;
}
.red {
  fill: var(--bad);
  font-weight: 600;
}
.water {
  fill: var(--cold);
}
.frozen {
  fill: color-mix(in srgb, var(--cold) 40%, var(--card));
  stroke: var(--cold);
}
.most {
  stroke: var(--cold);
  stroke-dasharray: 5 4;
}
.idle {
  fill: none;
  stroke: var(--soft);
}
.nothing {
  font-style: italic;
}
.end {
  stroke: var(--ink);
  stroke-width: 2.5;
}
</style>
