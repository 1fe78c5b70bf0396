<script setup lang="ts">
import { sayFact } from '../voice'
import { useView } from '../view'
import { readLineAdvice, type LineAdvice } from '@vadose/contract/line'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { lotName } from '../almanac'
import { useAct } from '../lots'
import { say } from './say'
import { Notice } from '../kit'

/** The line as a whole: what tomorrow's air does to it, and which moves would help most. */
const { answer: advice } = useView(readLineAdvice)
const { act, refusal, busy } = useAct()
const kPa = (value: number) => value.toFixed(2)
const days = (n: number) => say('daySooner', { n: Math.round(n) })
const gain = ({ daysSaved, mouldHoursAvoided, ready }: LineAdvice['moves'][number]['option']) =>
  [
    daysSaved === null ? (ready.p50 ? say('onlySoDoesItGet') : '') : daysSaved >= 0.5 ? days(daysSaved) : '',
    mouldHoursAvoided >= 1 ? say('hOfMouldWeatherAvoided', { mouldHoursAvoided }) : '',
  ]
    .filter(Boolean)
    .join(', ')
const word = (place: LineAdvice['tomorrow'][number]) => {
  if (place.stalls) return say('dryingStalls')
  const change = place.pullKPa / Math.max(0.01, place.lastDayKPa)
  return change > 1.15 ? say('driesFasterThanToday') : change < 0.85 ? say('driesSlowerThanToday') : say('driesAsToday')
}
const shown = computed(() => (advice.value?.tomorrow.length || advice.value?.moves.length ? advice.value : undefined))
const small = (text: string) => text.charAt(0).toLowerCase() + text.slice(1)
</script>

<template>
  <section v-if="shown" class="card whole" :aria-label="say('theLineAsAWhole')">
    <div>
      <h2>{{ say('tomorrowOnTheLine') }}</h2>
      <ul>
        <li v-for="p in shown.tomorrow" :key="p.placeId">
          <strong>{{ p.place }}</strong>, {{ p.lots }} {{ say('lot', { lots: p.lots }) }}:
          <span :class="{ bad: p.stalls }">{{ p.stalls ? '▲ ' : '' }}{{ word(p) }}</span>
          <span class="soft">{{ say('kpaLastDay', { kPa: kPa(p.pullKPa), kPa2: kPa(p.lastDayKPa) }) }}</span>
        </li>
      </ul>
    </div>
    <div v-if="shown.moves.length">
      <h2>{{ say('whatWouldHelpMost') }}</h2>
      <ul>
        <li v-for="m in shown.moves" :key="m.code" class="move">
          <span>
            <RouterLink :to="`/line?lot=${m.code}`">{{ m.code }}</RouterLink> {{ lotName(m) }}:
            <strong>{{ small(sayFact(m.option.label)) }}</strong>
            <span class="soft">{{ gain(m.option) }}</span>
          </span>
          <RouterLink v-if="m.option.inDryer" class="el-button" :to="`/lots/${m.code}/dry`">{{
            say('loadIt')
          }}</RouterLink>
          <ElButton
            v-else-if="m.option.act"
            :disabled="busy"
            :aria-label="say('doItFor', { code: m.code, label: sayFact(m.option.label) })"
            @click="act(m.code, m.option.act)"
            >{{ say('doIt') }}</ElButton
          >
        </li>
      </ul>
      <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    </div>
  </section>
</template>

<style scoped>
.whole {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: var(--s-12) var(--s-24);
}
li .soft {
  margin-left: 0.45em;
}
ul {
  list-style: none;
  padding: 0;
  margin: var(--s-4) 0 0;
  display: grid;
  gap: var(--s-4);
}
.move {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: var(--s-12);
  align-items: center;
}
.el-button {
  min-height: 34px;
  padding: var(--s-4) var(--s-8);
}
@media (max-width: 820px) {
  .whole {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
