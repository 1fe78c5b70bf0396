<script setup lang="ts">
import { useView } from '../view'
import { readElsewhere, readLot } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import { daysBetween } from '@vadose/core/households'
import { ElButton, ElCheckbox, ElInput } from 'element-plus'
import 'element-plus/es/components/checkbox/style/css'
import { computed, ref, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { cropOf, schoolOf } from '../almanac'
import { amount, gramsFrom, largeUnit, longDate, useFrame, weight } from '../households'
import { countFrom, GradeRows, gradesFrom, useAct, type GradeEntries } from '../lots'
import { Choices } from '../kit'
import { placeOptions } from '../places'

const route = useRoute()
const code = String(route.params['code']).toUpperCase()
const { answer: lot, failure } = useView(readLot, () => ({ params: { code } }))
const { answer: places } = useView(listPlaces)
const { answer: keeps, failure: keepsFailure } = useView(readElsewhere, () => ({ params: { code } }))
const frame = useFrame()
const crop = computed(() => cropOf(lot.value?.crop ?? ''))
const neck = ref('')
const pack = ref('')
const placeId = ref('')
const kilos = ref('')
const pieces = ref('')
const units = ref('')
const waste = ref('')
const guessed = ref(false)
const bySize = ref(false)
const sizes = ref<GradeEntries>({})
const made = ref<string[]>()
const { act, refusal, busy } = useAct()

watchEffect(() => {
  if (!lot.value) return
  neck.value ||= schoolOf(crop.value, 'Neck') ?? crop.value.necks[0]?.id ?? ''
  pack.value ||= crop.value.packs[0]!.id
  // where it would keep longest
  if (keeps.value || keepsFailure.value) placeId.value ||= keeps.value?.[0]?.placeId ?? placeChoices.value[0]?.id ?? ''
})
const grams = computed(() => gramsFrom(kilos.value, 'kg'))
const counted = computed(() => countFrom(pieces.value))
/** What the crop's usual piece would make of the weight, for lots nobody counts. */
const estimate = computed(() => (grams.value ? Math.max(1, Math.round(grams.value / crop.value.pieceG.value)) : null))
const grades = computed(() => (bySize.value && howMuch.value === 'all' ? gradesFrom(sizes.value) : []))
const ready = computed(
  () =>
    grams.value !== null &&
    placeId.value !== '' &&
    grades.value !== null &&
    (howMuch.value === 'all' || ofG.value !== null) &&
    (pieces.value.trim() === '' || counted.value !== null),
)

/** Every place with how long this would keep there, longest first. */
const placeChoices = computed(() => {
  const options = placeOptions((places.value ?? []).filter((one) => !['outdoors', 'freezer'].includes(one.kind)))
  const order = keeps.value ?? []
  const rank = (id: string) => order.findIndex((one) => one.placeId === id) + 1 || Infinity
  return options
    .sort((a, b) => rank(a.id) - rank(b.id))
    .map((option) => {
      const there = order.find((one) => one.placeId === option.id)
      if (!there) return option
      const until = there.beyond ? 'over a year' : `to ${longDate(there.nineInTenUntil)}`
      return { ...option, detail: [`keeps ${until}`, option.detail].filter(Boolean).join(' · ') }
    })
})
const inDays = (days: number) => (days === 1 ? 'tomorrow' : `in ${days} days`)
/** What speaks against taking it down today. */
const early = computed(() => {
  const curing = lot.value?.curing
  if (!curing) return []
  const from = curing.ready.p10
  return [
    ...curing.testsFailed.map((says) => `At the last test: ${says}.`),
    ...(from === null ? ['In this air it will not get ready here.'] : []),
    ...(from !== null && from > frame.today
      ? [`Its window opens ${inDays(daysBetween(frame.today, from))}, on ${longDate(from)}.`]
      : []),
  ]
})
/** Some bunches are ready, others hang on. */
const howMuch = ref<'all' | 'part' | undefined>('all')
const part = ref('')
const ofG = computed(() => (howMuch.value === 'part' ? gramsFrom(part.value, 'kg') : null))
const off = computed(() => {
  if (grams.value === null || !lot.value) return null
  return howMuch.value === 'part'
    ? ofG.value === null
      ? null
      : ofG.value - grams.value
    : lot.value.weightG - grams.value
})
const asked = ref(false)
function offer() {
  if (early.value.length > 0 && !asked.value) asked.value = true
  else void keep()
}

async function keep(sure = false) {
  const answer = await act(code, {
    act: 'finish',
    ...(neck.value ? { neck: neck.value } : {}),
    pack: pack.value,
    placeId: placeId.value,
    weightG: grams.value!,
    ...(counted.value ? { pieces: counted.value } : {}),
    ...(guessed.value ? { guessed: true } : {}),
    ...(ofG.value ? { ofG: ofG.value } : {}),
    ...(countFrom(units.value) ? { units: countFrom(units.value)! } : {}),
    ...(gramsFrom(waste.value, 'kg') ? { wasteG: gramsFrom(waste.value, 'kg')! } : {}),
    ...(grades.value?.length ? { grades: grades.value } : {}),
    ...(sure ? { sure } : {}),
  })
  if (answer) made.value = howMuch.value === 'part' ? answer.made : [answer.lot.code, ...answer.made]
}
</script>

<template>
  <p v-if="failure" class="notice bad">{{ failure }}</p>
  <div v-if="made" class="stack">
    <h1>Put by</h1>
    <p>{{ crop.name }} is cleaned, packed and in its place. Tie its tag on now.</p>
    <div class="row">
      <RouterLink v-for="c in made" :key="c" class="el-button el-button--primary" :to="`/lots/${c}/tag`"
        >Tag for {{ c }}</RouterLink
      >
      <RouterLink class="el-button" :to="`/lots/${made[0]}/sort`">Sort it</RouterLink>
      <RouterLink class="el-button" :to="`/lots/${made[0]}`">See how long it keeps</RouterLink>
    </div>
  </div>
  <form v-else-if="lot && lot.stage === 'drying'" class="stack finish" @submit.prevent="offer">
    <header class="head">
      <h1>Take down {{ code }}</h1>
      <p class="soft">{{ crop.name }}, {{ weight(lot.weightG) }} on the line. {{ crop.trimming }}</p>
    </header>
    <section v-if="crop.necks.length" class="card stack">
      <h2>Neck</h2>
      <Choices v-model="neck" label="Neck" :options="crop.necks.map((n) => ({ ...n, detail: n.why }))" />
    </section>
    <section class="card stack">
      <h2>On the scale, cleaned</h2>
      <div class="row">
        <Choices
          v-model="howMuch"
          label="How much comes down"
          :options="[
            { id: 'all', label: 'All of it' },
            { id: 'part', label: 'Some; the rest hangs on' },
          ]"
        />
        <label v-if="howMuch === 'part'" class="field"
          >What comes down weighs as it hangs
          <ElInput
            v-model="part"
            class="number"
            inputmode="decimal"
            :placeholder="weight(lot.weightG / 2)"
            :aria-label="`What comes down, as it hangs, ${largeUnit()}`"
            ><template #suffix>{{ largeUnit() }}</template></ElInput
          ></label
        >
      </div>
      <div class="row">
        <label class="field"
          >Weight
          <ElInput v-model="kilos" class="number" inputmode="decimal" :aria-label="`Weight cleaned, ${largeUnit()}`"
            ><template #suffix>{{ largeUnit() }}</template></ElInput
          ></label
        >
        <ElCheckbox v-model="guessed" label="a guess: nobody weighed it" />
        <label v-if="crop.pieceG.value >= 5" class="field"
          >Count
          <ElInput
            v-model="pieces"
            class="number"
            inputmode="numeric"
            :placeholder="estimate ? `about ${estimate}` : ''"
            :aria-label="`Number of ${crop.piece.many}`"
            ><template #suffix>{{ crop.piece.many }}</template></ElInput
          ></label
        >
        <label class="field"
          >Trimmings, if weighed
          <ElInput v-model="waste" class="number" inputmode="decimal" :aria-label="`Trimmings, ${largeUnit()}`"
            ><template #suffix>{{ largeUnit() }}</template></ElInput
          ></label
        >
      </div>
      <p v-if="off !== null" class="soft">
        {{ off >= 0 ? `${weight(off)} of trimmings and water off` : `${weight(-off)} more than went on the line` }}
      </p>
      <ElCheckbox v-if="howMuch === 'all'" v-model="bySize" label="Sort by size: each size a lot of its own" />
      <template v-if="bySize">
        <p class="soft">{{ crop.grading }}</p>
        <GradeRows v-model="sizes" :many="crop.piece.many" />
        <p v-if="grades === null" class="bad">One of the sizes cannot be read.</p>
      </template>
    </section>
    <section class="card stack">
      <h2>Pack and place</h2>
      <Choices v-model="pack" label="Pack" :options="crop.packs" />
      <label class="field"
        >How many of them <ElInput v-model="units" class="short" inputmode="numeric" aria-label="How many packs"
      /></label>
      <p v-if="crop.needs.includes('airy') && pack !== 'jar'" class="soft">Airy: never plastic for a dry store.</p>
      <Choices v-model="placeId" label="Place" :options="placeChoices" />
    </section>
    <p v-if="refusal" class="notice bad" role="alert">
      {{ refusal.message }}
      <ElButton v-if="refusal.code === 'surprise'" @click="keep(true)">Keep it anyway</ElButton>
    </p>
    <div v-if="asked && early.length" class="notice bad" role="alert">
      <p v-for="says in early" :key="says">{{ says }}</p>
      <ElButton native-type="button" :disabled="!ready || busy" @click="keep()">Take it down all the same</ElButton>
      <RouterLink class="el-button" :to="`/lots/${code}`">Leave it hanging</RouterLink>
    </div>
    <div v-else>
      <ElButton type="primary" native-type="submit" size="large" :disabled="!ready || busy"
        >Put by {{ grams ? amount(counted, grams, crop.piece) : '' }}</ElButton
      >
    </div>
  </form>
  <p v-else-if="lot" class="notice">
    {{ code }} is not on the line any more. <RouterLink :to="`/lots/${code}`">To the lot</RouterLink>
  </p>
</template>

<style scoped>
.finish {
  max-width: 760px;
}
.short {
  width: 92px;
}
.number {
  width: 172px;
}
</style>
