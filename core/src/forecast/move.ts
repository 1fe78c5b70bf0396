import { daysBetween } from '../households'
import { endReason } from '../stores'
import type { House } from './house'
import { keepsUntil, meanAhead } from './keeping'
import type { LotState } from './lot'
import type { PlaceState } from './place'

/** What moving a lot to a place does to its life, before it is carried there. */
export function movePreview(house: House, lot: LotState, place: PlaceState) {
  // where nine in ten has passed both here and there, half is what there is to win
  const passed = [undefined, place].every((where) => keepsUntil(house, lot, where).nineInTenUntil.p50 <= house.today)
  const level: 'half' | 'nine-in-ten' = passed ? 'half' : 'nine-in-ten'
  const from = keepsUntil(house, lot, undefined, level)
  const to = keepsUntil(house, lot, place, level)
  const air = meanAhead(house, place)
  return {
    level,
    from,
    to: { ...to, why: endReason(lot.cropData, to.endedBy, air.temperatureC, air.relativeHumidityPct) },
    daysGained: daysBetween(from.nineInTenUntil.p50, to.nineInTenUntil.p50),
  }
}
