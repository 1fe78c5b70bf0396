import type { Spread } from '../chance'
import { daysBetween } from '../households'
import { endReason } from '../stores'
import type { House } from './house'
import { meanAhead } from './air-ahead'
import { keepsUntil } from './keeping'
import { optionsFor, type LineOption } from './line-options'
import type { LotState } from './lot'
import type { PlaceState } from './place'

/** What moving a lot to a place does, before it is carried there: to how long it keeps, or while it dries, to that. */
export const movePreview = (house: House, lot: LotState, place: PlaceState) =>
  lot.stage === 'drying'
    ? { keeps: null, dries: dryingPreview(house, lot, place) }
    : { keeps: keepingPreview(house, lot, place), dries: null }

function keepingPreview(house: House, lot: LotState, place: PlaceState) {
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

/** When it will be ready there, and how damp the air is meanwhile. */
interface Dries {
  ready: Spread<string | null>
  mouldHoursAhead: number
}

const dries = ({ ready, mouldHoursAhead }: LineOption): Dries => ({ ready, mouldHoursAhead })

/** `to` is null where nothing dries: in a fridge, a freezer, out of doors. */
function dryingPreview(house: House, lot: LotState, place: PlaceState): { from: Dries; to: Dries | null } {
  const [asIs, ...others] = optionsFor(house, lot)
  const there = others.find((option) => option.id === place.id)
  return { from: dries(asIs!), to: there ? dries(there) : lot.placeId === place.id ? dries(asIs!) : null }
}
