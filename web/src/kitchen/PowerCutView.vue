<script setup lang="ts">
import { bookPowerCut } from '@vadose/contract/kitchen'
import { listLots } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { packedKgPerLitre, powerCut, type BagVerdict } from '@vadose/core/kitchen'
import { Refusal } from '@vadose/core/refusal'
import { ElButton } from 'element-plus'
import { computed, ref, watch, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { cropColour, lotCrop, lotName } from '../almanac'
import { amount, degree, toCelsius, useAttempt, weight } from '../households'
import { Choices, Notice, Amount } from '../kit'
import { useLastAct } from '../lots'
import { useView, write } from '../view'
import { keepIn, keptIn } from './evening'
import { say } from './say'
import { sayFact } from '../voice'

/** The power was off: the rule proposes, the hand in the bag decides, bag by bag. */
const route = useRoute()
const { answer: lots } = useView(listLots)
const { answer: places } = useView(listPlaces)
const freezers = computed(() => (places.value ?? []).filter(({ kind, within }) => kind === 'freezer' && !within))
/** its baskets and drawers too */
const inIt = (placeId: string | null) =>
  placeId !== null &&
  (placeId === freezer.value || places.value?.find(({ id }) => id === placeId)?.within === freezer.value)
const freezer = ref<string | undefined>(typeof route.query['place'] === 'string' ? route.query['place'] : undefined)
watchEffect(() => (freezer.value ??= freezers.value[0]?.id))
const hours = ref('')
const litres = ref('250')
const room = ref(String(degree() === '°F' ? 68 : 20))
const read = ref('')
const number = (text: string) => (/^\s*-?\d+([.,]\d+)?\s*$/.test(text) ? Number(text.replace(',', '.')) : NaN)
const bags = computed(() => (lots.value ?? []).filter((lot) => inIt(lot.placeId) && lot.form === 'frozen'))
const kg = computed(() => bags.value.reduce((sum, lot) => sum + lot.weightG, 0) / 1000)
/** how full it is follows from what is in it */
const byWeight = computed(() => Math.min(1, Math.max(0.05, kg.value / (number(litres.value) * packedKgPerLitre))))
/** there may be more in it than the books know */
const full = ref('')
const fill = computed(() => (full.value.trim() === '' ? byWeight.value : number(full.value) / 100))
/** as the household said in Places; else as it was typed here the last time */
watch(litres, (now) => Number.isFinite(number(now)) && keepIn(`litres ${freezer.value}`, now))
watch(
  () => freezers.value.find(({ id }) => id === freezer.value),
  (place) => place && (litres.value = String(place.litres ?? keptIn<string>(`litres ${place.id}`) ?? 250)),
  { immediate: true },
)
const rule = computed(() => {
  const off = number(hours.value)
  if (Number.isNaN(off)) return undefined
  try {
    const measured = read.value.trim() === '' ? undefined : toCelsius(number(read.value))
    return powerCut(number(litres.value), fill.value, off, toCelsius(number(room.value)), -18, measured)
  } catch (error) {
    return { refused: error instanceof Refusal ? sayFact(error.says) : String(error) }
  }
})
const answer = computed(() => (rule.value && 'outcome' in rule.value ? rule.value : undefined))
/** what the rule proposes for a bag; past it, nothing is kept that no hand has felt */
const proposed = computed<BagVerdict | undefined>(() =>
  answer.value?.outcome === 'bag-by-bag' ? undefined : answer.value?.outcome,
)
const said = ref<Record<string, BagVerdict>>({})
const verdictOf = (code: string) => said.value[code] ?? proposed.value
const choices = [
  { id: 'keep', label: say('rockHardKeep') },
  { id: 'refreeze', label: say('iceCrystalsFreezeAgain') },
  { id: 'cook', label: say('coldCookToday') },
  { id: 'throw-out', label: say('throwOut') },
] as const
const open = computed(() => bags.value.filter(({ code }) => verdictOf(code) === undefined))
const { attempt, failure, busy } = useAttempt()
const done = ref<{ kept: number; thrownOut: number }>()
const last = useLastAct()
const book = () =>
  attempt(async () => {
    const written = await write(bookPowerCut, {
      body: {
        hoursOff: number(hours.value),
        bags: bags.value.map(({ code }) => ({ code, verdict: verdictOf(code)! })),
      },
    })
    done.value = written
    last.keep({ code: written.code, entry: written.entry, says: say('thePowerCutLotsOf', { bags: bags.value.length }) })
  })
</script>

<template>
  <div v-if="done" class="stack">
    <h1>{{ say('booked') }}</h1>
    <p class="figure" data-booked>
      {{ say('keptFrozenAgainOrCooked', { kept: done.kept, thrownOut: done.thrownOut }) }}
    </p>
    <p class="soft">{{ say('itStandsInTheStory') }}</p>
    <div>
      <RouterLink class="el-button el-button--primary" to="/larder">{{ say('toTheLarder') }}</RouterLink>
    </div>
  </div>
  <div v-else class="stack">
    <header class="head">
      <h1>{{ say('thePowerWasOff') }}</h1>
      <p class="soft">{{ say('theLidStaysShutUntil') }}</p>
    </header>
    <Notice v-if="places && freezers.length === 0">
      {{ say('thereIsNoFreezerIn2') }} <RouterLink to="/household">{{ say('addOne') }}</RouterLink>
    </Notice>
    <section v-else class="card stack">
      <Choices
        v-model="freezer"
        :label="say('whichFreezer')"
        :options="freezers.map(({ id, name }) => ({ id, label: name }))"
      />
      <div class="row">
        <Amount v-model="hours" :label="say('offFor')" :says="say('hoursThePowerWasOff')" unit="h" />
        <Amount
          v-model="litres"
          :step="10"
          :label="say('holds')"
          :says="say('litresTheFreezerHolds')"
          :unit="say('l2')"
        />
        <Amount
          v-model="full"
          :step="5"
          :label="say('howFull')"
          :says="say('howFullItIsIn')"
          unit="in 100"
          :placeholder="String(Math.round(byWeight * 100))"
        />
        <Amount v-model="room" below :label="say('theRoom')" :says="say('temperatureOfTheRoom')" :unit="degree()" />
        <Amount
          v-model="read"
          below
          :label="say('readInTheFood')"
          :says="say('temperatureReadInTheFood')"
          :unit="degree()"
          :placeholder="say('notRead')"
        />
      </div>
      <p class="soft">
        {{ say('lotOfBagsInIt', { bags: bags.length, weight: weight(kg * 1000), fill: Math.round(fill * 100) }) }}
      </p>
      <Notice v-if="rule && 'refused' in rule" bad>{{ rule.refused }}</Notice>
      <div v-if="answer" class="rule">
        <p class="figure">
          {{
            answer.outcome === 'keep'
              ? say('stillHardKeep')
              : answer.outcome === 'refreeze'
                ? say('itMayBeFrozenAgain')
                : answer.outcome === 'bag-by-bag'
                  ? say('bagByBag')
                  : say('throwItOut')
          }}
        </p>
        <div
          class="bar"
          role="img"
          :aria-label="say('hoursOfTheTheRule', { hours, safeHours: Math.round(answer.safeHours) })"
        >
          <i :style="{ width: `${Math.min(100, (number(hours) / Math.max(1, answer.safeHours * 1.6)) * 100)}%` }"></i>
          <b :style="{ left: `${100 / 1.6}%` }"></b>
        </div>
        <p>{{ sayFact(answer.advice) }}</p>
        <p class="soft">
          {{ say('theRuleGivesThisFreezer', { safeHours: Math.round(answer.safeHours) }) }}
        </p>
      </div>
    </section>
    <template v-if="answer">
      <section
        v-for="lot in bags"
        :key="lot.code"
        class="card bag"
        :style="{ '--crop': cropColour(lot.crop) }"
        :data-bag="lot.code"
      >
        <p>
          <strong>{{ lotName(lot) }}</strong>
          <span class="soft">{{ lot.code }}, {{ amount(lot.pieces, lot.weightG, lotCrop(lot).piece) }}</span>
        </p>
        <Choices
          :model-value="verdictOf(lot.code)"
          :label="say('whatIsDoneWith', { code: lot.code })"
          :options="choices"
          @update:model-value="$event && (said = { ...said, [lot.code]: $event })"
        />
      </section>
      <Notice v-if="failure" bad>{{ failure }}</Notice>
      <p v-if="open.length" class="soft">{{ say('stillToBeFeltWhen', { open: open.length }) }}</p>
      <div v-if="bags.length">
        <ElButton type="primary" size="large" :disabled="busy || open.length > 0" @click="book">{{
          say('bookIt')
        }}</ElButton>
      </div>
    </template>
  </div>
</template>

<style scoped>
.bag {
  border-left: 6px solid var(--crop);
  display: grid;
  gap: var(--s-8);
}
.rule {
  display: grid;
  gap: var(--s-8);
}
.bar {
  position: relative;
  height: 16px;
  border-radius: 8px;
  background: color-mix(in srgb, var(--cold) 24%, var(--card));
  overflow: hidden;
}
.bar i {
  display: block;
  height: 100%;
  background: repeating-linear-gradient(
    115deg,
    var(--bad) 0 6px,
    color-mix(in srgb, var(--bad) 65%, var(--card)) 6px 10px
  );
}
.bar b {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 3px;
  background: var(--ink);
}
</style>
