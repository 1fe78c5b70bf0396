<script setup lang="ts">
import { ElButton } from 'element-plus'
import type { ColumnMapping } from '@vadose/core/readings'
import { computed, reactive } from 'vue'
import { humidity, temperature } from '../households'
import type { FileSummary } from './reader.worker'
import { say } from './say'
import { sayFact } from '../voice'
import { Notice } from '../kit'

/** What is in a file, before any of it is written. */
const props = defineProps<{ summary: FileSummary; place: string; busy: boolean }>()
defineEmits<{ write: []; mend: [part: Partial<ColumnMapping>] }>()
/** What was asked and is right as it was read: an answer that stands while the same file is read again. */
const fine = reactive(new Set<string>())
const open = computed(() => props.summary.doubts.filter((doubt) => !fine.has(doubt.about)))
const count = (n: number) => n.toLocaleString('en-GB')
const instant = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
const when = (seconds: number) => instant.format(new Date(seconds * 1000))
const step = computed(() => {
  const minutes = props.summary.stepS / 60
  if (minutes === 60) return 'hour'
  return minutes < 60
    ? say('minutes', { minutes: Math.round(minutes * 10) / 10 })
    : say('hours', { minutes: Math.round((minutes / 60) * 10) / 10 })
})
const long = (gap: { from: number; to: number }) => {
  const hours = (gap.to - gap.from) / 3600
  return hours < 48 ? `${Math.round(hours * 10) / 10} h` : say('days', { hours: Math.round(hours / 24) })
}
const longest = computed(() => [...props.summary.gaps].sort((a, b) => b.to - b.from - (a.to - a.from)).slice(0, 4))
const there = computed(() => props.summary.readings - props.summary.fresh)
</script>

<template>
  <div class="stack report" aria-live="polite">
    <h2>{{ say('readingsEvery', { count: count(summary.readings), step }) }}</h2>
    <dl>
      <dt>{{ say('fromTo') }}</dt>
      <dd>{{ when(summary.from) }} – {{ when(summary.to) }}</dd>
      <dt>{{ say('temperature') }}</dt>
      <dd>{{ say('to', { coldestC: temperature(summary.coldestC), warmestC: temperature(summary.warmestC) }) }}</dd>
      <dt>{{ say('humidity') }}</dt>
      <dd>{{ say('to2', { driestPct: humidity(summary.driestPct), dampestPct: humidity(summary.dampestPct) }) }}</dd>
      <dt>{{ say('notInTheBookYet') }}</dt>
      <dd>
        <strong>{{ count(summary.fresh) }}</strong><template v-if="there">{{
          say('areThereAlreadyAndStay', { count: count(there) })
        }}</template>
      </dd>
      <template v-if="summary.repeated">
        <dt>{{ say('writtenTwice') }}</dt>
        <dd>{{ say('linesTheFirstCounts', { count: count(summary.repeated) }) }}</dd>
      </template>
      <template v-if="summary.gaps.length">
        <dt>{{ say('gaps') }}</dt>
        <dd>
          {{
            say('orMoreTheLongestThe', {
              gaps: summary.gaps.length,
              gaps2: summary.gaps.length === 200 ? 'yes' : 'no',
              longest: longest.map((g) => say('from', { long: long(g), when: when(g.from) })).join(', '),
            })
          }}
        </dd>
      </template>
      <template v-if="summary.unreadable">
        <dt>{{ say('leftOut') }}</dt>
        <dd>
          {{
            say('ofLines', {
              count: count(summary.unreadable),
              count2: count(summary.lines),
              why: summary.why.map((w) => say('line', { line: w.line, says: sayFact(w.says) })).join('; '),
              unreadable: summary.unreadable > summary.why.length ? ' …' : '',
            })
          }}
        </dd>
      </template>
    </dl>
    <Notice v-for="doubt in open" :key="doubt.about" bad>
      <p>{{ sayFact(doubt.says) }}</p>
      <ElButton v-if="doubt.mend" type="primary" @click="$emit('mend', doubt.mend)">{{ say('yesReadItSo') }}</ElButton>
      <ElButton @click="fine.add(doubt.about)">{{ doubt.mend ? say('noItIsRightAs') : say('itIsRight') }}</ElButton>
    </Notice>
    <div v-if="open.length === 0">
      <ElButton v-if="summary.fresh" type="primary" size="large" :disabled="busy" @click="$emit('write')">{{
        say('keepReadingsIn', { count: count(summary.fresh), place: place.toLowerCase() })
      }}</ElButton>
      <p v-else>{{ say('allOfItIsIn') }}</p>
    </div>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: var(--s-4) var(--s-16);
  margin: 0;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
}
@media (max-width: 820px) {
  dl {
    grid-template-columns: 1fr;
  }
  dd {
    margin-bottom: var(--s-6);
  }
}
</style>
