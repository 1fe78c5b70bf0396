<script setup lang="ts">
import type { LineLot } from '@vadose/contract/line'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { cropColour, cropOf, heapLabel } from '../almanac'
import { dateRange, weight } from '../households'
import { hangTags, ropeY } from './tag-layout'
import { say } from './say'

const props = defineProps<{ lots: LineLot[]; chosen: string | undefined }>()
const emit = defineEmits<{ choose: [code: string] }>()

const box = ref<HTMLElement>()
const { width: measured } = useElementSize(box)
const width = computed(() => Math.max(300, measured.value || 1000))
const narrow = computed(() => width.value < 620)
const tagWidth = computed(() => (narrow.value ? 148 : 184))
const tagHeight = 84
const rowHeight = tagHeight + 18
const top = 34
const sag = 20
const ready = (lot: LineLot) => lot.readyNow >= 0.9
const margin = computed(() => (narrow.value ? 20 : 96))
const tags = computed(() =>
  hangTags(
    props.lots.map((lot) => ({ id: lot.code, progress: ready(lot) ? 1 : Math.min(0.97, lot.progress) })),
    { width: width.value, tagWidth: tagWidth.value, gap: 10, margin: margin.value },
  ).map((tag) => ({ ...tag, lot: props.lots.find((l) => l.code === tag.id)! })),
)
const rows = computed(() => Math.max(0, ...tags.value.map((t) => t.row)) + 1)
const height = computed(() => top + sag + 30 + rows.value * rowHeight)
const tagY = (row: number) => top + sag + 28 + row * rowHeight
const rope = computed(() => {
  const points = Array.from({ length: 41 }, (_, i) => {
    const x = (i / 40) * width.value
    return `${x.toFixed(1)} ${(top + ropeY(x, width.value, sag)).toFixed(1)}`
  })
  return `M${points.join('L')}`
})
const marks = computed(() =>
  (narrow.value
    ? ([
        [0, say('justIn')],
        [1, say('readyHere')],
      ] as const)
    : ([
        [0, say('justIn')],
        [1 / 3, say('aThirdDry')],
        [2 / 3, say('twoThirds')],
        [1, say('readyHere')],
      ] as const)
  ).map(([share, label]) => ({ x: margin.value + share * (width.value - 2 * margin.value), label, end: share === 1 })),
)
/** What else is worth the room: its heap where it is not the sound one, else its place. */
const aside = (lot: LineLot): string =>
  lot.heap !== 'sound'
    ? ` · ${heapLabel(cropOf(lot.crop), lot.heap).toLowerCase()}`
    : lot.place && !narrow.value
      ? ` · ${lot.place.toLowerCase()}`
      : ''
const heals = (lot: LineLot) => cropOf(lot.crop).curing?.clock === 'healing'
function status(lot: LineLot): { text: string; tone: string } {
  if (ready(lot)) return { text: say('takeDown3'), tone: 'good' }
  if (lot.stalledForHours >= 12)
    return { text: heals(lot) ? say('stalledTooCold') : say('stalledTooDamp'), tone: 'bad' }
  if (lot.ready.p50 === null) return { text: heals(lot) ? say('willNotHealHere') : say('willNotDryHere'), tone: 'bad' }
  return { text: dateRange(lot.ready.p10, lot.ready.p90), tone: '' }
}
</script>

<template>
  <div ref="box" class="rope-box">
    <svg :width="width" :height="height" aria-hidden="true">
      <rect class="ready-zone" :x="width - margin - 4" y="24" :width="margin + 4" :height="height - 28" />
      <g v-for="m in marks" :key="m.label">
        <line class="guide" :x1="m.x" :x2="m.x" y1="26" :y2="height - 6" />
        <text class="axis" :x="m.x" y="16" :text-anchor="narrow ? (m.end ? 'end' : 'start') : 'middle'">
          {{ m.label }}
        </text>
      </g>
      <path :d="rope" class="rope" />
      <line
        v-for="t in tags"
        :key="t.id"
        class="string"
        :x1="t.ropeX"
        :x2="t.x + tagWidth / 2"
        :y1="top + ropeY(t.ropeX, width, sag)"
        :y2="tagY(t.row) + 4"
      />
      <circle v-for="t in tags" :key="t.id" class="knot" :cx="t.ropeX" :cy="top + ropeY(t.ropeX, width, sag)" r="4" />
    </svg>
    <button
      v-for="t in tags"
      :key="t.id"
      class="tag"
      :class="{ chosen: chosen === t.id, stalled: status(t.lot).tone === 'bad' }"
      :style="{
        left: `${t.x}px`,
        top: `${tagY(t.row)}px`,
        width: `${tagWidth}px`,
        height: `${tagHeight}px`,
        '--crop': cropColour(t.lot.crop),
      }"
      :aria-pressed="chosen === t.id"
      :data-code="t.id"
      @click="emit('choose', t.id)"
    >
      <strong>{{ cropOf(t.lot.crop).name }}</strong>
      <span class="soft">{{ t.id }} · {{ weight(t.lot.weightG) }}{{ aside(t.lot) }}</span>
      <b :class="status(t.lot).tone">{{ status(t.lot).text }}</b>
      <i class="water" aria-hidden="true"><i :style="{ width: `${Math.round(t.lot.progress * 100)}%` }"></i></i>
      <span class="visually-hidden">{{
        say('inOfItsHealingDone', { progress: Math.round(t.lot.progress * 100), heals: heals(t.lot) ? 'yes' : 'no' })
      }}</span>
    </button>
  </div>
</template>

<style scoped>
.rope-box {
  position: relative;
}
svg {
  display: block;
  max-width: 100%;
}
.rope {
  fill: none;
  stroke: var(--rope);
  stroke-width: 5;
  stroke-dasharray: 7 2.5;
}
.string {
  stroke: var(--rope);
  stroke-width: 1.4;
}
.knot {
  fill: var(--rope);
}
.guide {
  stroke: var(--line);
  stroke-dasharray: 2 4;
}
.ready-zone {
  fill: color-mix(in srgb, var(--good) 12%, transparent);
}
.tag {
  position: absolute;
  display: grid;
  align-content: start;
  justify-items: start;
  text-align: left;
  gap: 1px;
  background: var(--card);
  border: 1.5px solid var(--wall);
  border-radius: 4px 14px 4px 4px;
  padding: var(--s-8) var(--s-8) var(--s-12);
  cursor: pointer;
  overflow: hidden;
  line-height: 1.25;
}
.tag strong {
  font-family: var(--font-head);
  font-size: var(--t-note);
  white-space: nowrap;
}
.tag strong,
.tag .soft {
  max-width: 100%;
  overflow: hidden;
  text-overflow: ellipsis;
}
.tag .soft {
  margin: 0;
  font-size: var(--t-small);
  white-space: nowrap;
}
.tag b {
  font-size: var(--t-small);
}
.tag.chosen {
  border-color: var(--accent);
  box-shadow: inset 0 0 0 1.5px var(--accent);
}
.tag.stalled {
  border-style: dashed;
  border-color: var(--bad);
}
.water {
  position: absolute;
  inset: auto 0 0;
  height: 7px;
  background: var(--paper-deep);
}
.water i {
  display: block;
  height: 100%;
  background: var(--crop);
}
</style>
