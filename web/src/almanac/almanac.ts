import {
  almanacWith,
  asGoods,
  choiceOf,
  crops as shipped,
  noChanges,
  type AlmanacChanges,
  type Crop,
  type Form,
  type Unit,
} from '@vadose/core/almanac'
import { shallowRef } from 'vue'

/** The almanac as the household has it; what ships until the household's changes are known. */
const almanac = shallowRef(almanacWith(noChanges))

export const currentAlmanac = () => almanac.value

export function useChanges(changes: AlmanacChanges): void {
  almanac.value = almanacWith(changes)
}

/** Every crop of the almanac, the household's own last. */
export const allCrops = (): readonly Crop[] => almanac.value.crops

/** The almanac's entry for a lot; every lot's crop is in it. */
export const cropOf = (id: string): Crop => almanac.value.byId.get(id) ?? shipped[0]!

/** What of a lot says how it is called and counted. */
export interface Called {
  crop: string
  heap?: string
  form?: Form
  name?: string | null
  unit?: Unit | null
}

/** A lot's crop in the form it is in, called and counted as the lot itself is. */
export const lotCrop = ({ crop, form = 'fresh', name = null, unit = null }: Called): Crop =>
  asGoods(cropOf(crop), form, { name, unit, lifeDays: null, dish: false })

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
