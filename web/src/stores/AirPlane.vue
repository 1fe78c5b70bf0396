<script setup lang="ts">
import type { StoresView } from '@vadose/contract/stores'
import { scaleLinear } from 'd3-scale'
import { symbol, symbolCircle, symbolDiamond, symbolSquare, symbolTriangle } from 'd3-shape'
import { computed } from 'vue'
import { cropColour } from '../almanac'
import { humidity, monthOf, temperature } from '../households'
import { DayAxis, linePath, TableBelow, ValueAxis } from '../charts'
import { say } from './say'
import { sayWord } from '../voice'

const props = defineProps<{ view: StoresView; chosenPlace: string | null }>()
const width = 400
const height = 330
const x = scaleLinear([-4, 30], [44, width - 10])
const y = scaleLinear([30, 100], [height - 34, 14])
const warmth = computed(() => [0, 5, 10, 15, 20, 25].map((t) => ({ x: x(t), label: temperature(t, 0) })))
const damp = [40, 60, 80, 100].map((rh) => ({ y: y(rh), label: `${rh} %` }))
const shapes = [symbolCircle, symbolSquare, symbolTriangle, symbolDiamond]
const tones = ['var(--cold)', 'var(--accent)', 'var(--good)', 'var(--bad)', 'var(--soft)']
/** Names stand clear of one another: each moves up until it has a line to itself. */
const named = computed(() => {
  const taken: { x: number; y: number }[] = []
  return [...places.value]
    .sort((a, b) => y(b.rh) - y(a.rh))
    .map((p) => {
      let at = y(p.rh) - 12
      while (taken.some((t) => Math.abs(t.x - x(p.t)) < 74 && Math.abs(t.y - at) < 16)) at -= 4
      taken.push({ x: x(p.t), y: at })
      return { id: p.id, name: p.name, x: x(p.t), y: at }
    })
})
const places = computed(() =>
  props.view.places
    .filter((p) => p.cloud.length > 0 && p.kind !== 'outdoors' && p.kind !== 'freezer')
    .filter((p) => p.id === props.chosenPlace || props.view.lots.some((l) => l.placeId === p.id))
    .map((p, i) => {
      const t = p.cloud.reduce((sum, c) => sum + c.temperatureC, 0) / p.cloud.length
      const rh = p.cloud.reduce((sum, c) => sum + c.relativeHumidityPct, 0) / p.cloud.length
      return {
        ...p,
        t,
        rh,
        mark: symbol(shapes[i % shapes.length], 20)() ?? '',
        tone: tones[i % tones.length]!,
        months: linePath(
          p.ahead,
          (m) => x(m.temperatureC),
          (m) => y(m.relativeHumidityPct),
        ),
        last: p.ahead.at(-1),
      }
    }),
)
</script>

<template>
  <figure>
    <svg :viewBox="`0 0 ${width} ${height}`" role="img" :aria-label="say('placesByTemperatureAndHumidity')">
      <DayAxis :ticks="warmth" :y="height - 18" :lines="{ top: y(100), bottom: y(30) }" />
      <ValueAxis :ticks="damp" :left="44" :right="width - 10" />
      <g v-for="(w, i) in view.windows" :key="w.crop">
        <rect
          class="window"
          :x="x(w.temperatureC[0]) - 3 + i * 2"
          :y="y(w.relativeHumidityPct[1]) - 3 + i * 2"
          :width="x(w.temperatureC[1]) - x(w.temperatureC[0])"
          :height="y(w.relativeHumidityPct[0]) - y(w.relativeHumidityPct[1]) + 6"
          :stroke="cropColour(w.crop)"
          :fill="cropColour(w.crop)"
        />
      </g>

      <g v-for="p in places" :key="p.id" :opacity="chosenPlace && chosenPlace !== p.id ? 0.5 : 1">
        <path
          v-for="(c, i) in p.cloud"
          :key="i"
          :d="p.mark"
          :fill="p.tone"
          opacity="0.45"
          :transform="`translate(${x(c.temperatureC)} ${y(c.relativeHumidityPct)})`"
        />
        <path :d="p.months" class="months" :stroke="p.tone" />
        <text
          v-if="p.last && p.id === chosenPlace"
          class="axis"
          :x="x(p.last.temperatureC)"
          :y="y(p.last.relativeHumidityPct) - 6"
          text-anchor="middle"
        >
          {{ monthOf(`${p.last.month}-15`) }}
        </text>
      </g>
      <template v-if="view.windows.length > 0">
        <text class="likes" :x="x(-3.6)" :y="y(37)">{{ say('boxesWhatEachCropIn') }}</text>
        <text class="likes" :x="x(-3.6)" :y="y(33.5)">{{ say('namedInTheTable') }}</text>
      </template>
      <text
        v-for="n in named"
        :key="n.id"
        class="place"
        :class="{ other: chosenPlace && chosenPlace !== n.id }"
        :x="n.x"
        :y="n.y"
        text-anchor="middle"
      >
        {{ n.name }}
      </text>
    </svg>
    <TableBelow>
      <thead>
        <tr>
          <th>{{ say('place') }}</th>
          <th>{{ say('lastDays') }}</th>
          <th>{{ say('inSixMonths') }}</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="p in places" :key="p.id">
          <td>{{ p.name }}</td>
          <td>{{ temperature(p.t) }}, {{ humidity(p.rh) }}</td>
          <td>
            {{ p.last ? `${temperature(p.last.temperatureC)}, ${humidity(p.last.relativeHumidityPct)}` : '' }}
          </td>
        </tr>
      </tbody>
      <tbody>
        <tr v-for="w in view.windows" :key="w.crop + w.label">
          <td>{{ say('likeBest', { label: sayWord(w.label) }) }}</td>
          <td>
            {{
              say('to', {
                temperature: temperature(w.temperatureC[0], 0),
                temperature2: temperature(w.temperatureC[1], 0),
              })
            }}
          </td>
          <td>
            {{
              say('to2', {
                humidity: humidity(w.relativeHumidityPct[0]),
                humidity2: humidity(w.relativeHumidityPct[1]),
              })
            }}
          </td>
        </tr>
      </tbody>
    </TableBelow>
  </figure>
</template>

<style scoped>
figure {
  margin: var(--s-6) 0 0;
}
svg {
  width: 100%;
  height: auto;
}
.window {
  fill-opacity: 0.22;
  stroke-width: 1.5;
  rx: 4px;
}
.months {
  fill: none;
  stroke-width: 1.8;
  stroke-dasharray: 4 3;
}
.place {
  font-weight: 650;
  font-size: var(--t-small);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 4px;
}
.place.other {
  font-weight: 500;
  fill: var(--soft);
}
.likes {
  font-size: var(--t-small);
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--card);
  stroke-width: 3px;
}
</style>
