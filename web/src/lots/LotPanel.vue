<script setup lang="ts">
import type { LotView } from '@vadose/contract/lots'
import { readPhoto } from '@vadose/contract/photos'
import { listPlaces } from '@vadose/contract/places'
import { asideWords } from '@vadose/core/lots'
import { ElButton } from 'element-plus'
import { computed, ref } from 'vue'
import { cropOf, heapLabel, lotCrop, lotName } from '../almanac'
import { linkTo } from '../call'
import { amount, longDate, momentOf, useFrame, weight } from '../households'
import { useView } from '../view'
import { useAct } from './act'
import MadeOf from './MadeOf.vue'
import CleanForm from './CleanForm.vue'
import GradeForm from './GradeForm.vue'
import HangForm from './HangForm.vue'
import PhotoButton from './PhotoButton.vue'
import SeedCard from './SeedCard.vue'
import TakeForm from './TakeForm.vue'
import LedgerList from './LedgerList.vue'
import LotDrying from './LotDrying.vue'
import LotKeeping from './LotKeeping.vue'
import LotTime from './LotTime.vue'
import MoveForm from './MoveForm.vue'
import NoteForm from './NoteForm.vue'
import { opensOne } from './one-of'
import WeighField from './WeighField.vue'
import { say } from './say'
import { sayWord, sayFact, sayProse } from '../voice'
import { Notice } from '../kit'

const props = defineProps<{ lot: LotView; wide?: boolean }>()
const frame = useFrame()
/** a new picture has the old one's address */
const taken = ref(0)
const crop = computed(() => lotCrop(props.lot))
const freezes = computed(
  () =>
    ['fresh', 'stored', 'drying'].includes(props.lot.stage) &&
    cropOf(props.lot.crop).freezing &&
    props.lot.form === 'fresh',
)
const dries = computed(
  () =>
    ['fresh', 'stored'].includes(props.lot.stage) && cropOf(props.lot.crop).dehydrating && props.lot.form === 'fresh',
)
const cleans = computed(() =>
  ['drying', 'stored'].includes(props.lot.stage) ? cropOf(props.lot.crop).cleaning : undefined,
)
/** people eat from what still hangs */
const usable = computed(() => ['fresh', 'stored', 'drying'].includes(props.lot.stage))
const zone = computed(() => frame.frame?.household.timeZone)
const keeping = computed(() => props.lot.keeping)
const curing = computed(() => props.lot.curing)
type Open = 'clean' | 'grade' | 'hang' | 'use' | 'lose' | 'move' | 'weigh' | 'correct' | 'note'
const open = ref<Open>()
const toggle = (what: Open) => (open.value = open.value === what ? undefined : what)
/** on a phone what is done seldom waits behind a button */
const more = ref(false)
const { act, refusal, busy } = useAct()
const { answer: places } = useView(listPlaces)
const fridge = computed(() => places.value?.find(({ kind }) => kind === 'fridge')?.id)
const openOne = () => act(props.lot.code, { act: 'open', ...(fridge.value ? { placeId: fridge.value } : {}) })
/** What is told of it that nobody has measured. */
const guessSays = computed(() => {
  const { weight: heavy, pieces } = props.lot.guessed
  const what = heavy && pieces ? say('itsWeightAndCountAre') : heavy ? say('itsWeightIs') : say('itsCountIs')
  return say('aGuessUntilSomebodyPuts', { what, heavy: heavy ? 'yes' : 'no' })
})
const gone = computed(() => props.lot.stage === 'gone')
defineExpose({ toggle })
</script>

<template>
  <div class="stack">
    <header class="head">
      <h1>
        {{ lotName({ ...lot, heap: 'sound' }) }} <span class="code">{{ lot.code }}</span>
      </h1>
      <p class="soft">
        {{ gone ? say('nothingLeft') : amount(lot.pieces, lot.weightG, crop.piece, lot.guessed) }}
        <template v-if="lot.place && !gone"> · {{ lot.place.toLowerCase() }}</template>
        <template v-if="lot.size">{{ say('each', { size: lot.size }) }}</template>
        <template v-if="lot.heap !== 'sound'"> · {{ heapLabel(crop, lot.heap).toLowerCase() }}</template>
        <template v-if="lot.variety"> · {{ lot.variety }}</template>
        <template v-if="lot.bed"> · {{ lot.bed.toLowerCase() }}</template>
      </p>
      <div class="acts no-print" :class="{ all: more || gone }">
        <template v-if="!gone">
          <ElButton v-if="curing" type="primary" @click="toggle('weigh')">{{ say('weigh') }}</ElButton>
          <ElButton v-if="usable" :type="curing ? '' : 'primary'" @click="toggle('use')"
            >{{ say('use') }} <kbd>u</kbd></ElButton
          >
          <RouterLink v-if="lot.stage === 'stored'" class="el-button" :to="`/lots/${lot.code}/check`"
            >{{ say('lookOver') }}<kbd>c</kbd></RouterLink
          >
          <RouterLink v-if="curing" class="el-button" :to="`/lots/${lot.code}/finish`">{{
            say('takeDown')
          }}</RouterLink>
          <ElButton v-if="opensOne(lot)" :disabled="busy" @click="openOne">{{ say('openOne') }}</ElButton>
          <RouterLink
            v-if="usable && !curing"
            class="el-button rare"
            :to="{ path: '/kitchen', query: { lots: lot.code } }"
            >{{ say('toTheKitchen') }}</RouterLink
          >
          <ElButton v-if="cleans" class="rare" @click="toggle('clean')">{{ say('threshClean') }}</ElButton>
          <RouterLink v-if="freezes" class="el-button rare" :to="`/lots/${lot.code}/freeze`">{{
            say('freezeIt')
          }}</RouterLink>
          <RouterLink v-if="dries" class="el-button rare" :to="`/lots/${lot.code}/dry`">{{ say('dryIt') }}</RouterLink>
          <RouterLink v-if="lot.dryer || lot.jar" class="el-button el-button--primary" to="/line">{{
            say('onTheLine')
          }}</RouterLink>
          <RouterLink v-if="usable" class="el-button" :to="`/lots/${lot.code}/sort`"
            >{{ say('sort') }}<kbd>s</kbd></RouterLink
          >
          <ElButton v-if="lot.stage === 'stored' && lot.form === 'fresh'" class="rare" @click="toggle('grade')">{{
            say('bySize')
          }}</ElButton>
          <ElButton v-if="lot.hangsAgain" class="rare" @click="toggle('hang')">{{ say('hangAgain') }}</ElButton>
          <ElButton @click="toggle('move')">{{ say('move') }} <kbd>m</kbd></ElButton>
          <ElButton @click="toggle('lose')">{{ say('goneBad') }}</ElButton>
          <PhotoButton class="rare" :code="lot.code" :pictured="lot.pictured" @kept="taken++" />
          <RouterLink class="el-button rare" :to="`/lots/${lot.code}/tag`">{{ say('tag') }}</RouterLink>
        </template>
        <ElButton class="rare" @click="toggle('note')">{{ say('note') }}</ElButton>
        <ElButton class="rare" @click="toggle('correct')">{{ say('correct') }}</ElButton>
        <RouterLink class="el-button rare" :to="`/lots/${lot.code}/right`">{{ say('putRight2') }}</RouterLink>
        <ElButton v-if="!gone" class="more" :aria-expanded="more" @click="more = !more">{{
          more ? say('fewer') : say('more')
        }}</ElButton>
      </div>
    </header>

    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <Notice v-if="lot.note && !gone" class="slip">{{ lot.note }}</Notice>
    <Notice v-if="lot.aside">
      {{ say('setAsideBy', { asideWords: sayWord(asideWords[lot.aside.why]) }) }}
      <strong>{{ longDate(lot.aside.until) }}</strong>.
    </Notice>
    <Notice v-if="!gone && (lot.guessed.weight || lot.guessed.pieces)" class="guess">
      {{ guessSays }}
      <ElButton size="small" @click="toggle('correct')">{{
        lot.guessed.weight ? say('weighIt') : say('countThem')
      }}</ElButton>
    </Notice>
    <Notice v-if="lot.tagSince">
      {{ say('itsTagWasPutRight', { tagSince: longDate(lot.tagSince) }) }}
      <RouterLink :to="`/lots/${lot.code}/tag`">{{ say('printItAgain') }}</RouterLink>.
    </Notice>
    <Notice v-if="lot.trouble" bad>
      {{ say('thisLotCannotBeWorked', { trouble: sayFact(lot.trouble) }) }}
    </Notice>
    <TakeForm v-if="open === 'use'" :lot="lot" kind="use" @done="open = undefined" />
    <TakeForm v-if="open === 'lose'" :lot="lot" kind="lose" @done="open = undefined" />
    <TakeForm v-if="open === 'correct'" :lot="lot" kind="correct" @done="open = undefined" />
    <MoveForm v-if="open === 'move'" :code="lot.code" :place-id="lot.placeId" :of="lot" @done="open = undefined" />
    <HangForm v-if="open === 'hang'" :lot="lot" @done="open = undefined" />
    <section v-if="open === 'weigh' && curing" class="card">
      <WeighField
        :code="lot.code"
        :basis="curing.basis"
        :expected-g="curing.expectedG"
        focus-first
        @done="open = undefined"
      />
    </section>
    <GradeForm v-if="open === 'grade'" :lot="lot" @done="open = undefined" />
    <section v-if="open === 'clean' && cleans" class="card">
      <CleanForm :code="lot.code" :weight-g="lot.weightG" :steps="cleans" @done="open = undefined" />
    </section>
    <NoteForm v-if="open === 'note'" :code="lot.code" @done="open = undefined" />

    <LotTime :lot="lot" :wide="wide ?? false" />

    <LotKeeping v-if="keeping" :lot="lot" :keeping="keeping" :wide="wide ?? false" />
    <LotDrying v-else-if="curing" :lot="lot" :curing="curing" :wide="wide ?? false" />

    <section v-if="lot.dryer" class="card">
      <h2>{{ say('inTheDryer') }}</h2>
      <p class="figure">
        {{
          say('done', {
            momentOf: momentOf(lot.dryer.doneAt.p10, zone, frame.today),
            momentOf2: momentOf(lot.dryer.doneAt.p90, zone, frame.today),
          })
        }}
      </p>
      <p class="soft">
        {{
          say('atAboutWaterLeft', {
            targetG: weight(lot.dryer.targetG),
            moisturePct: Math.round(lot.dryer.moisturePct),
          })
        }}
        <RouterLink to="/line">{{ say('weighItChangeTheTrays') }}</RouterLink>
      </p>
    </section>
    <section v-if="lot.jar" class="card">
      <h2>{{ say('inTheJarBeforeIt') }}</h2>
      <p class="figure">{{ say('dayOf', { day: Math.min(lot.jar.day, lot.jar.of), of: lot.jar.of }) }}</p>
      <p class="soft">
        {{ lot.jar.says ? sayFact(lot.jar.says) : say('notLookedAtYet') }}
        <RouterLink to="/line">{{ say('shakeItAndLook') }}</RouterLink>
      </p>
    </section>
    <section v-if="lot.pictured" class="card">
      <img
        class="photo"
        :src="`${linkTo(readPhoto, { params: { code: lot.code } })}?${taken}`"
        :alt="`${crop.name} ${lot.code}`"
      />
    </section>
    <SeedCard v-if="lot.seed" :code="lot.code" :seed="lot.seed" />
    <MadeOf v-if="lot.made" :code="lot.code" />
    <LedgerList :events="lot.events" :lot="lot" />
    <section class="card cautions">
      <h2>{{ say('careful') }}</h2>
      <ul class="bare">
        <li v-for="c in crop.cautions" :key="c.id">{{ sayProse(c.text) }}</li>
      </ul>
      <p class="soft">{{ say('adviceNotAuthorityYourLocal') }}</p>
    </section>
  </div>
</template>

<style scoped>
.more {
  display: none;
}
@media (max-width: 820px) {
  .more {
    display: inline-flex;
  }
  .acts:not(.all) .rare {
    display: none;
  }
}
.code {
  color: var(--soft);
  white-space: nowrap;
}
.slip {
  border-left-color: var(--stock);
  font-style: italic;
}
.photo {
  max-width: min(100%, 520px);
  border-radius: 6px;
  display: block;
}
</style>
