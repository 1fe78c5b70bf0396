<script setup lang="ts">
import { endSaid } from '@vadose/core/almanac'
import { readElsewhere, readMoved, type KeepingView, type LotView } from '@vadose/contract/lots'
import { computed } from 'vue'
import { cropColour, LearntLine, currentAlmanac } from '../almanac'
import { longDate, shortDate, untilDate, useFrame } from '../households'
import { useView } from '../view'
import SurvivalChart from './SurvivalChart.vue'
import { say } from './say'
import { sayFact } from '../voice'

/** How long a stored lot keeps where it is, what will end it, and what other places would make of it. */
const props = defineProps<{ lot: LotView; keeping: KeepingView; wide: boolean }>()
const frame = useFrame()
const { answer: elsewhere } = useView(readElsewhere, () => ({ params: { code: props.lot.code } }))
const { answer: moved } = useView(readMoved, () => ({ params: { code: props.lot.code } }))
const colour = computed(() => cropColour(props.lot.crop))
/** the household's own way, where it moves the next look or what ends it */
const asYouSet = computed(() => {
  const { longestLookGapDays, bearableBadPct, bearableLoss } = currentAlmanac().changes.habits
  return [
    longestLookGapDays === undefined ? '' : say('asYouSetGap', { days: longestLookGapDays }),
    bearableBadPct === undefined ? '' : say('asYouSetBad', { pct: bearableBadPct }),
    bearableLoss === undefined ? '' : say('asYouSetLoss', { times: bearableLoss }),
  ]
    .filter(Boolean)
    .join(' ')
})
</script>

<template>
  <div :class="{ columns: wide, stack: !wide }">
    <div class="stack">
      <section class="card">
        <h2>{{ say('howMuchOfItIs') }}</h2>
        <SurvivalChart :narrow="!wide" :keeping="keeping" :today="frame.today" :checks="lot.checks" :colour="colour" />
      </section>
      <section v-if="elsewhere?.length" class="card">
        <h2>{{ say('elsewhereInTheHouse') }}</h2>
        <ul class="bare">
          <li v-for="p in elsewhere" :key="p.placeId">
            {{ p.place }}:
            <strong>{{
              p.beyond ? say('overAYear') : say('to', { nineInTenUntil: longDate(p.nineInTenUntil) })
            }}</strong>
            <span class="soft">{{ say('endsIt', { endedBy: sayFact(endSaid(p.endedBy)) }) }}</span>
          </li>
        </ul>
      </section>
    </div>
    <div class="stack">
      <section class="card">
        <template v-if="keeping.overdueSince">
          <p class="bad">{{ say('itsTimeWasOverOn') }}</p>
          <p class="figure">{{ untilDate(keeping.overdueSince, false) }}</p>
          <p>{{ say('nobodyHasLookedSinceLook') }}</p>
        </template>
        <template v-else>
          <p class="soft">{{ say('inStillSoundUntil') }}</p>
          <p class="figure">{{ untilDate(keeping.nineInTenUntil.p50, keeping.beyond) }}</p>
        </template>
        <p class="soft">
          {{
            say('betweenAndHalfByAbout', {
              p10: shortDate(keeping.nineInTenUntil.p10),
              p90: shortDate(keeping.nineInTenUntil.p90),
              p50: longDate(keeping.halfUntil.p50),
            })
          }}
        </p>
        <LearntLine v-if="keeping.learnt" :learnt="keeping.learnt" :crop="lot.crop" />
        <p v-if="moved?.moved" :class="moved.moved.days < 0 ? 'bad' : 'good'">
          {{
            say('daysSoonerThanWasSaid', {
              days: moved.moved.days < 0 ? '▲ ' : '',
              days2: Math.abs(moved.moved.days),
              days3: moved.moved.days < 0 ? 'yes' : 'no',
              says: sayFact(moved.moved.says),
            })
          }}
        </p>
        <p class="soft">
          {{ say('lookOverOfThemBy', { lookAt: keeping.lookAt, nextCheckOn: longDate(keeping.nextCheckOn) }) }}
          <RouterLink v-if="asYouSet" to="/household#habits">{{ asYouSet }}</RouterLink>
          <template v-if="keeping.weightLossPctPerMonth >= 0.05">{{
            say('itLosesAboutOfIts', { weightLossPctPerMonth: keeping.weightLossPctPerMonth.toFixed(1) })
          }}</template>
        </p>
      </section>
      <section class="card">
        <h2>{{ say('whatWillEndIt') }}</h2>
        <div v-for="e in keeping.endedBy" :key="e.end" class="end">
          <p class="row between">
            <strong>{{ sayFact(endSaid(e.end)) }}</strong><span>{{ Math.round(e.share * 100) }} in 100</span>
          </p>
          <div class="bar"><i :style="{ width: `${e.share * 100}%`, background: colour }"></i></div>
          <p class="soft">{{ sayFact(e.why) }}</p>
        </div>
      </section>
    </div>
  </div>
</template>

<style scoped>
.end {
  margin-top: var(--s-12);
}
.between {
  justify-content: space-between;
}
.bar {
  height: 8px;
  background: var(--paper-deep);
  border-radius: 4px;
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
}
</style>
