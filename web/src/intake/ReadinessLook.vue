<script setup lang="ts">
import { DayField, stepThrough } from '../kit'
import type { WeatherDay } from '@vadose/contract/places'
import { dryForDays, readinessVerdicts, unwateredDays, weatherAdvice } from '@vadose/core/intake'
import { addDays } from '@vadose/core/households'
import { computed, ref } from 'vue'
import type { Crop } from '../almanac'
import { longDate } from '../households'

const props = defineProps<{ crop: Crop; today: string; weather: WeatherDay[] }>()
const share = defineModel<number | undefined>({ required: true })
const look = computed(() => props.crop.readiness)
const inAll = computed(() => look.value?.countOf?.value ?? (look.value?.stages?.length ?? 2) - 1)
const counts = computed(() => look.value?.stages ?? Array.from({ length: inAll.value + 1 }, (_, i) => String(i)))
const chosen = computed(() => (share.value === undefined ? undefined : Math.round(share.value * inAll.value)))
const verdicts = computed(() =>
  share.value === undefined ? [] : readinessVerdicts(props.crop, share.value, props.today),
)
const advice = computed(() =>
  weatherAdvice(
    props.crop,
    share.value,
    props.today,
    props.weather.filter((day) => day.ahead),
  ),
)
const dry = computed(() =>
  props.crop.curing ? dryForDays(props.weather.filter((day) => !day.ahead && day.on < props.today)) : null,
)
const scapesCut = ref('')
const scapeWindow = computed(() => {
  const days = props.crop.readiness?.scapeDays?.value
  return days && scapesCut.value ? days.map((n) => longDate(addDays(scapesCut.value, n))).join(' – ') : ''
})
const word = { wait: 'wait', lift: 'lift', late: 'lift now' }
</script>

<template>
  <section v-if="look || advice.length" class="card stack">
    <h2>Is it time?</h2>
    <p v-if="look">{{ look.question }}</p>
    <div v-if="look" class="counts" role="radiogroup" :aria-label="look.question" @keydown="stepThrough">
      <button
        v-for="(label, n) in counts"
        :key="n"
        type="button"
        role="radio"
        class="choice"
        :aria-checked="chosen === n"
        @click="share = n / inAll"
      >
        {{ label }}
      </button>
    </div>
    <p v-if="dry !== null" class="soft">
      Dry outdoors for {{ dry }} {{ dry === 1 ? 'day' : 'days' }}; what is to cure wants about
      {{ unwateredDays }} without rain or the can.
    </p>
    <p v-for="says in advice" :key="says" class="sky">{{ says }}</p>
    <p v-if="look && !verdicts.length" class="soft">
      <template v-if="look.countOf">Of {{ inAll }}. </template>Schools differ on when to lift: look, and see what each
      would do.
    </p>
    <ul v-if="verdicts.length" class="rows" aria-live="polite">
      <li v-for="v in verdicts" :key="v.school.id">
        <strong :class="v.verdict === 'lift' ? 'good' : v.verdict === 'late' ? 'bad' : ''">{{
          word[v.verdict]
        }}</strong>
        · {{ v.school.label }}
        <p class="soft">
          {{ v.says }}<template v-if="v.verdict === 'wait'"> Look again about {{ longDate(v.liftFrom) }}.</template>
        </p>
      </li>
    </ul>
    <label v-if="look?.scapeDays" class="field"
      >Scapes cut on <DayField v-model="scapesCut" label="Scapes cut on" clearable placeholder="if you cut them"
    /></label>
    <p v-if="scapeWindow">
      By the scapes, lift <strong>{{ scapeWindow }}</strong>: three to four weeks after the cut.
    </p>
  </section>
</template>

<style scoped>
.sky {
  border-left: 4px solid var(--cold);
  padding-left: 10px;
  font-weight: 600;
}
.counts {
  display: flex;
  flex-wrap: wrap;
  gap: 5px;
}
.counts .choice {
  min-width: 44px;
  padding: 6px;
  text-align: center;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  padding: 8px 0;
}
</style>
