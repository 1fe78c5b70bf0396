<script setup lang="ts">
import { unwateredDays } from '@vadose/core/assumptions'
import { listBeds } from '@vadose/contract/beds'
import { ElButton } from 'element-plus'
import { useWriteDown } from '../beds'
import { Choices, Notice } from '../kit'
import { useView } from '../view'
import type { WeatherDay } from '@vadose/contract/places'
import { signSteps } from '@vadose/core/beds'
import { dryForDays, readinessVerdicts, weatherAdvice } from '@vadose/core/intake'
import { computed, ref, watch } from 'vue'
import type { Crop } from '../almanac'
import { longDate } from '../households'
import { sayFact } from '../voice'
import { say } from './say'

const props = defineProps<{ crop: Crop; variety: string; bed: string; today: string; weather: WeatherDay[] }>()
const share = defineModel<number | undefined>({ required: true })
const look = computed(() => props.crop.readiness)
const steps = computed(() => signSteps(props.crop).map(({ value, label }) => ({ id: String(value), label })))
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
const { answer: stands } = useView(listBeds)
const named = (a: string | null, b: string) => !a || !b.trim() || a.toLowerCase() === b.trim().toLowerCase()
/** what was seen of it before it was brought in */
const seen = computed(() =>
  (stands.value ?? []).filter(
    (stand) =>
      !stand.over && stand.crop === props.crop.id && named(stand.bed, props.bed) && named(stand.variety, props.variety),
  ),
)
const { writeDown, failure, busy } = useWriteDown()
const kept = ref(false)
watch(share, () => (kept.value = false))
async function keep() {
  const at = {
    crop: props.crop.id,
    variety: props.variety.trim() || null,
    bed: props.bed.trim(),
    // a pot under a roof stays one
    growsIn: seen.value[0]?.growsIn ?? ('bed' as const),
  }
  kept.value = await writeDown(at, { what: 'sign', value: share.value! })
}
const word = { wait: say('wait'), lift: say('lift'), late: say('liftNow') }
</script>

<template>
  <section v-if="look || advice.length" class="card stack">
    <h2>{{ say('isItTime') }}</h2>
    <p v-if="look">{{ look.question }}</p>
    <Choices
      v-if="look"
      class="counts"
      :label="look.question"
      :model-value="share === undefined ? undefined : String(share)"
      :options="steps"
      @update:model-value="share = Number($event)"
    />
    <p v-if="dry !== null" class="soft">
      {{ say('dryOutdoorsForDayWhat', { dry, unwateredDays }) }}
    </p>
    <p v-for="says in advice" :key="says.says" class="sky">{{ sayFact(says) }}</p>
    <p v-if="look && !verdicts.length" class="soft">
      <template v-if="look.countOf">{{ say('of2', { countOf: look.countOf.value }) }}</template>{{
        say('schoolsDifferOnWhenTo')
      }}
    </p>
    <ul v-if="verdicts.length" class="rows" aria-live="polite">
      <li v-for="v in verdicts" :key="v.school.id">
        <strong :class="v.verdict === 'lift' ? 'good' : v.verdict === 'late' ? 'bad' : ''">{{
          word[v.verdict]
        }}</strong>
        · {{ v.school.label }}
        <p class="soft">
          {{ sayFact(v.says)
          }}<template v-if="v.verdict === 'wait'">{{
            say('lookAgainAbout', { liftFrom: longDate(v.liftFrom) })
          }}</template>
        </p>
      </li>
    </ul>
    <div v-if="share !== undefined && bed.trim()" class="row">
      <ElButton v-if="!kept" :disabled="busy" @click="keep">{{ say('notYetKeepThisLook', { bed }) }}</ElButton>
      <RouterLink v-else to="/beds">{{ say('keptItIsAskedAbout') }}</RouterLink>
    </div>
    <Notice v-if="failure" bad>{{ failure }}</Notice>
    <p v-for="stand in seen.slice(0, 3)" :key="stand.key" class="bed">
      <strong>{{ stand.bed }}</strong>: {{ stand.verdict?.says[0] ? sayFact(stand.verdict.says[0]) : '' }}
      <RouterLink :to="{ path: '/beds', query: { stand: stand.key } }">{{ say('itsLooks') }}</RouterLink>
    </p>
  </section>
</template>

<style scoped>
.sky {
  border-left: 4px solid var(--cold);
  padding-left: var(--s-8);
  font-weight: 600;
}
.counts {
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-6);
}
.counts :deep(.choice) {
  min-width: 44px;
  padding: var(--s-6);
  text-align: center;
}
ul {
  list-style: none;
  padding: 0;
  margin: 0;
}
li {
  padding: var(--s-8) 0;
}
</style>
