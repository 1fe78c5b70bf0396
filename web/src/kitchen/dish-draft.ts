import { roastedLifeDays } from '@vadose/core/assumptions'
import { listRecipes, makeDish, type RecipeView } from '@vadose/contract/kitchen'
import { listLots, type LotRow } from '@vadose/contract/lots'
import { listPlaces } from '@vadose/contract/places'
import type { Unit } from '@vadose/core/almanac'
import { computed, inject, provide, reactive, ref, watch, type InjectionKey } from 'vue'
import { isRoasted, roastedG, roasts } from '@vadose/core/kitchen'
import { cropColour, cropOf, lotCrop, lotName } from '../almanac'
import { gramsFrom, useAttempt } from '../households'
import { countFrom, useLastAct } from '../lots'
import { useView, write } from '../view'
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
import { say } from './say'

/** Kinds of place that suit what is made, the best first. */
const suited: Record<DishForm, readonly string[]> = {
  frozen: ['freezer'],
  cooked: ['fridge'],
  brined: ['cool-room', 'room'],
  jarred: ['cool-room', 'cellar', 'room'],
  dried: ['cool-room', 'room'],
}

/** What is typed of a dish. */
const nothingTyped = () => ({
  named: '',
  ready: '',
  waste: '',
  count: '',
  size: '',
  prepared: '',
  recipe: '',
  processed: '',
  taste: '5',
})

function makeDraft() {
  const { answer: lots } = useView(listLots)
  const { answer: places } = useView(listPlaces)
  const { answer: recipes } = useView(listRecipes)
  const typed = reactive(nothingTyped())
  const form = ref<DishForm>('frozen')
  const unit = ref<Unit>('portion')
  const parts = ref<Ingredient[]>([])
  const adds = ref<{ name: string; weight: string }[]>([])
  const placeId = ref<string>()
  const into = ref<string>()
  /** crops of a recipe that there is not enough of */
  const shortOf = ref<string[]>([])

  const from = computed(() => (lots.value ?? []).filter(cooksFrom))
  const isIn = (code: string) => parts.value.some((part) => part.lot.code === code)

  function placeSuited() {
    const all = places.value ?? []
    const fits = suited[form.value].map((kind) => all.find((place) => place.kind === kind)).find(Boolean)
    placeId.value = (fits ?? all[0])?.id
  }
  watch(
    places,
    () => {
      if (placeId.value === undefined) placeSuited()
    },
    { immediate: true },
  )
  function become(now: DishForm) {
    form.value = now
    unit.value = dishForms.find(({ id }) => id === now)!.unit
    into.value = undefined
    placeSuited()
  }

  /** open bags and jars like what is made, that can be topped up */
  const tops = computed(() => [
    { id: '', label: say('intoNewOnes') },
    ...(lots.value ?? [])
      .filter((lot) => lot.form === form.value && lot.stage === 'stored' && lot.unit !== null)
      .map((lot) => ({ id: lot.code, label: say('to2', { lotName: lotName(lot), code: lot.code }) })),
  ])
  watch(into, (code) => {
    const lot = lots.value?.find((one) => one.code === code)
    if (!lot) return
    typed.named = lot.name ?? cropOf(lot.crop).name
    unit.value = lot.unit ?? unit.value
    placeId.value = lot.placeId ?? placeId.value
  })

  const bought = computed(() =>
    adds.value
      .filter(({ name, weight }) => name.trim() !== '' || weight.trim() !== '')
      .map(({ name, weight }) => ({ name: name.trim(), weightG: gramsFrom(weight) })),
  )
  const known = computed(() => bought.value.map(({ name, weightG }) => ({ name, weightG: weightG ?? 0 })))
  const outG = computed(() => (typed.ready.trim() === '' ? undefined : (gramsFrom(typed.ready, 'kg') ?? NaN)))
  const wasteG = computed(() => (typed.waste.trim() === '' ? 0 : (gramsFrom(typed.waste) ?? NaN)))
  const balance = computed(() => balanceOf(parts.value, known.value, outG.value, wasteG.value || 0))
  const pieces = computed(() => countFrom(typed.count))
  const flow = computed(() => [
    ...parts.value.map((part) => ({
      name: part.lot.crop === 'pantry' ? lotName(part.lot) : cropOf(part.lot.crop).name,
      weightG: gramsOf(part),
      colour: cropColour(part.lot.crop),
    })),
    ...known.value.map(({ name, weightG }) => ({ name: name || '…', weightG, colour: 'var(--crop-goods)' })),
  ])
  /** “11 portions” */
  const makes = computed(() => {
    const many = unitsFor(form.value).find(({ id }) => id === unit.value)?.label ?? unit.value
    return `${pieces.value ?? '?'} ${pieces.value === 1 ? unit.value : many}`
  })
  const able = computed(
    () =>
      typed.named.trim() !== '' &&
      flow.value.length > 0 &&
      parts.value.every((part) => gramsOf(part) > 0) &&
      bought.value.every(({ name, weightG }) => name !== '' && weightG !== null) &&
      pieces.value !== null &&
      placeId.value !== undefined &&
      !Number.isNaN(outG.value) &&
      !Number.isNaN(wasteG.value) &&
      balance.value.waterG >= 0,
  )

  function put(lot: LotRow, part: Omit<Ingredient, 'lot'> = lot.pieces === null ? {} : { pieces: 1 }) {
    if (!isIn(lot.code)) parts.value.push({ lot, ...part })
  }
  /** A recipe laid out to what there is; with nothing of something it is laid out whole, and said what there is none of. */
  function layOut(recipe: RecipeView) {
    const times = recipe.short === null || recipe.enoughFor === 0 ? 1 : Math.min(1, recipe.enoughFor)
    const { takes, short } = ingredientsFor(recipe, from.value, times)
    become(recipe.form)
    unit.value = recipe.unit
    parts.value = takes
    shortOf.value = short.map((crop) => cropOf(crop).name.toLowerCase())
    adds.value = recipe.adds.map(({ name, weightG }) => ({ name, weight: String(Math.round(weightG * times)) }))
    Object.assign(typed, nothingTyped(), {
      named: recipe.name,
      prepared: recipe.prepared ?? '',
      count: String(Math.max(1, Math.round(recipe.pieces * times))),
    })
  }

  /** seeds and nuts alone, dried: they may be roasted, and what that leaves of them, g */
  const roastable = computed(
    () =>
      form.value === 'dried' &&
      adds.value.length === 0 &&
      parts.value.length > 0 &&
      parts.value.every(({ lot }) => roasts(cropOf(lot.crop))),
  )
  const roasted = computed(() => roastable.value && isRoasted(typed.prepared))
  const roastedTo = computed(() =>
    parts.value.reduce((sum, part) => sum + roastedG(gramsOf(part), lotCrop(part.lot)), 0),
  )

  const made = ref<{ code: string; goneG: number; outG: number }>()
  const { attempt, failure, busy } = useAttempt()
  const last = useLastAct()
  const said = <K extends string>(key: K, text: string) =>
    (text.trim() === '' ? {} : { [key]: text.trim() }) as Partial<Record<K, string>>
  const make = () =>
    attempt(async () => {
      const jarred = form.value === 'jarred'
      const answer = await write(makeDish, {
        body: {
          name: typed.named.trim(),
          form: form.value,
          takes: parts.value.map(({ lot, pieces: n, weightG, all }) => ({
            code: lot.code,
            ...(all ? { all } : n ? { pieces: n } : { weightG: weightG! }),
          })),
          adds: known.value,
          ...(outG.value === undefined ? {} : { weightG: outG.value }),
          ...(wasteG.value ? { wasteG: wasteG.value } : {}),
          pieces: pieces.value!,
          unit: unit.value,
          placeId: placeId.value!,
          ...said('size', typed.size),
          ...said('prepared', typed.prepared),
          ...(jarred ? { ...said('recipe', typed.recipe), ...said('processed', typed.processed) } : {}),
          ...(form.value === 'brined' && countFrom(typed.taste) ? { tasteAfterDays: countFrom(typed.taste)! } : {}),
          ...(roasted.value ? { lifeDays: roastedLifeDays } : {}),
          ...(into.value ? { into: into.value } : {}),
        },
      })
      const { lot, goneG, inG, entry, says } = answer
      made.value = { code: lot.code, goneG, outG: inG - goneG }
      last.keep({ code: lot.code, entry, says })
    })
  function another() {
    made.value = undefined
    parts.value = []
    adds.value = []
    shortOf.value = []
    Object.assign(typed, nothingTyped())
  }

  return reactive({
    lots,
    places,
    recipes,
    typed,
    form,
    unit,
    parts,
    adds,
    placeId,
    into,
    shortOf,
    roastable,
    roasted,
    roastedTo,
    from,
    tops,
    balance,
    pieces,
    flow,
    makes,
    able,
    made,
    failure,
    busy,
    isIn,
    become,
    put,
    layOut,
    make,
    another,
  })
}
export type DishDraft = ReturnType<typeof makeDraft>

const key: InjectionKey<DishDraft> = Symbol('dish')

/** A dish on the table, for the screen and its parts. */
export function provideDish(): DishDraft {
  const draft = makeDraft()
  provide(key, draft)
  return draft
}
export const useDish = (): DishDraft => inject(key)!
