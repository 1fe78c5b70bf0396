import { hourMs } from '../air'
import {
  beliefAfterChecks,
  houseTimes,
  learntFrom,
  learntPrior,
  placeTimes,
  timesAsLong,
  toldBy,
  varietyKey,
  varietyTimes,
  type Learnt,
  type Lesson,
} from '../checks'
import type { Spread } from '../chance'
import { dayMs } from '../households'
import { passingFloats } from '../rows'
import { agesOf, exposureOver, lifeModel, usualPrior, type LifePrior } from '../stores'
import type { House } from './house'
import { cullsOf, looksSince } from './looks'
import type { LotState } from './lot'
import { lotAirThen } from './lot-air'
import { packingOf } from './lived'
import { leastToldTimes, spreadPerWeek } from '../assumptions'

/** What lots of a crop that are gone have taught this house, and what it says of the crop's varieties. */
const learntOf = (house: House, crop: string): Learnt =>
  house.once(null, `learnt ${crop}`, [house.lessons, house.almanac], () =>
    learntFrom(
      house.lessons.filter((lesson) => lesson.crop === crop),
      house.almanac.changes.varieties.filter((said) => said.crop === crop),
    ),
  )

/** What is thought of a lot's life before anybody looks at it. What was dried, frozen or jarred is no longer its variety's. */
export function lifePriorOf(house: House, lot: LotState, placeId: string | null): LifePrior {
  const culls = cullsOf(lot)
  if (lot.form !== 'fresh') return { ...usualPrior, culls }
  const learnt = learntOf(house, lot.crop)
  // a house that has learnt nothing thinks what the books do
  if (learnt.mean.length === 1) return { ...usualPrior, culls }
  return { ...learntPrior(learnt, lot.variety, placeId), culls }
}

/** Why a lot's life is thought to be another than the books': so many times as long, by what the house has learnt or says. */
export interface LearntOf {
  times: number
  /** its variety, where that is part of it */
  variety: string | null
  lots: number
  years: number
}

/** What was learnt that a lot's dates stand on; null where it is hardly anything. */
export function learntOfLot(house: House, lot: LotState): LearntOf | null {
  const times = Math.exp(lifePriorOf(house, lot, house.placeOf(lot)?.id ?? null).logMean)
  if (Math.max(times, 1 / times) < leastToldTimes) return null
  const known = lot.variety !== null && learntOf(house, lot.crop).varieties.has(varietyKey(lot.variety))
  const lessons = house.lessons.filter(({ crop }) => crop === lot.crop)
  return { times, variety: known ? lot.variety : null, ...seasonsOf(lessons) }
}

/**
 * What the looks at a lot that is gone taught, over the air it lived through.
 * @returns null where nobody looked, or the looks say nothing
 */
export function lessonOf(house: House, lot: LotState): Lesson | null {
  const { history, cropData } = lot
  if (lot.form !== 'fresh') return null
  const beganMs = history.storedAtMs ?? history.broughtAtMs
  const looks = looksSince(lot, beganMs)
  const last = looks.at(-1)
  if (!last) return null
  const days = Math.ceil(last.day) + 1
  const startMs = Math.floor(beganMs / hourMs) * hourMs
  const placeId = history.stays.findLast(({ atMs }) => atMs <= beganMs + last.day * dayMs)?.placeId ?? null
  const packing = packingOf(lot)
  const { light } = house.around(lot, house.place(placeId), packing)
  const exposure = exposureOver(
    cropData,
    lotAirThen(house, lot, startMs, startMs + days * dayMs),
    undefined,
    passingFloats,
  )
  const model = lifeModel(agesOf(cropData, exposure, packing, { light, gas: 0 }).ages, {
    ...usualPrior,
    culls: cullsOf(lot),
  })
  const told = toldBy(model, beliefAfterChecks(model, looks, last.day, spreadPerWeek[packing]))
  return told
    ? { crop: lot.crop, variety: lot.variety, placeId, year: Number(lot.broughtOn.slice(0, 4)), ...told }
    : null
}

/** One thing the house has learnt about a crop, as times the life the forecast gives it by itself. */
export interface LearntLine {
  of: 'crop' | 'variety' | 'place'
  /** the variety, or the place's id */
  name: string | null
  times: Spread
  lots: number
  years: number
}

/** What a house has learnt about a crop. */
export interface CropLearnt {
  lines: LearntLine[]
  /** of two varieties that differ for all the looks say, the one that outlasts the other */
  outlasts: { longer: string; shorter: string; times: Spread }[]
}

const seasonsOf = (lessons: readonly Lesson[]) => ({
  lots: lessons.length,
  years: new Set(lessons.map(({ year }) => year)).size,
})

/** What looks over the years have taught about a crop here. */
export function cropLearnt(house: House, crop: string): CropLearnt {
  const lessons = house.lessons.filter((lesson) => lesson.crop === crop)
  const learnt = learntOf(house, crop)
  if (lessons.length === 0) return { lines: [], outlasts: [] }
  const names = new Map<string, string>()
  for (const { variety } of lessons) if (variety !== null) names.set(varietyKey(variety), variety)
  const varieties = [...names].map(([key, name]): LearntLine => ({
    of: 'variety',
    name,
    times: varietyTimes(learnt, name),
    ...seasonsOf(lessons.filter(({ variety }) => variety !== null && varietyKey(variety) === key)),
  }))
  const places = [...new Set(lessons.map(({ placeId }) => placeId))].flatMap((placeId): LearntLine[] => {
    const times = placeId === null ? undefined : placeTimes(learnt, placeId)
    const of = lessons.filter((lesson) => lesson.placeId === placeId)
    return times ? [{ of: 'place', name: placeId, times, ...seasonsOf(of) }] : []
  })
  varieties.sort((a, b) => b.times.p50 - a.times.p50)
  return {
    lines: [{ of: 'crop', name: null, times: houseTimes(learnt), ...seasonsOf(lessons) }, ...varieties, ...places],
    outlasts: varieties.flatMap((a, i) =>
      varieties.slice(i + 1).flatMap((b) => {
        const times = timesAsLong(learnt, a.name!, b.name!)
        return times && times.p10 > 1 ? [{ longer: a.name!, shorter: b.name!, times }] : []
      }),
    ),
  }
}
