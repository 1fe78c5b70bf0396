<script setup lang="ts">
import { ElButton } from 'element-plus'
import type { ColumnMapping } from '@vadose/core/readings'
import { computed, reactive } from 'vue'
import { humidity, temperature } from '../households'
import type { FileSummary } from './reader.worker'

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
  return minutes < 60 ? `${Math.round(minutes * 10) / 10} minutes` : `${Math.round((minutes / 60) * 10) / 10} hours`
})
const long = (gap: { from: number; to: number }) => {
  const hours = (gap.to - gap.from) / 3600
  return hours < 48 ? `${Math.round(hours * 10) / 10} h` : `${Math.round(hours / 24)} days`
}
const longest = computed(() => [...props.summary.gaps].sort((a, b) => b.to - b.from - (a.to - a.from)).slice(0, 4))
const there = computed(() => props.summary.readings - props.summary.fresh)
</script>

<template>
  <div class="stack report" aria-live="polite">
    <h2>{{ count(summary.readings) }} readings, every {{ step }}</h2>
    <dl>
      <dt>From, to</dt>
      <dd>{{ when(summary.from) }} – {{ when(summary.to) }}</dd>
      <dt>Temperature</dt>
      <dd>{{ temperature(summary.coldestC) }} to {{ temperature(summary.warmestC) }}</dd>
      <dt>Humidity</dt>
      <dd>{{ humidity(summary.driestPct) }} to {{ humidity(summary.dampestPct) }}</dd>
      <dt>Not in the book yet</dt>
      <dd>
        <strong>{{ count(summary.fresh) }}</strong><template v-if="there"
          >; {{ count(there) }} are there already and stay as they are</template
        >
      </dd>
      <template v-if="summary.repeated">
        <dt>Written twice</dt>
        <dd>{{ count(summary.repeated) }} lines; the first counts</dd>
      </template>
      <template v-if="summary.gaps.length">
        <dt>Gaps</dt>
        <dd>
          {{ summary.gaps.length }}{{ summary.gaps.length === 200 ? ' or more' : '' }}; the longest
          {{ longest.map((g) => `${long(g)} from ${when(g.from)}`).join(', ') }}. The air in between is drawn straight.
        </dd>
      </template>
      <template v-if="summary.unreadable">
        <dt>Left out</dt>
        <dd>
          {{ count(summary.unreadable) }} of {{ count(summary.lines) }} lines:
          {{ summary.why.map((w) => `line ${w.line}, ${w.says}`).join('; ')
          }}{{ summary.unreadable > summary.why.length ? ' …' : '' }}
        </dd>
      </template>
    </dl>
    <section v-for="doubt in open" :key="doubt.about" class="notice row" role="alert">
      <p>{{ doubt.says }}</p>
      <ElButton v-if="doubt.mend" type="primary" @click="$emit('mend', doubt.mend)">Yes, read it so</ElButton>
      <ElButton @click="fine.add(doubt.about)">{{ doubt.mend ? 'No, it is right as it is' : 'It is right' }}</ElButton>
    </section>
    <div v-if="open.length === 0">
      <ElButton v-if="summary.fresh" type="primary" size="large" :disabled="busy" @click="$emit('write')"
        >Keep {{ count(summary.fresh) }} readings in {{ place.toLowerCase() }}</ElButton
      >
      <p v-else>All of it is in the book already.</p>
    </div>
  </div>
</template>

<style scoped>
dl {
  display: grid;
  grid-template-columns: max-content minmax(0, 1fr);
  gap: 4px 16px;
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
    margin-bottom: 6px;
  }
}
</style>
