<script setup lang="ts">
import { readLot } from '@vadose/contract/lots'
import { previewLabel, type Correction } from '@vadose/contract/put-right'
import { ElButton, ElInput } from 'element-plus'
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { allCrops, cropOf, heapLabel } from '../almanac'
import { dateRange, longDate, shortDate, useFrame } from '../households'
import { Choices, DayField, Notice, Pick } from '../kit'
import { useView } from '../view'
import { usePutRight } from './put-right'
import { say } from './say'

/** A lot's own tag, struck through and written over, with what that changes before anything is done. */
const route = useRoute()
const router = useRouter()
const frame = useFrame()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const label = reactive({ crop: '', variety: '', bed: '', heap: '', broughtOn: '' })
watch(
  lot,
  (now) => {
    if (!now || label.crop) return
    Object.assign(label, { ...now, variety: now.variety ?? '', bed: now.bed ?? '' })
  },
  { immediate: true },
)
const crops = computed(() => allCrops().map(({ id, name }) => ({ id, label: name })))
const whole = ref<'whole' | 'this' | undefined>('whole')
const others = computed(() => (lot.value?.harvest.length ?? 1) - 1)
const crop = computed(() => cropOf(label.crop || (lot.value?.crop ?? '')))
/** heaps that sorting makes are not the crop's own */
const heaps = computed(() => {
  const own = crop.value.heaps.map(({ id, label: name }) => ({ id, label: name }))
  return own.some(({ id }) => id === label.heap)
    ? own
    : [{ id: label.heap, label: heapLabel(crop.value, label.heap) }, ...own]
})
const changes = computed((): Omit<Correction, 'whole' | 'why'> => {
  const now = lot.value
  if (!now || !label.crop) return {}
  return {
    ...(label.crop !== now.crop ? { crop: label.crop } : {}),
    ...(label.variety.trim() !== (now.variety ?? '') ? { variety: label.variety.trim() || null } : {}),
    ...(label.bed.trim() !== (now.bed ?? '') ? { bed: label.bed.trim() || null } : {}),
    ...(label.heap !== now.heap ? { heap: label.heap } : {}),
    ...(label.broughtOn !== now.broughtOn ? { broughtOn: label.broughtOn } : {}),
  }
})
const any = computed(() => Object.keys(changes.value).length > 0)
const dates = computed(() => {
  const { crop: to, variety, heap, broughtOn } = changes.value
  return to || variety || heap || broughtOn
    ? {
        ...(to ? { crop: to } : {}),
        ...(variety ? { variety } : {}),
        ...(heap ? { heap } : {}),
        ...(broughtOn ? { broughtOn } : {}),
      }
    : null
})
const { answer: preview, failure: previewFailure } = useView(previewLabel, () =>
  dates.value ? { params: { code }, query: dates.value } : null,
)
type Dates = NonNullable<NonNullable<typeof preview.value>['now']>
const says = (d: Dates | null) =>
  d === null
    ? say('noDates')
    : d.says === 'use within'
      ? say('useBy', { to: d.to ? longDate(d.to) : '–' })
      : `${d.says === 'ready' ? say('readyWord') : say('nineInTenTo')} ${dateRange(d.from, d.to)}`
const { relabel, strikeHarvest, refusal, busy } = usePutRight()
async function putRight() {
  if (await relabel(code, { ...changes.value, whole: whole.value === 'whole' && others.value > 0 })) {
    await router.push(`/lots/${code}`)
  }
}
const striking = ref(false)
const why = ref('')
async function strike() {
  if (await strikeHarvest(code, why.value.trim())) await router.push('/')
}
</script>

<template>
  <Notice v-if="failure" bad>{{ failure }}</Notice>
  <form v-if="lot && label.crop" class="stack right" @submit.prevent="any && putRight()">
    <header class="head">
      <h1>{{ say('putRight3', { code }) }}</h1>
      <p class="soft">{{ say('writeOverWhatIsWrong') }}</p>
      <Choices
        v-if="others > 0"
        v-model="whole"
        :label="say('howFarItGoes')"
        :options="[
          { id: 'whole', label: say('wholeHarvestLots', { harvest: lot.harvest.length }) },
          { id: 'this', label: say('thisLotOnly') },
        ]"
      />
    </header>
    <div class="columns">
      <section class="tag" :aria-label="say('itsTag')">
        <h2>{{ code }}</h2>
        <dl>
          <dt>{{ say('crop') }}</dt>
          <dd>
            <s v-if="changes.crop">{{ cropOf(lot.crop).name }}</s>
            <Pick v-model="label.crop" :label="say('crop')" :options="crops" find />
          </dd>
          <dt>{{ say('variety') }}</dt>
          <dd>
            <s v-if="changes.variety !== undefined && lot.variety">{{ lot.variety }}</s>
            <ElInput v-model="label.variety" maxlength="60" :aria-label="say('variety')" />
          </dd>
          <dt>{{ say('bed') }}</dt>
          <dd>
            <s v-if="changes.bed !== undefined && lot.bed">{{ lot.bed }}</s>
            <ElInput v-model="label.bed" maxlength="60" :aria-label="say('bed')" />
          </dd>
          <dt>{{ say('broughtIn') }}</dt>
          <dd>
            <s v-if="changes.broughtOn">{{ shortDate(lot.broughtOn) }}</s>
            <DayField v-model="label.broughtOn" :label="say('broughtInOn')" :until="frame.today" />
          </dd>
          <dt>{{ say('heap') }}</dt>
          <dd>
            <s v-if="changes.heap">{{ heapLabel(cropOf(lot.crop), lot.heap) }}</s>
            <Pick v-model="label.heap" :label="say('heap')" :options="heaps" />
          </dd>
        </dl>
      </section>
      <section class="card">
        <h2>{{ say('whatChangesWithIt') }}</h2>
        <p v-if="!any" class="soft">{{ say('nothingYet') }}</p>
        <dl v-else class="changes">
          <template v-if="preview">
            <dt>{{ say('dates') }}</dt>
            <dd v-if="says(preview.now) === says(preview.then)">{{ say('asBefore', { says: says(preview.now) }) }}</dd>
            <dd v-else>
              <s>{{ says(preview.now) }}</s> → <strong>{{ says(preview.then) }}</strong>
            </dd>
          </template>
          <template v-if="changes.bed !== undefined">
            <dt>{{ say('beds') }}</dt>
            <dd>
              <s>{{ lot.bed ?? say('none') }}</s> → <strong>{{ label.bed || say('none') }}</strong>{{
                say('andWhatIsMarkedThere')
              }}
            </dd>
          </template>
          <template v-if="changes.crop || changes.broughtOn">
            <dt>{{ say('broughtIn') }}</dt>
            <dd>
              {{
                say('countedUnderInTheWeek', {
                  plural: crop.plural.toLowerCase(),
                  broughtOn: shortDate(label.broughtOn),
                })
              }}
            </dd>
          </template>
          <dt>{{ say('tag') }}</dt>
          <dd>
            <strong>{{ say('printAgain') }}</strong>{{ say('theCodeStays') }} <span class="code">{{ code }}</span>
          </dd>
        </dl>
        <p v-if="previewFailure" class="bad">{{ previewFailure }}</p>
        <p class="soft">{{ say('weightsCountsAndPlacesAre') }}</p>
      </section>
    </div>
    <Notice v-if="refusal" bad>{{ refusal.message }}</Notice>
    <div class="row">
      <ElButton type="primary" native-type="submit" :disabled="!any || busy">{{
        whole === 'whole' && others > 0 ? say('putRightWithTheOther', { others }) : say('putRight2')
      }}</ElButton>
      <RouterLink class="el-button" :to="`/lots/${code}`">{{ say('leaveIt') }}</RouterLink>
      <ElButton text @click="striking = !striking">{{ say('itWasNeverBroughtIn') }}</ElButton>
    </div>
    <section v-if="striking" class="card stack">
      <p>
        {{
          say('strikesOutWithEverythingThat', {
            others: others > 0 ? say('allLotsOfThisHarvest', { harvest: lot.harvest.length }) : say('thisLot'),
            others2: others > 0 ? 'yes' : 'no',
          })
        }}
      </p>
      <div class="row">
        <ElInput
          v-model="why"
          class="why"
          maxlength="200"
          :aria-label="say('whyItNeverWas')"
          :placeholder="say('whyForTheRecord')"
        />
        <ElButton :disabled="!why.trim() || busy" @click="strike">{{ say('strikeItAllOut') }}</ElButton>
      </div>
    </section>
    <p class="soft">{{ say('theOldWordsStayReadable') }}</p>
  </form>
</template>

<style scoped>
.tag {
  border: 2.5px solid var(--husk, #8a7550);
  border-radius: 46px 8px 8px 46px / 50% 8px 8px 50%;
  background: var(--card);
  padding: var(--s-12) var(--s-16) var(--s-12) var(--s-40);
  position: relative;
  align-self: start;
}
.tag::before {
  content: '';
  position: absolute;
  left: 10px;
  top: 50%;
  width: 13px;
  height: 13px;
  border: 2.5px solid var(--husk, #8a7550);
  border-radius: 50%;
}
dl {
  display: grid;
  grid-template-columns: 92px minmax(0, 1fr);
  gap: var(--s-8) var(--s-12);
  margin: 0;
  align-items: center;
}
dt {
  color: var(--soft);
}
dd {
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: var(--s-4) var(--s-12);
  align-items: center;
}
.changes {
  align-items: baseline;
}
.changes dd {
  display: block;
}
s {
  color: var(--soft);
  text-decoration-color: var(--bad);
  text-decoration-thickness: 2px;
}
.code {
  white-space: nowrap;
}
.why {
  width: 300px;
}
</style>
