import { crops, type Crop } from '@vadose/core/crops'

const byId = new Map(crops.map((crop) => [crop.id, crop]))

/** The almanac's entry for a lot; every lot's crop is in it. */
export const cropOf = (id: string): Crop => byId.get(id) ?? crops[0]!

export const heapLabel = (crop: Crop, heap: string): string => crop.heaps.find((h) => h.id === heap)?.label ?? heap

/** “Garlic, hardneck”, with its heap where it is not simply the sound one. */
export function lotName(cropId: string, heap: string): string {
  const crop = cropOf(cropId)
  return heap === 'sound' ? crop.name : `${crop.name} · ${heapLabel(crop, heap).toLowerCase()}`
}

/** Colour of a crop, from the theme. */
export const cropColour = (cropId: string): string => `var(--crop-${cropOf(cropId).colour})`

export { crops, type Crop }
