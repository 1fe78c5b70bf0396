<script setup lang="ts">
import { listLots, readLot } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { daysBetween } from '@vadose/core/households'
import { preparings } from '@vadose/core/kitchen'
import { ElButton } from 'element-plus'
import { computed, ref, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { cropOf } from '../almanac'
import { amount, gramsFrom, largeUnit, useFrame, weight } from '../households'
import { Amount, Choices, Notice, WeightField } from '../kit'
import { countFrom, HowMuch, useAct, type HowMuchOf } from '../lots'
import { placeOptions } from '../places'
import { useView } from '../view'
import { say } from './say'
import { sayWord, sayPart } from '../voice'

/** A lot, or a part of it, prepared, bagged and put into the freezer. */
const route = useRoute()
const frame = useFrame()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const { answer: places } = useView(listPlaces)
const crop = computed(() => cropOf(lot.value?.crop ?? ''))
const ways = computed(() => preparings(crop.value, frame.frame?.household.altitudeM ?? 0))
const way = ref<string>()
const chosen = computed(() => ways.value.find(({ id }) => id === way.value))
const freezers = computed(() => (places.value ?? []).filter(({ kind }) => kind === 'freezer'))
const placeId = ref<string>()
watchEffect(() => {
  // its crop is not known before the lot is
  if (lot.value) way.value ??= ways.value[0]?.id
  placeId.value ??= freezers.value[0]?.id
})
const howMuch = ref<'all' | 'part' | undefined>('all')
const part = ref<HowMuchOf>()
const packed = ref('')
const bags = ref('')
const pack = ref<'bag' | 'box' | 'vacuum' | 'mould' | undefined>('bag')
const weightG = computed(() => gramsFrom(packed.value, 'kg'))
const count = computed(() => countFrom(bags.value))
const ready = computed(
  () =>
    weightG.value !== null &&
    chosen.value !== undefined &&
    placeId.value !== undefined &&
    (howMuch.value === 'all' || part.value !== undefined) &&
    (bags.value.trim() === '' || count.value !== null),
)
/** what was frozen of it before and lies there yet: said before more is put in */
const { answer: lots } = useView(listLots)
const oldDays = 180
const unopened = computed(() =>
  (lots.value ?? []).filter(
    (one) => one.crop === lot.value?.crop && one.form === 'frozen' && daysBetween(one.broughtOn, frame.today) > oldDays,
  ),
)
const before = computed(() => {
  const bagsThere = unopened.value.reduce((sum, one) => sum + (one.pieces ?? 1), 0)
  const years = [...new Set(unopened.value.map(({ broughtOn }) => broughtOn.slice(0, 4)))].join(', ')
  return bagsThere ? say('bagOfAreInThe', { bagsThere, years }) : ''
})
const made = ref<string[]>()
const { act, refusal, busy } = useAct()
async function freeze(sure = false) {
  const of = howMuch.value === 'part' ? part.value! : {}
  const answer = await act(code, {
    act: 'freeze',
    ...(of.pieces ? { pieces: of.pieces } : {}),
    ...(of.weightG ? { takenG: of.weightG } : {}),
    weightG: weightG.value!,
    ...(count.value ? { bags: count.value } : {}),
    pack: pack.value ?? 'bag',
    prepared: chosen.value!.label,
    placeId: placeId.value!,
    ...(sure ? { sure } : {}),
  })
  if (answer) made.value = answer.made.length > 0 ? answer.made : [answer.lot.code]
}
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <div v-if="made" class="stack">
    <h1>{{ say('inTheFreezer2') }}</h1>
    <p>{{ say('labelEveryBagNowWhile', { name: crop.name, label: sayWord(chosen?.label ?? '') }) }}</p>
    <div class="row">
      <RouterLink v-for="c in made" :key="c" class="el-button el-button--primary" :to="`/lots/${c}/tag`">{{
        say('labelFor3', { c })
      }}</RouterLink>
      <RouterLink class="el-button" :to="`/lots/${made[0]}`">{{ say('seeHowLongItKeeps') }}</RouterLink>
    </div>
  </div>
  <Notice v-else-if="lot && (!crop.freezing || lot.form !== 'fresh')">
    {{ lot.form === 'frozen' ? say('itIsFrozenAlready') : say('isNotFrozen', { name: crop.name }) }}
    <RouterLink :to="`/lots/${code}`">{{ say('toTheLot') }}</RouterLink>
  </Notice>
  <Notice v-else-if="places && freezers.length === 0">
    {{ say('thereIsNoFreezerIn') }} <RouterLink to="/household">{{ say('addOne') }}</RouterLink>
  </Notice>
  <form v-else-if="lot" class="stack freeze" @submit.prevent="freeze()">
    <header class="head">
      <h1>{{ say('freeze', { name: crop.name.toLowerCase(), code }) }}</h1>
      <p class="soft">
        {{
          say('there', {
            amount: amount(lot.pieces, lot.weightG, crop.piece, lot.guessed),
            prepare: crop.freezing?.prepare,
          })
        }}
      </p>
    </header>
    <Notice v-if="before">{{ say('someThingsDisappointIsMore', { before }) }}</Notice>
    <section class="card stack">
      <h2>{{ say('howIsItPrepared') }}</h2>
      <Choices
        v-model="way"
        :label="say('howItIsPrepared')"
        :options="ways.map((one) => ({ ...one, label: sayWord(one.label) }))"
      />
      <p v-if="chosen?.minutes" class="figure">
        <template v-if="chosen.minutes.water">{{
          say('minInBoilingWater', { water: chosen.minutes.water })
        }}</template><template v-if="chosen.minutes.water && chosen.minutes.steam">{{ say('or') }}</template
        ><template v-if="chosen.minutes.steam">{{ say('minOverSteam', { steam: chosen.minutes.steam }) }}</template>
      </p>
      <p v-if="chosen" class="soft">{{ sayPart(chosen.note) }}</p>
    </section>
    <section class="card stack">
      <h2>{{ say('whatGoesIn') }}</h2>
      <Choices
        v-model="howMuch"
        :label="say('howMuchOfIt')"
        :options="[
          { id: 'all', label: say('allOfIt') },
          { id: 'part', label: say('aPart') },
        ]"
      />
      <HowMuch v-if="howMuch === 'part'" v-model="part" :of="lot" :piece="crop.piece" :label="say('howMuchIsTaken')" />
      <div class="row">
        <WeightField
          v-model="packed"
          :label="say('preparedAndDrained')"
          :says="say('weightPrepared', { largeUnit: largeUnit() })"
          :unit="largeUnit()"
        />
        <Amount
          v-model="bags"
          whole
          :label="say('inHowManyBoxes', { pack: pack === 'box' ? 'yes' : 'no' })"
          :says="say('howManyBags')"
          :placeholder="say('counted')"
        />
      </div>
      <Choices
        v-model="pack"
        :label="say('packedIn')"
        :options="[
          { id: 'bag', label: say('bags') },
          { id: 'box', label: say('boxes') },
          { id: 'vacuum', label: say('vacuumBags') },
          { id: 'mould', label: say('blocksFromMoulds') },
        ]"
      />
      <p class="soft">
        <template v-if="weightG && count">{{ say('each', { weight: weight(weightG / count) }) }}</template>{{
          say('pressTheAirOutOf')
        }}
      </p>
      <Choices v-model="placeId" :label="say('freezer')" :options="placeOptions(freezers)" />
    </section>
    <Notice v-if="refusal" bad>
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" @click="freeze(true)">{{ say('keepItAnyway') }}</ElButton>
    </Notice>
    <div>
      <ElButton type="primary" native-type="submit" size="large" :disabled="!ready || busy">{{
        say('intoTheFreezer')
      }}</ElButton>
    </div>
  </form>
</template>

<style scoped>
.freeze {
  max-width: 760px;
}
</style>
