import type { Spread } from '../chance'
import { mapSpread } from '../chance'
import type { Crop } from '../almanac'
import { aged, asksForAll, beliefAfterChecks, checkSize, nextLookInDays, type Check } from '../checks'
import { draft } from '../lots'
import { dayMs, type CivilDate } from '../households'
import { dayOf } from '../places'
import {
  agesOf,
  exposureOver,
  keepingForecast,
  lifeModel,
  nineInTenFrom,
  sameUntil,
  paceSlopePerC,
  spreadPerWeek,
  survivalCurve,
  usualPacking,
  type End,
  type KeepingForecast,
  type LifeModel,
  type LotBelief,
} from '../stores'
import type { House } from './house'
import { lotState, type LotState } from './lot'
import { lifeStartMs, lived, livingYears, packingOf } from './lived'
import { lifePriorOf } from './learnt'
import { looksSince } from './looks'
import { lotAir } from './lot-air'
import { horizonDays, type PlaceState } from './place'

export interface LotKeeping {
  startMs: number
  /** day of its life the forecast is made on: this morning, or when it was last moved or looked over if that is later */
  nowDay: number
  model: LifeModel
  lossPct: Float64Array
  belief: LotBelief
  /** new bad ones a week for each bad one lying there */
  spread: number
  forecast: KeepingForecast
  nextCheckInDays: number
  lookAt: number
  /** the last look found so many bad that all of it wants looking at */
  goThroughAll: boolean
  /** its time is over, and nobody has looked since: when it was, as it was said after the last look */
  overdue: Spread | undefined
}

/** What not knowing a place's air to come does to the pace of life there. */
const airLogSd = (house: House, crop: Crop, place: PlaceState | undefined): number =>
  place ? spreadAheadC(house, place) * paceSlopePerC(crop, meanAhead(house, place).temperatureC) : 0

/** whoever looked knows what lies there for so long, whatever the forecast thought of it, days. Judgement. */
const knownForDays = 7
/** A look found it past its time already: it is asked about again when the next look has not come. */
function lookedTooLate(lastDay: number, nextCheckInDays: number): Spread {
  const day = lastDay + Math.max(knownForDays, nextCheckInDays)
  return { p10: day, p50: day, p90: day }
}

/** what is counted in millions is looked over like a million */
const mostPieces = 1_000_000

/** In closed jars, bags and packets: nothing shows from outside, runs from one to the other, or is gone through week by week. */
const isClosed = ({ form, grown }: LotState): boolean =>
  ['jarred', 'frozen', 'cooked'].includes(form) || grown.group === 'goods'

/** A lot's life in its air, and the looks at it. */
type LotCourse = Pick<LotKeeping, 'startMs' | 'nowDay' | 'model' | 'lossPct' | 'spread'> & { checks: Check[] }

/** What was believed of it after the last look, and on which day that was. */
interface LotTaught {
  course: LotCourse
  lastDay: number
  beliefThen: LotBelief
}

/** What is believed of a lot's life, however much of it is left. */
type LotLife = LotCourse &
  Omit<LotTaught, 'course'> &
  Pick<LotKeeping, 'belief' | 'forecast'> & {
    /** when nine in ten were said to be sound to after the last look */
    said: Spread
  }

/** What a lot's life is told by, as one text. */
const lifeTold = new WeakMap<LotState, string>()
function toldOf(lot: LotState, beganMs: number): string {
  let told = lifeTold.get(lot)
  if (told === undefined) {
    const { stays, checks } = lot.history
    lifeTold.set(lot, (told = JSON.stringify([beganMs, stays, packingOf(lot), checks, lot.heap, lot.variety])))
  }
  return told
}

const sameLooks = (was: LotCourse, checks: readonly Check[], spread: number): boolean =>
  was.spread === spread && JSON.stringify(was.checks) === JSON.stringify(checks)

/** The course of a lot's life where it is, or in another place. What is eaten, weighed or noted changes nothing of it. */
function courseOf(house: House, lot: LotState, elsewhere?: PlaceState): LotCourse {
  const { history, cropData } = lot
  const place = elsewhere ?? house.placeOf(lot)
  const packing = packingOf(lot)
  const around = house.around(lot, elsewhere ?? house.place(lot.placeId), packing)
  const beganMs = history.storedAtMs ?? history.broughtAtMs
  return house.once<LotCourse>(
    lot,
    `course ${elsewhere?.id ?? ''}`,
    [
      toldOf(lot, beganMs),
      cropData,
      // what the household says of a variety is no number of the crop
      house.almanac,
      place?.ahead,
      house.epochs,
      house.today,
      house.lessons,
      elsewhere && house.comingHourMs,
      around.gas,
      around.light,
    ],
    () => {
      const startMs = lifeStartMs(lot)
      const before = lived(house, lot, startMs)
      const settledMs = startMs + before.days * dayMs
      const exposure = exposureOver(cropData, lotAir(house, lot, settledMs, horizonDays * 24, place), before)
      const { ages, lossPct } = agesOf(cropData, exposure, packing, around)
      const model = lifeModel(ages, lifePriorOf(house, lot, place?.id ?? null))
      // to be carried elsewhere is to be carried there now: the forecast is the one the move itself will make
      const asOfMs = Math.max(elsewhere ? house.nowMs : house.dayStartMs, history.stays.at(-1)?.atMs ?? beganMs)
      const checks = looksSince(lot, beganMs)
      const nowDay = Math.max(0, checks.at(-1)?.day ?? 0, (asOfMs - beganMs) / dayMs)
      return { startMs: beganMs, nowDay, model, lossPct, checks, spread: spreadPerWeek[packing] }
    },
  )
}

/** What looks taught of a lot, on the day of the last. */
function taughtOf(house: House, lot: LotState, elsewhere?: PlaceState): LotTaught {
  const course = courseOf(house, lot, elsewhere)
  return house.once<LotTaught>(lot, `taught ${elsewhere?.id ?? ''}`, [course], (was) => {
    const { model, checks, spread } = course
    const lastDay = checks.at(-1)?.day ?? 0
    // what looks taught stands, where they were made in the same air: the air to come says nothing of them
    const stands =
      was && sameLooks(was.course, checks, spread) && sameUntil(was.course.model, model, Math.max(1, lastDay))
    const beliefThen = stands ? was.beliefThen : beliefAfterChecks(model, checks, lastDay, spread)
    return { course, lastDay, beliefThen }
  })
}

function lifeOf(house: House, lot: LotState, elsewhere?: PlaceState): LotLife {
  const taught = taughtOf(house, lot, elsewhere)
  return house.once<LotLife>(lot, `life ${elsewhere?.id ?? ''}`, [taught], () => {
    const { course, lastDay, beliefThen } = taught
    const { model, nowDay, lossPct, spread } = course
    const belief = aged(model, beliefThen, lastDay, nowDay, spread)
    const airSd = airLogSd(house, lot.cropData, elsewhere ?? house.placeOf(lot))
    const forecast = keepingForecast(model, lossPct, nowDay, belief, spread, airSd)
    const said = lastDay === nowDay ? forecast.nineInTenDay : nineInTenFrom(model, lastDay, beliefThen, spread, airSd)
    return { ...course, lastDay, beliefThen, belief, forecast, said }
  })
}

/** Works out how a lot keeps piece by piece, for whoever must not be kept long. */
export function* keepingInPieces(house: House, lot: LotState): Generator<void> {
  yield* livingYears(house, lot)
  courseOf(house, lot)
  yield
  taughtOf(house, lot)
  yield
  keepingOf(house, lot)
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
    const nextCheckInDays = goThroughAll
      ? 0
      : isClosed(lot)
        ? Math.max(knownForDays, Math.floor(said.p50 - lastDay))
        : nextLookInDays(model, beliefThen, lastDay, checks.length, pieces, spread, house.almanac.habits)
    const overdue = checks.length > 0 && said.p50 <= lastDay ? lookedTooLate(lastDay, nextCheckInDays) : said
    // a second of rounding is not a day to come
    const passed = !elsewhere && Math.max(forecast.nineInTenDay.p50, overdue.p50) <= nowDay + 1e-5
    return {
      ...kept,
      overdue: passed ? overdue : undefined,
      nextCheckInDays,
      // nine in ten sure of catching a fault that one in ten has
      lookAt: goThroughAll ? pieces : checkSize(Math.min(mostPieces, pieces), 0.1, 0.9),
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
    const { endedBy, halfDay, nineInTenDay } = keeping.forecast
    const day = level === 'half' ? halfDay : (keeping.overdue ?? nineInTenDay)
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

/** How far a place's air over the coming months may be off the expected, °C standard deviation: by its fit. */
export const spreadAheadC = (house: House, { id, fit }: PlaceState, days = 120): number =>
  house.once(null, `spread ahead ${id}`, [fit, house.today], () => {
    const from = Math.max(0, dayOf(house.nowMs) - fit.firstDay)
    const ahead = fit.sdC.subarray(from, from + days)
    return ahead.reduce((sum, sd) => sum + sd, 0) / Math.max(1, ahead.length)
  })

/** Mean air of a place over the coming weeks, for saying why. */
export function meanAhead(house: House, place: PlaceState, days = 60) {
  return house.once(null, `mean ahead ${place.id} ${days}`, [place.ahead], () => {
    const hours = Math.min(place.ahead.hours, days * 24)
    let temperatureC = 0
    let relativeHumidityPct = 0
    for (let i = 0; i < hours; i++) {
      temperatureC += place.ahead.temperatureC[i]! / hours
      relativeHumidityPct += place.ahead.relativeHumidityPct[i]! / hours
    }
    return { temperatureC, relativeHumidityPct }
  })
}
