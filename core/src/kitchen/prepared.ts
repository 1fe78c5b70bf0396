import { told, type Part } from '../message'
import type { Crop } from '../almanac'
import { blanch } from './blanch'

/** A way of getting a crop ready for the freezer. */
export interface Preparing {
  id: string
  /** as it stands on the bag: “blanched, diced” */
  label: string
  /** minutes in boiling water and over steam; null where it is not blanched */
  minutes: { water: number; steam: number } | null
  note: Part
}

/** Done to what is not blanched by its cut. Common practice, no source. */
const others: Preparing[] = [
  { id: 'cooked', label: 'cooked', minutes: null, note: told('kitchen.preparedCooked') },
  { id: 'pureed', label: 'puréed', minutes: null, note: told('kitchen.preparedPureed') },
  { id: 'grated', label: 'grated', minutes: null, note: told('kitchen.preparedGrated') },
]

/**
 * The ways a crop is got ready for the freezer: blanched or raw by its cuts, then what is done to any.
 * @param altitudeM m above the sea: water boils cooler up there
 * @source NCHFP for times (recalled, not re-read)
 */
export function preparings(crop: Crop, altitudeM: number): Preparing[] {
  const { freezing } = crop
  if (!freezing) return []
  const cuts = freezing.blanch.map(({ cut }): Preparing => {
    const { waterMinutes: water, steamMinutes: steam, note } = blanch(crop, cut, altitudeM)
    const plain = cut.replace(/^raw, /, '')
    return water > 0 || steam > 0
      ? { id: `blanched ${cut}`, label: `blanched, ${cut}`, minutes: { water, steam }, note }
      : { id: `raw ${cut}`, label: plain === 'raw' ? 'raw' : `raw, ${plain}`, minutes: null, note }
  })
  return [...cuts, ...others]
}
