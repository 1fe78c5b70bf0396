import { mapSpread, type Spread } from '../chance'
import { knownForDays, lookCatches } from '../assumptions'
import { asksForAll, checkSize, nextLookInDays } from '../checks'
import { dayMs, type CivilDate } from '../households'
import { draft } from '../lots'
import type { Pieces } from '../pieces'
import { survivalCurve, usualPacking, type End } from '../stores'
import type { House } from './house'
import { believedOf, courseOf, lifeOf, taughtOf, type LotLife } from './life'
import { livingOn } from './lived'
import { lotState, type LotState } from './lot'
import type { PlaceState } from './place'

export interface LotKeeping extends Omit<LotLife, 'checks' | 'lastDay' | 'beliefThen' | 'said'> {
  /** when nine in ten are still sound; a day that has passed stays what it was */
  until: Spread
  nextCheckInDays: number
  lookAt: number
  /** the last look found so many bad that all of it wants looking at */
  goThroughAll: boolean
  /** its time is over, and nobody has looked since: when it was, as it was said after the last look */
  overdue: Spread | undefined
}

/** A look found it within a week of its time, or past it: it is asked about again when the next look has not come. */
function askedAgain(lastDay: number, nextCheckInDays: number): Spread {
  const day = lastDay + Math.max(knownForDays, nextCheckInDays)
  return { p10: day, p50: day, p90: day }
}

/** what is counted in millions is looked over like a million */
const mostPieces = 1_000_000

/** In closed jars, bags and packets: nothing shows from outside, runs from one to the other, or is gone through week by week. */
const isClosed = ({ form, grown }: LotState): boolean =>
  ['jarred', 'frozen', 'cooked'].includes(form) || grown.group === 'goods'

/** Works out how a lot keeps piece by piece, for whoever must not be kept long. */
export function* keepingInPieces(house: House, lot: LotState): Pieces {
  yield* livingOn(house, lot)
  for (const piece of [courseOf, taughtOf, believedOf, lifeOf, keepingOf]) {
    piece(house, lot)
    yield
  }
}

/** How a stored or waiting lot keeps; in another place when one is given. */
export const keepingOf = (house: House, lot: LotState, elsewhere?: PlaceState): LotKeeping =>
  elsewhere ? keepingIn(house, lot, elsewhere) : house.seenOf(lot, 'keeping', () => keepingIn(house, lot))

function keepingIn(house: House, lot: LotState, elsewhere?: PlaceState): LotKeeping {
  const life = lifeOf(house, lot, elsewhere)
  const counted = lot.form === 'fresh' && lot.history.unit !== null ? null : lot.pieces
  const pieces = counted ?? Math.max(1, Math.round(lot.weightG / lot.cropData.pieceG.value))
  return house.once(lot, `keeping ${elsewhere?.id ?? ''}`, [life, pieces, isClosed(lot), house.almanac.habits], () => {
    const { checks, lastDay, beliefThen, said, ...kept } = life
    const { model, spread, forecast, nowDay } = kept
    const goThroughAll = checks.length > 0 && asksForAll(checks.at(-1)!)
    const timeLeftDays = said.p50 - lastDay
    const nextCheckInDays = goThroughAll
      ? 0
      : isClosed(lot)
        ? Math.max(knownForDays, Math.floor(timeLeftDays))
        : nextLookInDays(model, beliefThen, lastDay, checks.length, pieces, spread, house.almanac.habits, timeLeftDays)
    const known = checks.length > 0 && timeLeftDays < knownForDays
    const over = known ? askedAgain(lastDay, nextCheckInDays) : said
    // a second of rounding is not a day to come
    const passed = (day: Spread) => !elsewhere && Math.max(forecast.nineInTenDay.p50, day.p50) <= nowDay + 1e-5
    const overdue = passed(over) ? over : undefined
    return {
      ...kept,
      overdue,
      until: overdue ?? (passed(said) ? said : forecast.nineInTenDay),
      nextCheckInDays,
      lookAt: goThroughAll ? pieces : checkSize(Math.min(mostPieces, pieces), lookCatches.badShare, lookCatches.sure),
      goThroughAll,
    }
  })
}

/** Day of the calendar for a day of a lot's life. */
export const keepingDate = (house: House, keeping: LotKeeping, day: number): CivilDate =>
  house.dateOf(keeping.startMs + day * dayMs)

export interface KeepsUntil {
  nineInTenUntil: Spread<CivilDate>
  /** the forecast reaches no further */
  beyond: boolean
  endedBy: End
  /** the day its time was over, where nobody has looked since; else null */
  overdueSince: CivilDate | null
}

/** When 9 in 10 (or half) are still sound, as dates, and which end comes first there. */
export function keepsUntil(
  house: House,
  lot: LotState,
  elsewhere?: PlaceState,
  level: 'nine-in-ten' | 'half' = 'nine-in-ten',
): KeepsUntil {
  const until = () => untilOf(house, lot, elsewhere, level)
  return elsewhere ? until() : house.seenOf(lot, `until ${level}`, until)
}

function untilOf(
  house: House,
  lot: LotState,
  elsewhere: PlaceState | undefined,
  level: 'nine-in-ten' | 'half',
): KeepsUntil {
  const keeping = keepingOf(house, lot, elsewhere)
  return house.once(lot, `until ${level} ${elsewhere?.id ?? ''}`, [keeping, house.household.timeZone], () => {
    const { endedBy, halfDay } = keeping.forecast
    const day = level === 'half' ? halfDay : keeping.until
    return {
      nineInTenUntil: mapSpread(day, (d) => keepingDate(house, keeping, d)),
      beyond: day.p50 >= keeping.model.days - 1,
      endedBy: endedBy[0]!.end,
      overdueSince: overdueSince(house, lot, elsewhere),
    }
  })
}

/** The day a lot's time was over, where that is past and nobody has looked since; else null. */
export function overdueSince(house: House, lot: LotState, elsewhere?: PlaceState): CivilDate | null {
  const keeping = keepingOf(house, lot, elsewhere)
  return keeping.overdue ? keepingDate(house, keeping, keeping.overdue.p50) : null
}

/** Share sound over the lot's days, with its 8-in-10 band. */
export const keepingCurve = (house: House, lot: LotState) => {
  const keeping = keepingOf(house, lot)
  return house.once(lot, 'curve', [keeping], () =>
    survivalCurve(keeping.model, keeping.nowDay, keeping.belief, keeping.spread).map((p) => ({
      on: keepingDate(house, keeping, p.day),
      p10: p.p10,
      p50: p.p50,
      p90: p.p90,
    })),
  )
}

/** The other places of the house a stored lot could go to, with how it would keep there, best first. */
export const keepsElsewhere = (house: House, lot: LotState) =>
  house.places
    .filter((place) => place.id !== lot.placeId && !['outdoors', 'freezer'].includes(place.kind))
    .map((place) => ({ place, ...keepsUntil(house, lot, place) }))
    .sort((a, b) => (a.nineInTenUntil.p50 < b.nineInTenUntil.p50 ? 1 : -1))

/** How what still hangs would keep, were it taken down now into each place of the house, best first. */
export function keepsIfTakenDown(house: House, lot: LotState) {
  const atMs = Math.max(house.nowMs, lot.history.lastAtMs)
  return house.places
    .filter((place) => !['outdoors', 'freezer'].includes(place.kind))
    .map((place) => {
      const details = { pack: usualPacking(lot.cropData) }
      const events = [...lot.history.events, { atMs, ...draft('finished', { placeId: place.id, details }) }]
      return { place, ...keepsUntil(house, lotState(lot, events, house.almanac, lot.history.origin)) }
    })
    .sort((a, b) => (a.nineInTenUntil.p50 < b.nineInTenUntil.p50 ? 1 : -1))
}

/** Tests of a hanging lot that failed when they were last made, in the crop's words. */
export function testsFailed({ history, cropData }: LotState): string[] {
  const latest = new Map(history.tests.map((t) => [t.test, t.passed]))
  return (cropData.curing?.endTests ?? []).filter(({ id }) => latest.get(id) === false).map(({ failed }) => failed)
}
