import { told } from '../message'
import { Refusal } from '../refusal'
import type { Crop, CropData } from './crop'
import { cropFiles } from './files'
import { pantry } from './goods'
import { resolveCrop } from './resolve'

export * from './almanac'
export * from './crop'
export * from './ends'
export { driedForm } from './dried'
export * from './feed'
export * from './find-crop'
export * from './habits'
export * from './hung-in'
export { packings, type Packing } from './packing'
export * from './path'
export { resolveCrop } from './resolve'
export { cropSchema } from './schema'
export { sources } from './sources'
export { cropFiles }

/** The almanac as it ships, in the order of the bed-side list. */
export const crops: readonly Crop[] = cropFiles.map(resolveCrop)

const byId = new Map([...crops, pantry].map((crop) => [crop.id, crop]))
const filesById = new Map(cropFiles.map((file) => [file.id, file]))

/**
 * A crop of the almanac as it ships.
 * @throws Refusal `unknown-crop`
 */
export function cropById(id: string): Crop {
  const crop = byId.get(id)
  if (!crop) throw unknownCrop(id, crops)
  return crop
}

export const unknownCrop = (id: string, known: readonly Crop[]): Refusal =>
  new Refusal(
    'unknown-crop',
    told('almanac.noCropAmong', { crop: id.slice(0, 60), known: known.map((c) => c.id).join(', ') }),
    'crop',
  )

/** The file of a crop that ships; undefined for a household's own. */
export const cropFileById = (id: string): CropData | undefined => filesById.get(id)
export * from './form'
export * from './frozen'
export * from './goods'
export * from './readiness'
