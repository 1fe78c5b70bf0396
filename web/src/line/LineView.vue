<script setup lang="ts">
import { useView } from '../view'
import { readLine, readLineLot, type LineLotDetail } from '@vadose/contract/line'
import { ElButton } from 'element-plus'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { cropColour, cropOf, lotName } from '../almanac'
import { dateRange, useFrame, weight } from '../households'
import { CleanForm, TroubledLots, useAct, WeighField, WeightChart } from '../lots'
import { bringIntoView, Notice } from '../kit'
import { ReadField } from '../places'
import AirChart from './AirChart.vue'
import DryerCard from './DryerCard.vue'
import EndTests from './EndTests.vue'
import LineAdviceCard from './LineAdviceCard.vue'
import JarsCard from './JarsCard.vue'
import RopeChart from './RopeChart.vue'
import { say } from './say'
import { sayWord, sayFact } from '../voice'

const frame = useFrame()
const route = useRoute()
const router = useRouter()
const { answer: view, failure } = useView(readLine)
const chosen = computed(() => {
  const wanted = route.query['lot']
  const lots = view.value?.lots ?? []
  return (
    lots.find((l) => l.code === wanted) ??
    [...lots].sort((a, b) => b.stalledForHours - a.stalledForHours || b.readyNow - a.readyNow)[0]
  )
})
const { answer: detail } = useView(readLineLot, () => (chosen.value ? { params: { code: chosen.value.code } } : null))
const bunch = computed(() => cropOf(chosen.value?.crop ?? '').curing?.bunch)
const heals = computed(() => cropOf(chosen.value?.crop ?? '').curing?.clock === 'healing')
const feels = computed(() =>
  (cropOf(chosen.value?.crop ?? '').curing?.endTests ?? []).map((t) => t.label.toLowerCase()).join(', '),
)
const { act, refusal, busy } = useAct()
const open = ref<'weigh' | 'test' | 'clean'>()
const cleans = computed(() => cropOf(chosen.value?.crop ?? '').cleaning)
const chosenCard = ref<HTMLElement>()
async function choose(code: string) {
  open.value = undefined
  await router.replace({ query: { lot: code } })
  await bringIntoView(chosenCard)
}
const count = (days: number) => say('day2', { days: Math.round(days) })
const saved = (days: number | null) =>
  days === null
    ? ''
    : Math.abs(days) < 0.5
      ? say('noDifference')
      : days > 0
        ? say('sooner', { count: count(days) })
        : say('later', { count: count(-days) })
const says = (o: LineLotDetail['options'][number]) =>
  [
    o.id === 'leave' ? '' : saved(o.daysSaved),
    o.mouldHoursAhead ? say('hDampEnoughForMould', { mouldHoursAhead: o.mouldHoursAhead }) : '',
  ]
    .filter(Boolean)
    .join(' · ')
function onKey(event: KeyboardEvent) {
  if (
    event.key === 'w' &&
    !event.ctrlKey &&
    !event.metaKey &&
    !(event.target as HTMLElement).closest('input, textarea') &&
    chosen.value &&
    !heals.value
  ) {
    event.preventDefault()
    open.value = 'weigh'
  }
}
onMounted(() => window.addEventListener('keydown', onKey))
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="view" class="stack">
    <header class="head">
      <h1>{{ say('theDryingLine') }}</h1>
      <p class="soft">
        {{ view.lots.length === 0 ? say('nothingHangs') : say('lotHangsATagSlides', { lots: view.lots.length }) }}
      </p>
    </header>
    <div v-if="view.dryer.length || view.jars.length" class="two">
      <DryerCard v-if="view.dryer.length" :loads="view.dryer" />
      <JarsCard v-if="view.jars.length" :jars="view.jars" />
    </div>
    <TroubledLots :lots="view.troubled" />
    <section v-if="view.lots.length === 0" class="card">
      <h2>{{ say('theRopeIsEmpty') }}</h2>
      <p>
        {{ say('whatIsBroughtInTo') }}
        <RouterLink to="/bring-in">{{ say('bringInAHarvest') }}</RouterLink>
      </p>
    </section>
    <section v-if="view.lots.length" class="card line" :aria-label="say('theRope')">
      <RopeChart :lots="view.lots" :chosen="chosen?.code" @choose="choose" />
    </section>
    <section v-if="chosen" ref="chosenCard" class="card chosen" :aria-label="say('chosenLot')">
      <div class="head">
        <h2>
          {{ lotName(chosen) }}
          <RouterLink class="code" :to="`/lots/${chosen.code}`">{{ chosen.code }}</RouterLink>
        </h2>
        <p class="window" data-window>
          {{
            chosen.readyNow >= 0.9
              ? say('readyTakeItDown')
              : say('ready', { dateRange: dateRange(chosen.ready.p10, chosen.ready.p90) })
          }}
        </p>
        <div class="acts">
          <ElButton v-if="!heals" type="primary" @click="open = open === 'weigh' ? undefined : 'weigh'"
            >{{ say('weigh') }} <kbd>w</kbd></ElButton
          >
          <ElButton @click="open = open === 'test' ? undefined : 'test'">{{ say('feel', { feels }) }}</ElButton>
          <ElButton v-if="cleans" @click="open = open === 'clean' ? undefined : 'clean'">{{
            say('threshClean')
          }}</ElButton>
          <ElButton
            v-if="chosen.hungIn && chosen.hungIn !== 'in bunches' && chosen.hungIn !== 'in plaits'"
            :disabled="busy"
            @click="act(chosen.code, { act: 'rotate' })"
            >{{ say('turned') }}</ElButton
          >
          <RouterLink class="el-button" :to="`/lots/${chosen.code}/finish`">{{ say('takeDown2') }}</RouterLink>
        </div>
      </div>
      <WeighField
        v-if="open === 'weigh'"
        :key="chosen.code"
        :code="chosen.code"
        :basis="chosen.basis"
        :expected-g="chosen.expectedG"
        focus-first
        @done="open = undefined"
      />
      <CleanForm
        v-if="open === 'clean' && cleans"
        :key="chosen.code"
        :code="chosen.code"
        :weight-g="chosen.weightG"
        :steps="cleans"
        @done="open = undefined"
      />
      <EndTests
        v-if="open === 'test'"
        :key="chosen.code"
        :code="chosen.code"
        :crop="chosen.crop"
        @done="open = undefined"
      />
      <ul class="reasons">
        <li v-for="r in chosen.reasons" :key="r.says">{{ sayFact(r) }}</li>
      </ul>
    </section>
    <LineAdviceCard v-if="view.lots.length" />
    <div v-if="chosen" class="three">
      <section class="card">
        <h2>{{ say('dryingPowerOfTheAir') }}</h2>
        <AirChart :air="view.air" :place-id="chosen.placeId" :now="frame.frame?.now ?? ''" />
        <p class="soft">
          {{ say('aReadingByHandOr') }}
          <RouterLink :to="`/readings?place=${chosen.placeId}`">{{ say('aLoggersFile') }}</RouterLink>:
        </p>
        <ReadField v-if="chosen.placeId" :place-id="chosen.placeId" :place-name="chosen.place ?? undefined" />
      </section>
      <section class="card">
        <h2>{{ say('whatWouldHelp', { code: chosen.code }) }}</h2>
        <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
        <p v-if="chosen.readyNow >= 0.9" class="soft">{{ say('nothingMoreIsWantedTake') }}</p>
        <ul v-else-if="detail" class="options rows">
          <li v-for="o in detail.options" :key="o.id">
            <div>
              {{ sayFact(o.label) }}
              <p class="soft">
                {{ says(o) }}
              </p>
            </div>
            <strong>{{ dateRange(o.ready.p10, o.ready.p90) }}</strong>
            <RouterLink v-if="o.inDryer" class="el-button" :to="`/lots/${chosen.code}/dry`">{{
              say('loadIt')
            }}</RouterLink>
            <ElButton
              v-else-if="o.act"
              :disabled="busy"
              :aria-label="say('doIt2', { label: sayFact(o.label) })"
              @click="act(chosen!.code, o.act!)"
              >{{ say('doIt') }}</ElButton
            >
          </li>
        </ul>
      </section>
      <section class="card">
        <h2>{{ say('itsWeights') }}</h2>
        <p v-if="heals" class="soft">
          {{ say('aHealingSkinIsJudged') }}
        </p>
        <WeightChart
          v-else-if="detail && detail.code === chosen.code"
          :detail="detail"
          :now="frame.frame?.now ?? ''"
          :colour="cropColour(chosen.crop)"
        />
        <p v-if="chosen.hungIn" class="soft">
          {{ say('itDries', { hungIn: sayWord(chosen.hungIn) }) }}
          <template v-if="chosen.hungIn === 'in bunches' && bunch">{{
            say('toABunchAtMost', { bunch: bunch.value.join('–'), weight: weight(2000) })
          }}</template>
        </p>
      </section>
    </div>
  </div>
</template>

<style scoped>
.line {
  padding: var(--s-8) var(--s-12);
  overflow: hidden;
}
.window {
  font: 650 var(--t-head) var(--font-head);
}
.reasons {
  margin: var(--s-8) 0 0;
  padding-left: var(--s-16);
  color: var(--soft);
  font-size: var(--t-note);
}
.three {
  order: 2;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: var(--s-16);
}
.two {
  order: 1;
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 420px), 1fr));
  gap: var(--s-16);
}
.options {
  list-style: none;
  padding: 0;
  margin: var(--s-6) 0 0;
}
.options li {
  display: grid;
  grid-template-columns: 1fr auto auto;
  gap: var(--s-12);
  align-items: center;
  padding: var(--s-6) 0;
}
.options strong {
  font-size: var(--t-note);
  text-align: right;
}
.options .el-button {
  min-height: 34px;
  padding: var(--s-4) var(--s-8);
}
@media (max-width: 820px) {
  .chosen {
    /* clear of the bar below */
    scroll-margin-bottom: 72px;
  }
}
@media (max-width: 1000px) {
  .three {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
