import { told } from '../message'
import { Refusal } from '../refusal'
import type { CropData } from './crop'

type Json = null | boolean | number | string | Json[] | { [key: string]: Json }
type JsonObject = { [key: string]: Json }

/** A crop's file that says only what is not as with a sister: an object is merged, anything else replaced, null taken away. */
export type LikeFile = { like: string } & JsonObject

const isObject = (value: Json | undefined): value is JsonObject =>
  typeof value === 'object' && value !== null && !Array.isArray(value)
/** a number with its source goes as one */
const isSourced = (value: JsonObject) => 'value' in value && 'source' in value

function merged(sister: JsonObject, own: JsonObject): JsonObject {
  const made: JsonObject = { ...sister }
  for (const [key, value] of Object.entries(own)) {
    if (value === null) delete made[key]
    else {
      const was = made[key]
      made[key] = isObject(value) && isObject(was) && !isSourced(value) ? merged(was, value) : value
    }
  }
  return made
}

/**
 * A whole crop's file from one that is like a sister's.
 * @throws Refusal `unknown-crop` for a sister that is not there
 */
export function likeSister(file: LikeFile, files: readonly CropData[]): CropData {
  const { like, ...own } = file
  const sister = files.find(({ id }) => id === like)
  if (!sister) throw new Refusal('unknown-crop', told('almanac.likeNoCrop', { crop: String(own['id']), like }), 'like')
  return merged(sister as unknown as JsonObject, own) as unknown as CropData
}
