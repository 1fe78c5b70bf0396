import { spreadPerWeek } from '../assumptions'
import type { Crop } from '../almanac'
import type { Spread } from '../chance'
import { aged, beliefAfterChecks, type Check } from '../checks'
import { dayMs } from '../households'
import {
  agesOf,
  exposureOver,
  keepingForecast,
  lifeModel,
  nineInTenFrom,
  paceSlopePerC,
  sameUntil,
  type KeepingForecast,
  type LifeModel,
  type LotBelief,
} from '../stores'
import { passingFloats } from '../rows'
import { meanAhead, spreadAheadC } from './air-ahead'
import type { House } from './house'
import { lifePriorOf } from './learnt'
import { lifeStartMs, lived, packingOf } from './lived'
import { looksSince } from './looks'
import type { LotState } from './lot'
import { lotAir } from './lot-air'
import { horizonDays, type PlaceState } from './place'

/** A lot's life in its air, and the looks at it. */
export interface LotCourse {
  startMs: number
  /** day of its life the forecast is made on: this morning, or when it was last moved or looked over if that is later */
  nowDay: number
  model: LifeModel
  lossPct: Float64Array
  /** new bad ones a week for each bad one lying there */
  spread: number
  checks: Check[]
}

/** What was believed of it after the last look, and on which day that was. */
interface LotTaught {
  course: LotCourse
  lastDay: number
  beliefThen: LotBelief
}

interface LotBelieved extends LotTaught {
  belief: LotBelief
}

/** What is believed of a lot's life, however much of it is left. */
export interface LotLife extends LotCourse, Omit<LotTaught, 'course'> {
  belief: LotBelief
  forecast: KeepingForecast
  /** when nine in ten were said to be sound to after the last look */
  said: Spread
}

/** What not knowing a place's air to come does to the pace of life there. */
const airLogSd = (house: House, crop: Crop, place: PlaceState | undefined): number =>
  place ? spreadAheadC(house, place) * paceSlopePerC(crop, meanAhead(house, place).temperatureC) : 0

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
export function courseOf(house: House, lot: LotState, elsewhere?: PlaceState): LotCourse {
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
      const exposure = exposureOver(
        cropData,
        lotAir(house, lot, settledMs, horizonDays * 24, place),
        before,
        passingFloats,
      )
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
export function taughtOf(house: House, lot: LotState, elsewhere?: PlaceState): LotTaught {
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

/** What is believed of it today. */
export function believedOf(house: House, lot: LotState, elsewhere?: PlaceState): LotBelieved {
  const taught = taughtOf(house, lot, elsewhere)
  return house.once<LotBelieved>(lot, `believed ${elsewhere?.id ?? ''}`, [taught], () => {
    const { course, lastDay, beliefThen } = taught
    const { model, nowDay, spread } = course
    return { ...taught, belief: aged(model, beliefThen, lastDay, nowDay, spread) }
  })
}

/** What that leads to. */
export function lifeOf(house: House, lot: LotState, elsewhere?: PlaceState): LotLife {
  const believed = believedOf(house, lot, elsewhere)
  return house.once<LotLife>(lot, `life ${elsewhere?.id ?? ''}`, [believed], () => {
    const { course, lastDay, beliefThen, belief } = believed
    const { model, nowDay, lossPct, spread } = course
    const airSd = airLogSd(house, lot.cropData, elsewhere ?? house.placeOf(lot))
    const forecast = keepingForecast(model, lossPct, nowDay, belief, spread, airSd)
    const said = lastDay === nowDay ? forecast.nineInTenDay : nineInTenFrom(model, lastDay, beliefThen, spread, airSd)
    return { ...course, lastDay, beliefThen, belief, forecast, said }
  })
}
