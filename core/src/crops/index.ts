import { Refusal } from '../refusal'
import type { Crop } from './crop'
import { garlicHardneck } from './garlic-hardneck'
import { onionStoring } from './onion-storing'

export * from './crop'
export { sources } from './sources'

/** The almanac, in the order of the bed-side list. */
export const crops: readonly Crop[] = [garlicHardneck, onionStoring]

const byId = new Map(crops.map((crop) => [crop.id, crop]))

/** @throws Refusal `unknown-crop` */
export function cropById(id: string): Crop {
  const crop = byId.get(id)
  if (!crop) {
    throw new Refusal('unknown-crop', `There is no crop “${id}”. Known: ${crops.map((c) => c.id).join(', ')}.`, 'crop')
  }
  return crop
}
