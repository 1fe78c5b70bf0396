import { hourMs } from '../air'
import { dayMs } from '../households'
import type { Pieces } from '../pieces'
import { passingFloats } from '../rows'
import { agesOf, exposureOver, usualPacking, type Exposure, type Packing } from '../stores'
import type { House } from './house'
import type { LotState } from './lot'
import { livedThrough, lotAir, lotAirThen } from './lot-air'
import { settledFrom, type PlaceState } from './place'

export interface Lived extends Exposure {
  startMs: number
}

/** What a lot's settled days have added up to, continued from where it stood. */
export function lived(house: House, lot: LotState, startMs: number): Lived {
  const days = settledDays(house, startMs)
  const lives = liveOn(house, lot, startMs, days)
  // a clock that was set back has lived less than was reckoned
  return lives.days > days
    ? { startMs, ...exposureOver(lot.cropData, lotAirThen(house, lot, startMs, startMs + days * dayMs)) }
    : { startMs, ...lives }
}

const settledDays = (house: House, startMs: number) =>
  Math.max(0, Math.floor((settledFrom(house.comingHourMs) - startMs) / dayMs))

/** What its first days have added up to, so many at least: only what was not reckoned yet is. */
function liveOn(house: House, lot: LotState, startMs: number, days: number): Exposure {
  const through = livedThrough(house, lot)
  const known = house.once<{ of: Exposure | undefined }>(lot, 'lived', [through, startMs, lot.cropData], () => ({
    of: undefined,
  }))
  if (!known.of || known.of.days < days) {
    const fromMs = startMs + (known.of?.days ?? 0) * dayMs
    known.of = exposureOver(lot.cropData, lotAirThen(house, lot, fromMs, startMs + days * dayMs), known.of)
  }
  return known.of
}

/** Start of a lot's life: when it was stored, or came in. */
export const lifeStartMs = ({ history: { storedAtMs, broughtAtMs } }: LotState): number =>
  Math.floor((storedAtMs ?? broughtAtMs) / hourMs) * hourMs

const atOnceDays = 92

/** Reckons what an old lot has lived through a quarter at a time, for whoever must not be kept long. */
export function* livingOn(house: House, lot: LotState): Pieces {
  const startMs = lifeStartMs(lot)
  const days = settledDays(house, startMs)
  for (let until = atOnceDays; until < days; until += atOnceDays) {
    liveOn(house, lot, startMs, until)
    yield
  }
  liveOn(house, lot, startMs, days)
  yield
}

/**
 * How far each end of a stored lot has come by now, and would after each of some stretches of days in a place.
 * @param around what lies round it, once or several times over: the air is reckoned once
 */
export function agesAhead(
  house: House,
  lot: LotState,
  place: PlaceState,
  around: readonly { light: boolean; gas: number }[],
  daysAhead: readonly number[],
): number[][][] {
  const { cropData } = lot
  const startMs = lifeStartMs(lot)
  const before = lived(house, lot, startMs)
  const settledMs = startMs + before.days * dayMs
  const hours = (daysAhead.at(-1)! + 4) * 24
  const exposure = exposureOver(cropData, lotAir(house, lot, settledMs, hours, place), before, passingFloats)
  const today = Math.max(0, Math.floor((house.nowMs - startMs) / dayMs))
  return around.map((one) =>
    agesOf(cropData, exposure, packingOf(lot), one).ages.map((age) =>
      [0, ...daysAhead].map((days) => age[Math.min(age.length - 1, today + days)]!),
    ),
  )
}

/** What a lot lies in: as was said, else what its crop usually lies in. */
export const packingOf = ({ history, cropData }: LotState) => (history.pack ?? usualPacking(cropData)) as Packing
