import {
  almanacWith,
  asGoods,
  choiceOf,
  crops as shipped,
  noChanges,
  pantry,
  type AlmanacChanges,
  type Crop,
  type Form,
  type Unit,
} from '@vadose/core/almanac'
import { computed, shallowRef } from 'vue'
import { languageHere } from '../voice'
import { retoldCrop } from './retold-crop'
import { type Language } from '@vadose/words/page'

/** The almanac as the household has it; what ships until the household's changes are known. */
const almanac = shallowRef(almanacWith(noChanges))

export function useChanges(changes: AlmanacChanges): void {
  almanac.value = almanacWith(changes)
}

/** As the household's English calls them. */
const spoken = computed(() => {
  const language = languageHere()
  if (language === 'en-GB') return almanac.value
  const crops = almanac.value.crops.map((crop) => retoldCrop(crop, language))
  return { crops, byId: new Map(crops.map((crop) => [crop.id, crop])) }
})

/** The almanac as the household has and calls it. */
export const currentAlmanac = () => ({ ...almanac.value, ...spoken.value })

/** Every crop of the almanac, the household's own last. */
export const allCrops = (): readonly Crop[] => spoken.value.crops

/** The almanac's entry for a lot; every lot's crop is in it. */
export const cropOf = (id: string): Crop =>
  spoken.value.byId.get(id) ?? (languageHere() === 'en-GB' ? ofNoCrop(id) : retoldOnce(ofNoCrop(id), languageHere()))

/** What was bought or cooked is of no crop. */
const ofNoCrop = (id: string): Crop => (id === pantry.id ? pantry : shipped[0]!)

const retoldGoods = new WeakMap<Crop, Map<Language, Crop>>()
function retoldOnce(crop: Crop, language: Language): Crop {
  const known = retoldGoods.get(crop) ?? new Map<Language, Crop>()
  retoldGoods.set(crop, known)
  const told = known.get(language) ?? retoldCrop(crop, language)
  known.set(language, told)
  return told
}

/** What of a lot says how it is called and counted. */
export interface Called {
  crop: string
  heap?: string
  form?: Form
  name?: string | null
  unit?: Unit | null
}

/** A lot's crop in the form it is in, called and counted as the lot itself is. */
export function lotCrop({ crop, form = 'fresh', name = null, unit = null }: Called): Crop {
  const known = almanac.value.byId.get(crop) ?? ofNoCrop(crop)
  const goods = asGoods(known, form, { name, unit, lifeDays: null, dish: false })
  if (languageHere() === 'en-GB') return goods
  // a name that somebody gave is theirs
  return { ...retoldOnce(goods, languageHere()), ...(name ? { name, plural: goods.plural } : {}) }
}

export const heapLabel = (crop: Crop, heap: string): string => crop.heaps.find((h) => h.id === heap)?.label ?? heap

/** “Garlic, hardneck”, with its heap where it is not simply the sound one; “Braised red cabbage”. */
export function lotName(lot: Called): string {
  const { heap = 'sound' } = lot
  const { name } = lotCrop(lot)
  return heap === 'sound' ? name : `${name} · ${heapLabel(cropOf(lot.crop), heap).toLowerCase()}`
}

const ownColours = new Set([
  'garlic',
  'onion',
  'shallot',
  'leek',
  'potato',
  'carrot',
  'beetroot',
  'apple',
  'chilli',
  'herb',
])

/** Colour of a crop, from the theme: its own where it has one, its group's otherwise. */
export function cropColour(cropId: string): string {
  const word = cropId.split('-')[0]!
  return `var(--crop-${ownColours.has(word) ? word : cropOf(cropId).group})`
}

/** The school the household follows. */
export const schoolOf = (crop: Crop, topic: string): string | undefined => choiceOf(almanac.value, crop, topic)

export type { Crop }
