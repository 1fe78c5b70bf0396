import {
  almanacWith,
  choiceOf,
  crops as shipped,
  inForm,
  noChanges,
  type AlmanacChanges,
  type Crop,
  type Form,
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

/** A lot's crop in the form it is in: as it grew, dried, or frozen. */
export const lotCrop = (lot: { crop: string; form: Form }): Crop => inForm(cropOf(lot.crop), lot.form)

export const heapLabel = (crop: Crop, heap: string): string => crop.heaps.find((h) => h.id === heap)?.label ?? heap

/** “Garlic, hardneck”, with its heap where it is not simply the sound one. */
export function lotName(cropId: string, heap: string, form: Form = 'fresh'): string {
  const crop = lotCrop({ crop: cropId, form })
  return heap === 'sound' ? crop.name : `${crop.name} · ${heapLabel(crop, heap).toLowerCase()}`
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
