<script setup lang="ts">
import { readLineLot } from '@vadose/contract/line'
import type { Elsewhere, LotView } from '@vadose/contract/lots'
import { daysBetween } from '@vadose/core/households'
import { computed } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { dateRange, monthOf, shortDate, untilDate, useFrame } from '../households'
import { monthTicks, straight } from '../charts'
import { WeightChart } from '../lots'
import { useView } from '../view'
import { sayFact } from '../voice'
import { say } from './say'

/** Beside the form, what is decided by: whether it has dried, and how long it would keep in which place. */
const props = defineProps<{ lot: LotView; keeps: Elsewhere }>()
const placeId = defineModel<string>({ required: true })
const frame = useFrame()
const { answer: detail } = useView(readLineLot, () =>
  props.lot.stage === 'drying' ? { params: { code: props.lot.code } } : null,
)
const heals = computed(() => cropOf(props.lot.crop).curing?.clock === 'healing')
const window = computed(() => {
  const { curing } = props.lot
  if (!curing) return ''
  return curing.readyNow >= 0.9
    ? say('readyTakeItDown')
    : say('ready', { dateRange: dateRange(curing.ready.p10, curing.ready.p90) })
})
const yearDays = 365
const across = straight([0, yearDays], [0, 100])
const months = computed(() => monthTicks(frame.today, yearDays - 1, 3))
const bars = computed(() =>
  props.keeps.map((one) => ({
    ...one,
    share: Math.min(100, across(Math.max(0, daysBetween(frame.today, one.nineInTenUntil)))),
  })),
)
</script>

<template>
  <aside class="stack" :aria-label="say('whatItIsDecidedBy')">
    <section v-if="lot.curing" class="card stack">
      <h2>{{ say('hasItDried') }}</h2>
      <p class="figure">{{ window }}</p>
      <ul class="bare">
        <li v-for="r in lot.curing.reasons" :key="r.says">{{ sayFact(r) }}</li>
      </ul>
      <WeightChart
        v-if="!heals && detail"
        :detail="detail"
        :now="frame.frame?.now ?? ''"
        :colour="cropColour(lot.crop)"
      />
    </section>
    <section v-if="bars.length" class="card stack">
      <h2>{{ say('howLongItWouldKeep') }}</h2>
      <p class="soft">{{ say('nineInTenSoundUntil') }}</p>
      <div class="places">
        <button
          v-for="b in bars"
          :key="b.placeId"
          type="button"
          class="place"
          :aria-pressed="placeId === b.placeId"
          @click="placeId = b.placeId"
        >
          <span>{{ b.place }}</span>
          <i class="track" aria-hidden="true"
            ><b v-for="m in months" :key="m.on" class="month" :style="{ left: `${across(m.day)}%` }"></b
            ><b class="bar" :style="{ width: `${b.share}%`, '--crop': cropColour(lot.crop) }"></b
          ></i>
          <strong>{{ b.beyond ? untilDate(b.nineInTenUntil, true) : shortDate(b.nineInTenUntil) }}</strong>
        </button>
        <p class="axis" aria-hidden="true">
          <span v-for="m in months" :key="m.on" :style="{ left: `${across(m.day)}%` }">{{ monthOf(m.on) }}</span>
        </p>
      </div>
    </section>
  </aside>
</template>

<style scoped>
.places {
  --name: 128px;
  --date: 92px;
  display: grid;
  gap: var(--s-4);
}
.place,
.axis {
  display: grid;
  grid-template-columns: var(--name) minmax(0, 1fr) var(--date);
  gap: var(--s-8);
  align-items: center;
}
.place {
  min-height: 36px;
  padding: var(--s-2) var(--s-6);
  border: 1.5px solid transparent;
  border-radius: 6px;
  background: none;
  text-align: left;
  cursor: pointer;
}
.place:hover {
  border-color: var(--line);
}
.place[aria-pressed='true'] {
  border-color: var(--accent);
  background: var(--paper-deep);
}
.place strong {
  text-align: right;
  font-size: var(--t-note);
}
.track {
  position: relative;
  height: 16px;
  background: color-mix(in srgb, var(--line) 45%, transparent);
}
.track b {
  position: absolute;
  top: 0;
  bottom: 0;
}
.month {
  width: 1px;
  background: var(--line);
}
.bar {
  left: 0;
  background: var(--crop);
}
.axis {
  position: relative;
  height: 18px;
  /* under the tracks alone */
  margin: 0 calc(var(--date) + var(--s-8) + var(--s-6)) 0 calc(var(--name) + var(--s-8) + var(--s-6));
  display: block;
}
.axis span {
  position: absolute;
  transform: translateX(-50%);
}
</style>
