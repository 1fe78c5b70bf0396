<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { cropColour, lotCrop } from '../almanac'
import { amount, shortDate, useFrame } from '../households'
import { sayFact } from '../voice'
import { say } from './say'

/** A lot's way from bed to plate: what changed it, on one line of time. */
const props = defineProps<{ lot: LotView; wide: boolean }>()
const frame = useFrame()
const colour = computed(() => cropColour(props.lot.crop))
const piece = computed(() => lotCrop(props.lot).piece)
const gone = computed(() => props.lot.stage === 'gone')
const line = computed(() =>
  props.lot.events.filter((e) => !e.struck && !['weighed', 'used', 'undone'].includes(e.kind)),
)
</script>

<template>
  <ol class="card time" :class="{ wide }" :aria-label="say('fromBedToPlate')">
    <li v-for="e in line" :key="e.id" :class="e.kind">
      <span class="soft">{{ shortDate(e.on) }}</span>
      <i aria-hidden="true"></i>
      <span>{{ sayFact(e.says) }}</span>
    </li>
    <li class="today">
      <span class="soft">{{ shortDate(frame.today) }}</span>
      <i aria-hidden="true"></i>
      <strong>{{
        say('today', { gone: gone ? say('nothingLeft') : amount(lot.pieces, lot.weightG, piece, lot.guessed) })
      }}</strong>
    </li>
  </ol>
</template>

<style scoped>
.time {
  list-style: none;
  margin: 0;
  display: grid;
  gap: var(--s-2);
}
.time li {
  display: grid;
  grid-template-columns: 62px 18px 1fr;
  align-items: baseline;
  gap: var(--s-8);
}
.time i {
  width: 11px;
  height: 11px;
  border-radius: 50%;
  background: v-bind(colour);
  align-self: center;
}
.time .lost i,
.time .checked i {
  background: var(--card);
  border: 2.5px solid v-bind(colour);
}
.time .today i {
  background: var(--ink);
}
.time.wide {
  grid-auto-flow: column;
  grid-auto-columns: minmax(96px, 1fr);
  overflow-x: auto;
  position: relative;
}
.time.wide li {
  grid-template-columns: 1fr;
  justify-items: center;
  text-align: center;
  font-size: var(--t-small);
  align-content: start;
  position: relative;
}
.time.wide li + li::before {
  content: '';
  position: absolute;
  top: 33px;
  right: 50%;
  width: 100%;
  border-top: 3px solid var(--line);
}
.time.wide i {
  position: relative;
  z-index: 1;
}
</style>
