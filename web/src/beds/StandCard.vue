<script setup lang="ts">
import type { StandView } from '@vadose/contract/beds'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropColour, cropOf } from '../almanac'
import { amount, fullDate, longDate, sentence, shortDate, useFrame } from '../households'
import BedLook from './BedLook.vue'
import SeasonLine from './SeasonLine.vue'
import { useWriteDown } from './write-down'
import { say } from './say'
import { sayFact } from '../voice'
import { Notice } from '../kit'

const props = defineProps<{ stand: StandView; open: boolean }>()
const emit = defineEmits<{ turn: [] }>()
const frame = useFrame()
const { strike, failure, busy } = useWriteDown()
const crop = computed(() => cropOf(props.stand.crop))
const verdict = computed(() => props.stand.verdict)
const where = { bed: '', pot: say('potsInTheOpen2'), roofed: say('potsUnderARoof2') }
const headline = computed(() => {
  const { state, window, day } = verdict.value ?? { state: 'unknown', window: null, day: null }
  if (state === 'late') return say('liftNowItIsPast')
  if (state === 'lift') {
    return day && day !== frame.today
      ? say('liftOn', { fullDate: fullDate(day) })
      : say('liftUntil', { to: longDate(window!.to) })
  }
  if (window && state === 'wait') return say('liftTo', { from: longDate(window.from), to: longDate(window.to) })
  return say('lookToKnowWhen')
})
const mark = computed(() => ({ lift: '▲', late: '▲▲', wait: '·', unknown: '?' })[verdict.value?.state ?? 'unknown'])
const nextWord = { look: say('lookAgain'), 'cut-scapes': say('cutTheScapes'), lift: say('lift') }
const bringIn = computed(() => ({
  path: '/bring-in',
  query: {
    crop: props.stand.crop,
    bed: props.stand.bed,
    ...(props.stand.variety ? { variety: props.stand.variety } : {}),
  },
}))
const allEntries = ref(false)
const shown = computed(() => (allEntries.value ? props.stand.entries : props.stand.entries.slice(0, 4)))
const planted = computed(() => {
  const { plantedOn, planted: of, from } = props.stand
  if (!plantedOn) return ''
  const much = of.pieces || of.weightG ? `${amount(of.pieces || null, of.weightG, crop.value.piece)} ` : ''
  return say('plantedOn', {
    much,
    longDate: longDate(plantedOn),
    from: from.length ? say('from', { from: from.join(', ') }) : '',
  })
})
</script>

<template>
  <article class="card stand" :style="{ '--crop': cropColour(stand.crop) }" :data-bed="stand.bed">
    <header class="row">
      <h2>
        {{ stand.variety ? `${crop.name} ${stand.variety}` : crop.name }}
        <span class="soft">{{ stand.bed }}{{ where[stand.growsIn] }}</span>
      </h2>
      <strong class="verdict" :class="{ bad: verdict?.state === 'late', good: verdict?.state === 'lift' }"
        >{{ mark }} {{ headline }}</strong
      >
    </header>
    <SeasonLine :stand="stand" :today="frame.today" />
    <p v-for="(says, i) in verdict?.says" :key="i">{{ sayFact(says) }}</p>
    <p class="soft">
      <template v-if="verdict?.next"
        >{{ nextWord[verdict.next.what] }}:
        {{ verdict.next.on <= frame.today ? say('today') : fullDate(verdict.next.on) }}.
      </template>
      <template v-if="planted">{{ sentence(planted) }}.</template>
    </p>
    <div class="row">
      <ElButton type="primary" :plain="verdict?.state === 'lift'" :aria-expanded="open" @click="emit('turn')">{{
        open ? say('close') : say('whatDoYouSee')
      }}</ElButton>
      <RouterLink
        v-if="verdict?.state !== 'wait'"
        class="el-button"
        :class="{ 'el-button--primary': verdict?.state === 'lift' || verdict?.state === 'late' }"
        :to="bringIn"
        >{{ say('bringItIn') }}</RouterLink
      >
      <RouterLink v-else class="el-button" :to="bringIn">{{ say('bringInSome') }}</RouterLink>
    </div>
    <BedLook v-if="open" :at="stand" :planted="stand.plantedOn !== null" />
    <ul v-if="stand.entries.length" class="rows entries" :aria-label="say('seenAt', { bed: stand.bed })">
      <li v-for="entry in shown" :key="entry.id">
        <span class="soft">{{ shortDate(entry.on) }}</span> {{ sayFact(entry.says) }}
        <ElButton
          size="small"
          text
          :disabled="busy"
          :aria-label="say('strikeOut', { says: sayFact(entry.says) })"
          @click="strike(entry.id)"
          >{{ say('strikeOut2') }}</ElButton
        >
      </li>
    </ul>
    <ElButton v-if="stand.entries.length > 4 && !allEntries" size="small" text @click="allEntries = true">{{
      say('allLooks', { entries: stand.entries.length })
    }}</ElButton>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </article>
</template>

<style scoped>
.stand {
  display: grid;
  gap: var(--s-8);
  border-left: 6px solid var(--crop);
}
header {
  justify-content: space-between;
}
h2 .soft {
  margin-left: var(--s-8);
  font: 400 var(--t-note) var(--font);
}
.verdict {
  font-size: var(--t-text);
}
.entries {
  list-style: none;
  margin: 0;
  padding: 0;
}
.entries li {
  display: flex;
  align-items: center;
  gap: var(--s-12);
  padding: var(--s-4) 0;
}
.entries .el-button {
  margin-left: auto;
}
.entries .soft {
  min-width: 62px;
}
</style>
