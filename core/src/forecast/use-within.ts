import { daysBetween } from '../households'
import type { House } from './house'
import type { LotState } from './lot'

/** Days that what was set aside has, or a heap that will not keep, and what is gone of them; undefined for what keeps. */
export function useWithin(house: House, lot: LotState): { days: number; age: number } | undefined {
  if (lot.stage !== 'fresh') return undefined
  const { aside } = lot.history
  if (aside) return { days: aside.days, age: daysBetween(house.dateOf(aside.atMs), house.today) }
  const heap = lot.cropData.heaps.find((h) => h.id === lot.heap)
  if (!heap?.useWithinDays) return undefined
  return { days: heap.useWithinDays.value, age: daysBetween(lot.broughtOn, house.today) }
}
