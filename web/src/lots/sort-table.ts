import { feeding, type Crop } from '@vadose/core/almanac'
import type { SortFate } from '@vadose/core/lots'

/** One heap on the sorting table: what it is for, what belongs on it, and how it is told apart without colour. */
export interface TableHeap {
  fate: SortFate
  label: string
  hint: string
  pattern: 'plain' | 'stripes' | 'cross' | 'dots' | 'bars' | 'grid'
}

/** The heaps a crop is sorted into; the first eight have keys. */
export function tableHeaps(crop: Crop): TableHeap[] {
  const feed = feeding(crop)
  return [
    { fate: 'store', label: 'Back into store', hint: 'sound and dry', pattern: 'plain' },
    { fate: 'eat-first', label: 'Eat first', hint: 'nicked, soft soon, sprouting', pattern: 'stripes' },
    { fate: 'cook', label: 'Kitchen now', hint: 'cut round and cooked these days', pattern: 'cross' },
    { fate: 'plant', label: 'For planting', hint: 'true to name, sound, the right size', pattern: 'dots' },
    { fate: 'freeze', label: 'To freeze', hint: 'prepared within two days', pattern: 'bars' },
    ...(feed.safe ? [{ fate: 'feed', label: 'Hens', hint: feed.says, pattern: 'grid' } as const] : []),
    { fate: 'compost', label: 'Compost', hint: 'tired, but not diseased', pattern: 'stripes' },
    { fate: 'bin', label: 'Bin', hint: 'wet rot and disease: never composted', pattern: 'cross' },
    { fate: 'small', label: 'Small ones', hint: 'a lot of their own', pattern: 'dots' },
    { fate: 'large', label: 'Large ones', hint: 'a lot of their own', pattern: 'bars' },
    { fate: 'give', label: 'Given away', hint: 'out of the house today', pattern: 'grid' },
    { fate: 'use', label: 'Eaten today', hint: 'to the kitchen, gone from the list', pattern: 'plain' },
    ...(crop.dehydrating
      ? [{ fate: 'dry', label: 'To dry', hint: 'on the trays within two days', pattern: 'stripes' } as const]
      : []),
    ...(['orchard', 'berry', 'stone', 'fruiting'].includes(crop.group)
      ? [{ fate: 'juice', label: 'To juice', hint: 'pressed within three days', pattern: 'bars' } as const]
      : []),
    { fate: 'burn', label: 'Burnt', hint: 'what must not come back to the soil', pattern: 'cross' },
  ]
}

/** What was thrown on a heap: counted or weighed. */
export interface Throw {
  fate: SortFate
  pieces?: number
  weightG?: number
}

/** A heap as it stands: by the scale where all of it was weighed, by count where all of it was counted, else by the mean. */
export function heapSum(
  throws: readonly Throw[],
  fate: SortFate,
  meanG: number,
): { weightG: number; pieces?: number; byCount: boolean } {
  const own = throws.filter((t) => t.fate === fate)
  const counted = own.length > 0 && own.every((t) => t.pieces !== undefined)
  const weightG = Math.round(own.reduce((sum, t) => sum + (t.weightG ?? (t.pieces ?? 0) * meanG), 0))
  const pieces = own.reduce((sum, t) => sum + (t.pieces ?? 0), 0)
  return counted ? { weightG, pieces, byCount: own.every((t) => t.weightG === undefined) } : { weightG, byCount: false }
}
