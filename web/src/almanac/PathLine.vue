<script setup lang="ts">
import { sayPart } from '../voice'
import { pathOf, type Crop, type PathStep } from '@vadose/core/almanac'
import { scaleLinear } from 'd3-scale'
import { area, curveMonotoneX } from 'd3-shape'
import { computed } from 'vue'
import { temperature } from '../households'
import { say } from './say'

/** A crop's way from bed to plate as one line, as thick as the weight that is left: water leaving, slowly. */
const props = defineProps<{ crop: Crop; colour: string }>()
const width = 960
const height = 74
const stepWords: Record<PathStep['id'], string> = {
  ready: say('pathReady'),
  lift: say('pathLift'),
  cure: say('pathDry'),
  heal: say('pathHeal'),
  finish: say('pathFinish'),
  keep: say('pathKeep'),
  freeze: say('pathOrFreeze'),
  dry: say('pathOrDry'),
}
const steps = computed(() => pathOf(props.crop).filter((s) => !['freeze', 'dry'].includes(s.id)))
const others = computed(() => pathOf(props.crop).filter((s) => ['freeze', 'dry'].includes(s.id)))
/** Each step takes room by the root of its days, so that a week and a winter are both legible. */
const share = (s: PathStep) => (s.days ? 2.2 + Math.sqrt((s.days[0] + s.days[1]) / 2) * 0.12 : 2.2)
const edges = computed(() => {
  const parts = steps.value.map(share)
  const total = parts.reduce((a, b) => a + b, 0)
  let at = 0
  return parts.map((p) => [at / total, (at += p) / total] as [number, number])
})
const x = scaleLinear([0, 1], [0, width])
const weightAfter = computed(() => {
  let now = 1
  return steps.value.map((s) => {
    if (s.id === 'cure' || s.id === 'heal') now *= props.crop.curing?.finalWeightRatio.value ?? 1
    if (s.id === 'keep') now *= 1 - props.crop.keeping.largestLossPct.value / 100
    return now
  })
})
const ribbon = computed(() => {
  const points = [{ x: 0, w: 1 }, ...edges.value.map(([, to], i) => ({ x: to, w: weightAfter.value[i]! }))]
  return (
    area<{ x: number; w: number }>()
      .x((p) => x(p.x))
      .y0((p) => 37 - 24 * p.w)
      .y1((p) => 37 + 24 * p.w)
      .curve(curveMonotoneX)(points) ?? ''
  )
})
const span = ([a, b]: [number, number]): string => {
  const unit = (d: number) =>
    d >= 60 ? [Math.round(d / 30.4), say('months')] : d >= 21 ? [Math.round(d / 7), say('weeks')] : [d, say('days')]
  const [lo, u] = unit(a)
  const [hi, v] = unit(b)
  return u === v ? (lo === hi ? `${lo} ${u}` : `${lo}–${hi} ${u}`) : `${lo} ${u} – ${hi} ${v}`
}
const columns = computed(() => edges.value.map(([a, b]) => `${(b - a).toFixed(4)}fr`).join(' '))
</script>

<template>
  <figure class="path">
    <svg :viewBox="`0 0 ${width} ${height}`" preserveAspectRatio="none" aria-hidden="true">
      <path :d="ribbon" :fill="colour" opacity="0.82" />
      <g v-for="(e, i) in edges" :key="i">
        <line v-if="i > 0" :x1="x(e[0])" :x2="x(e[0])" y1="6" y2="68" class="cut" />
      </g>
    </svg>
    <ol :style="{ gridTemplateColumns: columns }">
      <li v-for="s in steps" :key="s.id">
        <strong>{{ stepWords[s.id] }}</strong>
        <span v-if="s.days" class="days">{{ span(s.days) }}</span>
        <span class="soft">{{ sayPart(s.detail) }}</span>
      </li>
    </ol>
    <figcaption class="soft">
      {{ say('theBandIsAsThick') }}
      <template v-for="o in others" :key="o.id">
        <strong> {{ stepWords[o.id] }}:</strong> {{ sayPart(o.detail)
        }}<template v-if="o.days">{{ say('at', { span: span(o.days), temperature: temperature(-18, 0) }) }}</template
        >.
      </template>
    </figcaption>
  </figure>
</template>

<style scoped>
.path {
  margin: 0;
}
svg {
  width: 100%;
  height: 62px;
  display: block;
}
.cut {
  stroke: var(--card);
  stroke-width: 3;
}
ol {
  display: grid;
  gap: 0;
  list-style: none;
  margin: var(--s-4) 0 var(--s-8);
  padding: 0;
}
li {
  display: grid;
  gap: 1px;
  align-content: start;
  padding-right: var(--s-12);
  min-width: 0;
  font-size: var(--t-note);
  overflow-wrap: anywhere;
}
li .soft {
  margin-left: 0;
  font-size: var(--t-small);
  line-height: 1.35;
}
.days {
  font-weight: 600;
}
@media (max-width: 820px) {
  ol {
    grid-template-columns: 1fr !important;
    gap: var(--s-12);
  }
}
</style>
