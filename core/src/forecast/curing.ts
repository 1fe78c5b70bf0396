import { joinSeries, type AirSeries } from '../air'
import { mapSpread, type Spread } from '../chance'
import { curingState, dryerState, expectedNowG, type CuringLot, type CuringState } from '../line'
import type { House } from './house'
import type { LotState } from './lot'
import { firstHours, livedThrough, lotAir } from './lot-air'
import type { PlaceState } from './place'

const curingAheadDays = 120

/** How far a hanging lot has dried. */
export function curingOfLot(house: House, lot: LotState): { lot: CuringLot; state: CuringState } {
  const place = house.placeOf(lot)
  return house.once(lot, 'curing', [lot, place?.past, place?.ahead, house.epochs, house.comingHourMs], () => {
    const { hungAtMs, airflow, weighings, tests } = lot.history
    const fromMs = hungAtMs ?? house.nowMs
    // a weighing changes nothing of the air it hung in, and what is kept of that air stands
    const air = house.once(
      lot,
      'air it hung in',
      [fromMs, livedThrough(house, lot), place?.past, place?.ahead, house.comingHourMs],
      () => lotAir(house, lot, fromMs, curingAheadDays * 24).reduce(joinSeries),
    )
    const curing: CuringLot = {
      crop: lot.cropData,
      air,
      nowMs: house.nowMs,
      airflow,
      weighings,
      tests,
    }
    return { lot: curing, state: curingState(curing) }
  })
}

/** Air from now on in a place, for the line's what-ifs. */
export const lineAhead = (house: House, place: PlaceState): AirSeries =>
  house.once(null, `line ahead ${place.id}`, [place.ahead], () => firstHours(place.ahead, curingAheadDays * 24))

/** Ready window as dates; null where the air ahead never gets it there. */
export const readyDates = (house: House, readyAtMs: Spread): Spread<string | null> =>
  mapSpread(readyAtMs, (ms) => (Number.isFinite(ms) ? house.dateOf(ms) : null))

/** Weight to expect of what was weighed last, g; null before any weighing. */
export function expectedG(house: House, lot: LotState): number | null {
  const last = lot.history.weighings.at(-1)
  if (!last) return null
  const { lot: curing, state } = curingOfLot(house, lot)
  return house.once(lot, 'expected', [state], () => {
    const expected = expectedNowG(curing, state, last.basis)
    return expected === undefined ? null : Math.round(expected)
  })
}

/** How far the load in the dehydrator is. */
export function dryerOf(house: House, lot: LotState) {
  const { loads } = lot.history
  return dryerState(lot.grown, loads.at(-1)!, loads[0]!.weightG, house.nowMs)
}
