import type { Crop } from '../almanac'
import type { Stand } from '../beds'
import { addDays, clockTimeOf, daysBetween, type CivilDate } from '../households'
import { conditioningDays } from '../line'
import { jarDay } from '../lots'
import { listing, term, told, type Listing } from '../message'
import {
  dryerJobs,
  dryingJobs,
  jarJob,
  mindJob,
  overdueJob,
  sealJob,
  storedJobs,
  tasteJob,
  useUpJob,
  type Job,
} from '../round'
import { bedJobs, plantingJobs } from './beds'
import { curingOfLot, dryerOf } from './curing'
import type { House } from './house'
import { keepingOf, overdueSince } from './keeping'
import type { LotState } from './lot'
import type { PlaceState } from './place'
import { workable } from './trouble'
import { useWithin } from './use-within'
import { quietDays, sealDays } from '../assumptions'

/** A job with the lot or the place it is done on. */
export interface PlannedJob extends Job {
  lot: LotState | null
  place: PlaceState | undefined
  /** what stands in the bed it is done at */
  stand: Stand | null
}

/** The jobs a household's lots and places ask for now, in the order they fall due. */
export const planOf = (house: House): PlannedJob[] => house.shown('plan', [], () => planned(house))

function planned(house: House): PlannedJob[] {
  const jobs = [
    ...workable(house).flatMap((lot) =>
      // a load's hours run by the minute
      lot.stage === 'dryer' ? jobsAt(house, lot) : house.seenOf(lot, 'jobs', () => jobsAt(house, lot)),
    ),
    ...house.places.flatMap((place) =>
      placeJobs(house, place).map((job): PlannedJob => ({ ...job, lot: null, place, stand: null })),
    ),
  ]
  const garden = house.places.find((place) => place.kind === 'outdoors') ?? house.places[0]
  for (const stand of house.stands) {
    for (const job of bedJobs(house, stand)) jobs.push({ ...job, lot: null, place: garden, stand })
  }
  return jobs.sort((a, b) => (a.dueOn < b.dueOn ? -1 : a.dueOn > b.dueOn ? 1 : 0))
}

const jobsAt = (house: House, lot: LotState): PlannedJob[] =>
  [...lotJobs(house, lot), ...minded(lot)].map((job) => ({ ...job, lot, place: house.place(lot.placeId), stand: null }))

/** What a crop's end tests feel. */
export const feelsOf = (crop: Crop): Listing =>
  listing((crop.curing?.endTests ?? []).map((t) => term(t.label.toLowerCase())))

function lotJobs(house: House, lot: LotState): Job[] {
  if (lot.stage === 'drying') {
    const { state } = curingOfLot(house, lot)
    return house.once(lot, 'jobs', [state, house.today], () => lineJobs(house, lot))
  }
  if (lot.stage === 'dryer') return loadJobs(house, lot)
  if (lot.stage === 'conditioning') {
    const { jar } = lot.history
    const last = jar?.looks.at(-1)
    const due = last ? addDays(house.dateOf(last.atMs), 1) : house.dateOf(jar?.atMs ?? house.nowMs)
    return [jarJob(jarDay(lot.history, house.nowMs), conditioningDays.least, due)]
  }
  if (lot.stage === 'fresh') {
    const soon = useWithin(house, lot)
    const { aside } = lot.history
    return soon ? [useUpJob(addDays(house.today, -soon.age), soon.days, house.today, aside?.why)] : []
  }
  const kitchen = madeJobs(house, lot)
  const keeping = keepingOf(house, lot)
  return house.once(lot, 'jobs', [lot, keeping, house.today], () => {
    const { storedAtMs, checks } = lot.history
    const checked = checks.filter((check) => check.atMs >= storedAtMs!)
    const since = overdueSince(house, lot)
    const planting = plantingJobs(house, lot)
    if (since) {
      return [
        overdueJob(since, checked.length > 0 ? house.dateOf(checked.at(-1)!.atMs) : null, house.today),
        ...planting,
        ...kitchen,
      ]
    }
    const jobs = storedJobs(
      {
        storedOn: house.dateOf(storedAtMs!),
        lastCheckedOn: checked.length > 0 ? house.dateOf(checked.at(-1)!.atMs) : null,
        checkInDays: keeping.nextCheckInDays,
        lookAt: keeping.lookAt,
        goThroughAll: keeping.goThroughAll,
        pieces: lot.pieces,
      },
      house.today,
    )
    return [...jobs, ...planting, ...kitchen]
  })
}

const minded = ({ history: { note } }: LotState): Job[] => (note?.mindOn ? [mindJob(note.mindOn, note.text)] : [])

/** What jars and crocks ask for in their first days. */
function madeJobs(house: House, lot: LotState): Job[] {
  const { made, checks, note } = lot.history
  if (!made) return []
  const on = house.dateOf(made.atMs)
  if (made.form === 'jarred' && checks.length === 0 && daysBetween(on, house.today) <= sealDays) {
    return [sealJob(on, lot.pieces)]
  }
  if (made.form === 'brined' && made.tasteAfterDays && house.placeOf(lot)?.kind !== 'fridge') {
    const tasted = note && note.atMs > made.atMs ? house.dateOf(note.atMs) : null
    return [tasteJob(on, made.tasteAfterDays, tasted, house.today)]
  }
  return []
}

function lineJobs(house: House, lot: LotState): Job[] {
  const { history, cropData } = lot
  const { state } = curingOfLot(house, lot)
  const dateOrNull = (ms: number) => (Number.isFinite(ms) ? house.dateOf(ms) : null)
  const latest = new Map(history.tests.map((t) => [t.test, t.passed]))
  const last = <T extends { atMs: number }>(of: T[]) => (of.length > 0 ? house.dateOf(of.at(-1)!.atMs) : null)
  return dryingJobs(
    {
      hungOn: house.dateOf(history.hungAtMs!),
      lastWeighedOn: last(history.weighings),
      lastTestedOn: last(history.tests),
      ready: { p10: dateOrNull(state.readyAtMs.p10), p50: dateOrNull(state.readyAtMs.p50) },
      readyNow: state.readyNow,
      testsPassed: (cropData.curing?.endTests ?? []).every((t) => latest.get(t.id) === true),
      stalledForHours: state.stalledForHours,
      feels: feelsOf(cropData),
      heals: cropData.curing?.clock === 'healing',
      turns: turnsOf(house, lot),
    },
    house.today,
  )
}

/** What hangs is not turned, what lies is. */
function turnsOf(house: House, { history, cropData }: LotState) {
  const everyDays = cropData.curing?.turnEveryDays?.value
  if (!everyDays || !['rack', 'sheet', 'box'].includes(history.hungIn ?? '')) return null
  return { everyDays, lastOn: house.dateOf(history.turnedAtMs ?? history.hungAtMs!) }
}

function loadJobs(house: House, lot: LotState): Job[] {
  const { rotateAtMs, doneAtMs, targetG } = dryerOf(house, lot)
  const at = (ms: number) => clockTimeOf(ms, house.household.timeZone)
  return dryerJobs({
    rotateOn: house.dateOf(rotateAtMs),
    rotateAt: at(rotateAtMs),
    rotated: lot.history.loads.at(-1)!.rotatedAtMs !== null,
    doneOn: house.dateOf(doneAtMs.p50),
    doneBetween: [at(doneAtMs.p10), at(doneAtMs.p90)],
    targetG: Math.round(targetG),
  })
}

/** A place that holds something and has not been read for days asks for a reading. */
function placeJobs(house: House, place: PlaceState): Job[] {
  if (place.kind === 'outdoors' || !house.lots.some((lot) => lot.placeId === place.id)) return []
  if (place.measuredAtMs === null) {
    return [{ kind: 'read', dueOn: house.today, why: told('round.neverMeasured') }]
  }
  const on = house.dateOf(place.measuredAtMs)
  const quiet = daysBetween(on, house.today)
  return quiet < quietDays
    ? []
    : [{ kind: 'read', dueOn: addDays(on, quietDays), why: told('round.noReading', { days: quiet }) }]
}

/** How many jobs fall due on each day from tomorrow on. */
export function jobsByDay(jobs: readonly PlannedJob[], today: CivilDate): { on: CivilDate; count: number }[] {
  const later = new Map<CivilDate, number>()
  for (const job of jobs) if (job.dueOn > today) later.set(job.dueOn, (later.get(job.dueOn) ?? 0) + 1)
  return [...later].sort(([a], [b]) => (a < b ? -1 : 1)).map(([on, count]) => ({ on, count }))
}
