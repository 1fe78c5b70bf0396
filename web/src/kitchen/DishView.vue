<script setup lang="ts">
import { listRecipes, makeDish, type RecipeView } from '@vadose/contract/kitchen'
import { listLots } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import type { Unit } from '@vadose/core/almanac'
import { ElButton, ElInput } from 'element-plus'
import { computed, ref, watch, watchEffect } from 'vue'
import { useRoute } from 'vue-router'
import { cropColour, cropOf, lotName } from '../almanac'
import { amount, gramsFrom, largeUnit, smallUnit, useAttempt, weight } from '../households'
import { Choices, Pick } from '../kit'
import { countFrom, useLastAct } from '../lots'
import { namedPlaces } from '../places'
import { useView, write } from '../view'
import BrineHelp from './BrineHelp.vue'
import {
  balanceOf,
  cooksFrom,
  dishForms,
  gramsOf,
  ingredientsFor,
  unitsFor,
  type DishForm,
  type Ingredient,
} from './dish'
import IngredientRow from './IngredientRow.vue'
import PotFlow from './PotFlow.vue'
import RecipesCard from './RecipesCard.vue'

/** Several lots, and what was bought for them, made into one: a dish in portions, jars, a crock, a bag topped up. */
const route = useRoute()
const { answer: lots } = useView(listLots)
const { answer: places } = useView(listPlaces)
const { answer: recipes } = useView(listRecipes)

const named = ref('')
const form = ref<DishForm | undefined>('frozen')
const unit = ref<Unit | undefined>('portion')
const parts = ref<Ingredient[]>([])
const adds = ref<{ name: string; weight: string }[]>([])
const ready = ref('')
const waste = ref('')
const count = ref('')
const size = ref('')
const prepared = ref('')
const recipe = ref('')
const processed = ref('')
const taste = ref('5')
const placeId = ref<string>()
const into = ref<string>()
const shortOf = ref<string[]>([])

const from = computed(() => (lots.value ?? []).filter((lot) => cooksFrom(lot)))
const others = computed(() =>
  from.value
    .filter((lot) => !parts.value.some((part) => part.lot.code === lot.code))
    .map((lot) => ({
      id: lot.code,
      label: `${lotName(lot)} ${lot.code}${lot.place ? `, ${lot.place.toLowerCase()}` : ''}`,
    })),
)
const adding = ref<string>()
watch(adding, (code) => {
  const lot = from.value.find((one) => one.code === code)
  if (lot) parts.value.push({ lot, ...(lot.pieces === null ? {} : { pieces: 1 }) })
  adding.value = undefined
})
// what was chosen on another screen lies there already
watchEffect(() => {
  const wanted = String(route.query['lots'] ?? '')
    .split(',')
    .filter(Boolean)
  if (!lots.value || parts.value.length > 0 || wanted.length === 0 || made.value) return
  parts.value = from.value.filter(({ code }) => wanted.includes(code)).map((lot) => ({ lot, all: true }))
})
watch(form, (now) => {
  if (now) unit.value = dishForms.find(({ id }) => id === now)!.unit
  into.value = undefined
})
const suited: Record<DishForm, readonly string[]> = {
  frozen: ['freezer'],
  cooked: ['fridge'],
  brined: ['cool-room', 'room'],
  jarred: ['cool-room', 'cellar', 'room'],
  dried: ['cool-room', 'room'],
}
watch([form, places], () => {
  const all = places.value ?? []
  placeId.value = (
    suited[form.value ?? 'frozen'].map((kind) => all.find((p) => p.kind === kind)).find(Boolean) ?? all[0]
  )?.id
})
/** open bags and jars like what is made, that can be topped up */
const tops = computed(() => [
  { id: '', label: 'into new ones' },
  ...(lots.value ?? [])
    .filter((lot) => lot.form === form.value && lot.stage === 'stored' && lot.unit !== null)
    .map((lot) => ({ id: lot.code, label: `to ${lotName(lot)} ${lot.code}` })),
])
watch(into, (code) => {
  const lot = lots.value?.find((one) => one.code === code)
  if (!lot) return
  named.value = lot.name ?? cropOf(lot.crop).name
  unit.value = lot.unit ?? unit.value
  placeId.value = lot.placeId ?? placeId.value
})
const bought = computed(() =>
  adds.value
    .filter(({ name, weight: text }) => name.trim() !== '' || text.trim() !== '')
    .map(({ name, weight: text }) => ({ name: name.trim(), weightG: gramsFrom(text) })),
)
const known = computed(() => bought.value.map((one) => ({ name: one.name, weightG: one.weightG ?? 0 })))
const outG = computed(() => (ready.value.trim() === '' ? undefined : (gramsFrom(ready.value, 'kg') ?? NaN)))
const wasteG = computed(() => (waste.value.trim() === '' ? 0 : (gramsFrom(waste.value) ?? NaN)))
const balance = computed(() => balanceOf(parts.value, known.value, outG.value, wasteG.value || 0))
const pieces = computed(() => countFrom(count.value))
const flow = computed(() => [
  ...parts.value.map((part) => ({
    name: cropOf(part.lot.crop).id === 'pantry' ? lotName(part.lot) : cropOf(part.lot.crop).name,
    weightG: gramsOf(part),
    colour: cropColour(part.lot.crop),
  })),
  ...known.value.map((one) => ({ name: one.name || '…', weightG: one.weightG, colour: 'var(--crop-goods)' })),
])
const makes = computed(() => {
  const one = unit.value ?? 'portion'
  const many = unitsFor(form.value ?? 'frozen').find(({ id }) => id === one)?.label ?? one
  return `${pieces.value ?? '?'} ${pieces.value === 1 ? one : many}`
})
const able = computed(
  () =>
    named.value.trim() !== '' &&
    flow.value.length > 0 &&
    parts.value.every((part) => gramsOf(part) > 0) &&
    bought.value.every((one) => one.name !== '' && one.weightG !== null) &&
    pieces.value !== null &&
    placeId.value !== undefined &&
    !Number.isNaN(outG.value) &&
    !Number.isNaN(wasteG.value) &&
    balance.value.waterG >= 0,
)

function layOut(one: RecipeView) {
  // with nothing of something, it is laid out whole, and said what there is none of
  const times = one.short === null || one.enoughFor === 0 ? 1 : Math.min(1, one.enoughFor)
  const { takes, short } = ingredientsFor(one, from.value, times)
  named.value = one.name
  form.value = one.form
  parts.value = takes
  shortOf.value = short.map((crop) => cropOf(crop).name.toLowerCase())
  adds.value = one.adds.map((add) => ({ name: add.name, weight: String(Math.round(add.weightG * times)) }))
  prepared.value = one.prepared ?? ''
  count.value = String(Math.max(1, Math.round(one.pieces * times)))
  ready.value = waste.value = ''
  // what it is counted in follows the form unless the recipe says otherwise
  void Promise.resolve().then(() => (unit.value = one.unit))
}

const made = ref<{ code: string; goneG: number; says: string }>()
const { attempt, failure, busy } = useAttempt()
const last = useLastAct()
const said = (text: string) => (text.trim() === '' ? undefined : text.trim())
async function make() {
  await attempt(async () => {
    const answer = await write(makeDish, {
      body: {
        name: named.value.trim(),
        form: form.value ?? 'frozen',
        takes: parts.value.map(({ lot, pieces: n, weightG: g, all }) => ({
          code: lot.code,
          ...(all ? { all } : n ? { pieces: n } : { weightG: g! }),
        })),
        adds: known.value,
        ...(outG.value === undefined ? {} : { weightG: outG.value }),
        ...(wasteG.value ? { wasteG: wasteG.value } : {}),
        pieces: pieces.value!,
        unit: unit.value ?? 'portion',
        placeId: placeId.value!,
        ...(said(size.value) ? { size: said(size.value)! } : {}),
        ...(said(prepared.value) ? { prepared: said(prepared.value)! } : {}),
        ...(form.value === 'jarred' && said(recipe.value) ? { recipe: said(recipe.value)! } : {}),
        ...(form.value === 'jarred' && said(processed.value) ? { processed: said(processed.value)! } : {}),
        ...(form.value === 'brined' && countFrom(taste.value) ? { tasteAfterDays: countFrom(taste.value)! } : {}),
        ...(into.value ? { into: into.value } : {}),
      },
    })
    made.value = { code: answer.lot.code, goneG: answer.goneG, says: answer.says }
    last.keep({ code: answer.lot.code, entry: answer.entry, says: answer.says })
  })
}
function another() {
  made.value = undefined
  named.value = ready.value = waste.value = count.value = ''
  parts.value = []
  adds.value = []
}
</script>

<template>
  <div v-if="made" class="stack">
    <h1>{{ named }}: {{ makes }}</h1>
    <p>
      {{ weight(balance.outG) }} put by<template v-if="made.goneG"
        >, {{ weight(made.goneG) }} went as water and trimmings</template
      >. Label every one now.
    </p>
    <div class="row">
      <RouterLink class="el-button el-button--primary" :to="`/lots/${made.code}/tag`"
        >Label for {{ made.code }}</RouterLink
      >
      <RouterLink class="el-button" :to="`/lots/${made.code}`">See how long it keeps</RouterLink>
      <ElButton @click="another">Make something else</ElButton>
    </div>
  </div>
  <div v-else class="columns">
    <form class="stack" @submit.prevent="make">
      <header class="head">
        <h1>In the kitchen</h1>
        <p class="soft">several lots become one: cooked, frozen in portions, in jars, in salt</p>
      </header>
      <section class="card stack">
        <h2>What goes in</h2>
        <IngredientRow
          v-for="(part, i) in parts"
          :key="part.lot.code"
          :part="part"
          @change="parts[i] = $event"
          @drop="parts.splice(i, 1)"
        />
        <p v-if="shortOf.length" class="notice">
          Not enough {{ shortOf.join(' and ') }} for it: less, or something else.
        </p>
        <div class="row">
          <Pick
            v-model="adding"
            label="A lot that goes in"
            :options="others"
            find
            placeholder="a lot: type a crop or code"
            class="wide"
          />
          <ElButton @click="adds.push({ name: '', weight: '' })">Something without a lot</ElButton>
        </div>
        <div v-for="(add, i) in adds" :key="i" class="row">
          <ElInput
            v-model="add.name"
            class="grow"
            maxlength="40"
            :aria-label="`Bought or from the tap, ${i + 1}`"
            placeholder="wine, butter, water"
          />
          <ElInput
            v-model="add.weight"
            class="number"
            inputmode="decimal"
            :aria-label="`Its weight, ${i + 1}`"
            placeholder="weight"
            ><template #suffix>{{ smallUnit() }}</template></ElInput
          >
          <ElButton :aria-label="`Leave out ${add.name || 'it'}`" @click="adds.splice(i, 1)">Leave out</ElButton>
        </div>
      </section>
      <section class="card stack">
        <h2>What it becomes</h2>
        <Choices v-model="form" label="What becomes of it" :options="dishForms" />
        <div class="row">
          <label class="field grow"
            >Its name <ElInput v-model="named" maxlength="60" aria-label="Name of it" placeholder="Braised red cabbage"
          /></label>
          <label class="field"
            >How many <ElInput v-model="count" class="number" inputmode="numeric" aria-label="How many of them"
          /></label>
          <Pick v-model="unit" label="Counted in" :options="unitsFor(form ?? 'frozen')" class="unit" />
          <Pick v-model="placeId" label="Where it goes" :options="namedPlaces(places ?? [])" class="unit" />
          <Pick
            v-if="tops.length > 1"
            v-model="into"
            label="New, or topped up"
            :options="tops"
            placeholder="into new ones"
            class="unit"
          />
        </div>
        <div class="row">
          <label class="field"
            >Ready, all together
            <ElInput
              v-model="ready"
              class="number"
              inputmode="decimal"
              aria-label="Weight ready"
              placeholder="not weighed"
              ><template #suffix>{{ largeUnit() }}</template></ElInput
            ></label
          >
          <label class="field"
            >Trimmings
            <ElInput
              v-model="waste"
              class="number"
              inputmode="decimal"
              aria-label="Weight of the trimmings"
              placeholder="not weighed"
              ><template #suffix>{{ smallUnit() }}</template></ElInput
            ></label
          >
          <label v-if="form === 'jarred' || form === 'brined'" class="field"
            >Size <ElInput v-model="size" class="number" maxlength="20" aria-label="Size of one" placeholder="0.5 L"
          /></label>
          <label class="field grow"
            >How
            <ElInput
              v-model="prepared"
              maxlength="60"
              aria-label="How it is prepared"
              :placeholder="dishForms.find((f) => f.id === form)?.prepared[0] ?? ''"
          /></label>
        </div>
        <template v-if="form === 'jarred'">
          <div class="row">
            <label class="field grow"
              >Tested recipe
              <ElInput
                v-model="recipe"
                maxlength="80"
                aria-label="Tested recipe"
                placeholder="its name and where it stands"
            /></label>
            <label class="field grow"
              >Processed
              <ElInput
                v-model="processed"
                maxlength="80"
                aria-label="How it was processed"
                placeholder="as the recipe says, for our height"
            /></label>
          </div>
          <p class="notice">
            No times are given here: low-acid food in jars needs a pressure canner and a tested recipe, corrected for
            altitude, and botulism gives no smell. Ask your local food-safety authority for tested recipes. Lids are
            looked at tomorrow.
          </p>
        </template>
        <label v-if="form === 'brined'" class="field"
          >First tasted after
          <ElInput v-model="taste" class="number" inputmode="numeric" aria-label="Days until it is tasted"
            ><template #suffix>days</template></ElInput
          ></label
        >

        <PotFlow
          v-if="balance.inG > 0"
          :parts="flow"
          :out-g="balance.outG"
          :water-g="Math.max(0, balance.waterG)"
          :waste-g="balance.wasteG"
          :makes="makes"
        />
        <p v-if="balance.waterG < 0" class="bad" role="alert">
          {{ weight(0 - balance.waterG) }} more comes out than goes in: say what else went in, water too.
        </p>
        <p v-else-if="balance.inG > 0 && pieces" class="soft">{{ weight(balance.outG / pieces) }} in each.</p>
      </section>
      <BrineHelp v-if="form === 'brined'" :produce-g="balance.inG" />
      <p v-if="failure" class="notice bad" role="alert">{{ failure }}</p>
      <div>
        <ElButton type="primary" native-type="submit" size="large" :disabled="!able || busy">{{
          into ? 'Top it up' : 'Put it by'
        }}</ElButton>
      </div>
    </form>
    <aside class="stack">
      <RecipesCard :recipes="recipes ?? []" @choose="layOut" />
      <section class="card">
        <h2>Waiting to be used</h2>
        <p v-if="!from.some((lot) => lot.aside)" class="soft">Nothing is set aside.</p>
        <ul class="bare rows">
          <li v-for="lot in from.filter((one) => one.aside)" :key="lot.code" class="waiting">
            <span
              ><strong>{{ lotName(lot) }}</strong>
              <span class="soft"
                >{{ lot.code }}, {{ amount(lot.pieces, lot.weightG, cropOf(lot.crop).piece) }}</span
              ></span
            >
            <ElButton
              :disabled="parts.some((p) => p.lot.code === lot.code)"
              :aria-label="`${lot.code} goes in`"
              @click="parts.push({ lot, all: true })"
              >In</ElButton
            >
          </li>
        </ul>
      </section>
    </aside>
  </div>
</template>

<style scoped>
.number {
  width: 140px;
}
.grow {
  flex: 1;
  min-width: 160px;
}
.row .wide {
  width: min(100%, 380px);
}
.row {
  align-items: end;
}
.row .unit {
  width: 170px;
}
.waiting {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 8px;
  align-items: center;
  padding: 7px 0;
}
</style>
