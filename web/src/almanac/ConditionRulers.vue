<script setup lang="ts">
import type { PlaceView } from '@vadose/contract/places'
import type { Crop } from '@vadose/core/almanac'
import { scaleLinear } from 'd3-scale'
import { computed } from 'vue'
import { fromCelsius, humidity, temperature } from '../households'
import { say } from './say'

/** What air a crop likes, against the air the household's places have now. */
const props = defineProps<{ crop: Crop; colour: string; places: PlaceView[] }>()
const width = 330
const t = scaleLinear([-6, 30], [10, width - 10])
const h = scaleLinear([20, 100], [10, width - 10])
const keeping = computed(() => props.crop.keeping)
const freezes = computed(() => keeping.value.freezesAtC?.value)
const chills = computed(() => keeping.value.chillsBelowC?.value)
const bestT = computed(() => keeping.value.bestTemperatureC.value)
const bestH = computed(() => keeping.value.bestHumidityPct.value)
const clamp = (v: number, lo: number, hi: number) => Math.min(hi, Math.max(lo, v))
/** Places share a ruler: each name takes the first row in which it stands clear. */
const marks = computed(() => {
  const rows: number[] = []
  return props.places
    .filter((p) => p.air.temperatureC !== null && !['outdoors', 'freezer'].includes(p.kind))
    .map((p) => ({ name: p.name, x: t(clamp(p.air.temperatureC!, -6, 30)), says: temperature(p.air.temperatureC!) }))
    .sort((a, b) => a.x - b.x)
    .map((p) => {
      const room = p.name.length * 6.6 + 12
      let row = rows.findIndex((end) => end < p.x - 4)
      if (row < 0) row = rows.length
      rows[row] = p.x + room
      return { ...p, row }
    })
})
const rowsHeight = computed(() => 15 * (1 + Math.max(-1, ...marks.value.map((m) => m.row))))
</script>

<template>
  <figure class="chart">
    <svg
      :viewBox="`0 0 ${width} ${150 + rowsHeight}`"
      role="img"
      :aria-label="
        say('likesToAndTo', {
          one: temperature(bestT[0]) === temperature(bestT[1]) ? 'yes' : 'no',
          temperature: temperature(bestT[0]),
          temperature2: temperature(bestT[1]),
          humidity: humidity(bestH[0]),
          humidity2: humidity(bestH[1]),
        })
      "
    >
      <defs>
        <pattern id="harm" width="6" height="6" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
          <rect width="6" height="6" fill="var(--paper-deep)" />
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--cold)" stroke-width="3" />
        </pattern>
      </defs>
      <text class="name" x="10" y="14">{{ say('temperature') }}</text>
      <rect x="10" y="22" :width="width - 20" height="22" rx="4" class="rail" />
      <rect v-if="chills !== undefined" x="10" y="22" :width="t(chills) - 10" height="22" fill="url(#harm)" />
      <rect v-else-if="freezes !== undefined" x="10" y="22" :width="t(freezes) - 10" height="22" fill="url(#harm)" />
      <rect :x="t(bestT[0]) - 3" y="19" :width="t(bestT[1]) - t(bestT[0]) + 6" height="28" rx="5" :fill="colour" />
      <g v-for="tick in [0, 10, 20, 30]" :key="tick">
        <text class="axis" :x="t(tick)" y="61" text-anchor="middle">{{ Math.round(fromCelsius(tick)) }}°</text>
      </g>
      <g v-for="m in marks" :key="m.name">
        <line :x1="m.x" :x2="m.x" y1="44" :y2="70 + m.row * 15" class="place" />
        <circle :cx="m.x" cy="33" r="4" class="dot" />
        <text class="axis place-name" :x="m.x + 4" :y="76 + m.row * 15">{{ m.name }}</text>
      </g>
      <g :transform="`translate(0 ${74 + rowsHeight})`">
        <text class="name" x="10" y="22">{{ say('humidity') }}</text>
        <rect x="10" y="30" :width="width - 20" height="22" rx="4" class="rail" />
        <rect :x="h(bestH[0]) - 3" y="27" :width="h(bestH[1]) - h(bestH[0]) + 6" height="28" rx="5" :fill="colour" />
        <text
          v-for="tick in [40, 60, 80, 100]"
          :key="tick"
          class="axis"
          :x="h(tick) - (tick === 100 ? 12 : 0)"
          y="69"
          text-anchor="middle"
        >
          {{ tick }} %
        </text>
      </g>
    </svg>
    <figcaption class="soft">
      <template v-if="chills !== undefined">{{ say('chillsBelow', { temperature: temperature(chills) }) }}</template>
      <template v-else-if="freezes !== undefined">{{
        say('freezesAt', { temperature: temperature(freezes) })
      }}</template>
      {{ say('solidBestHatchedHarmDots', { keptDry: keeping.keptDry ? 'yes' : 'no' }) }}
    </figcaption>
  </figure>
</template>

<style scoped>
.rail {
  fill: var(--paper-deep);
  stroke: var(--line);
}
.name {
  font-size: var(--t-small);
  font-weight: 600;
  fill: var(--ink);
}
.place {
  stroke: var(--soft);
}
.dot {
  fill: var(--card);
  stroke: var(--ink);
  stroke-width: 2;
}
</style>
