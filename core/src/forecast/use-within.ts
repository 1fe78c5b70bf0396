import { daysBetween } from '../households'
import type { House } from './house'
import type { LotState } from './lot'

/** Days a heap that will not keep has, and what is left of them; undefined for what keeps. */
export function useWithin(house: House, lot: LotState): { days: number; age: number } | undefined {
  const heap = lot.cropData.heaps.find((h) => h.id === lot.heap)
  if (lot.stage !== 'fresh' || !heap?.useWithinDays) return undefined
  return { days: heap.useWithinDays.value, age: daysBetween(lot.broughtOn, house.today) }
}
