<script setup lang="ts">
import { muteAlarm, readAlarms, type AlarmView } from '@vadose/contract/round'
import { ElButton } from 'element-plus'
import { computed } from 'vue'
import { useAttempt } from '../households'
import { useView, write } from '../view'
import { sayFact } from '../voice'
import { say } from './say'
import { LateFold, Notice } from '../kit'

/** What cannot wait for the round, each with what to do; a muted one stays muted. */
const { answer } = useView(readAlarms)
const { attempt, failure, busy } = useAttempt()
const ringing = computed(() => answer.value?.ringing ?? [])
const muted = computed(() => answer.value?.muted ?? [])
const mute = ({ key }: AlarmView, to: boolean) => attempt(() => write(muteAlarm, { body: { key, muted: to } }))
const signs: Record<AlarmView['kind'], string> = {
  frost: 'M11 2v18M3 6.500l16 9M19 6.500l-16 9M8 3l3 3 3-3M8 19l3-3 3 3',
  damp: 'M11 3c4 5 6 8 6 11a6 6 0 0 1-12 0c0-3 2-6 6-11z',
  silent: 'M4 8v6h4l5 4V4L8 8zM16 8l4 6M20 8l-4 6',
  'freezer-warm': 'M9 3h4v9a4 4 0 1 1-4 0zM11 8v8',
  worse: 'M3 5c5 0 6 9 12 11M15 10v6h-6',
}
</script>

<template>
  <section v-if="ringing.length > 0 || muted.length > 0" class="card alarms" :aria-label="say('alarms')">
    <ul v-if="ringing.length > 0" class="bare rows">
      <li v-for="a in ringing" :key="a.key" :data-alarm="a.kind" class="alarm">
        <svg viewBox="0 0 22 22" aria-hidden="true"><path :d="signs[a.kind]" /></svg>
        <div>
          <h3>{{ sayFact(a.title) }}</h3>
          <p>{{ sayFact(a.says) }}</p>
          <p>
            <strong>{{ sayFact(a.todo) }}</strong>
            <template v-if="a.codes.length > 0 && a.codes.length < 5">
              <template v-for="c in a.codes" :key="c"
                >&nbsp; <RouterLink :to="`/lots/${c}`">{{ c }}</RouterLink></template
              ></template
            >
            <RouterLink v-if="a.kind === 'freezer-warm'" to="/power-cut">{{ say('bagByBag') }}</RouterLink>
          </p>
        </div>
        <ElButton :disabled="busy" :aria-label="say('mute', { title: sayFact(a.title) })" @click="mute(a, true)">{{
          say('mute2')
        }}</ElButton>
      </li>
    </ul>
    <LateFold v-if="muted.length > 0" :label="say('muted', { muted: muted.length })">
      <ul class="bare rows">
        <li v-for="a in muted" :key="a.key" class="alarm">
          <span class="soft">{{ sayFact(a.title) }}</span>
          <ElButton
            size="small"
            :disabled="busy"
            :aria-label="say('ringAgain', { title: sayFact(a.title) })"
            @click="mute(a, false)"
            >{{ say('ringAgain2') }}</ElButton
          >
        </li>
      </ul>
    </LateFold>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
  </section>
</template>

<style scoped>
.alarms {
  border-color: var(--bad);
  border-left-width: 6px;
}
.alarm {
  display: flex;
  gap: var(--s-16);
  align-items: center;
  padding: var(--s-8) 0;
}
.alarm > div,
.alarm > .soft {
  flex: 1;
  margin: 0;
}
svg {
  width: 30px;
  height: 30px;
  flex: none;
}
path {
  fill: none;
  stroke: var(--bad);
  stroke-width: 1.8;
  stroke-linejoin: round;
  stroke-linecap: round;
}
</style>
