import type { Crop } from '@vadose/core/almanac'
import { addDays, daysBetween } from '@vadose/core/households'
import { dryerJobs, dryingJobs, jarJob, storedJobs, useUpJob, type Job } from '@vadose/core/round'
import { asHousehold, inTransaction, type Pool } from '../database'
import {
  clockTimeOf,
  householdById,
  lockHousehold,
  markPlanned,
  type HouseholdState,
  type LotState,
  type PlaceState,
} from '../households'
import { dryerView, jarView } from '../lots'
import { dropJobs, openJobs, upsertJob } from './queries'

interface PlannedJob extends Job {
  lotId: string | null
  placeId: string | null
}

/** The jobs a household's lots and places ask for now. */
export function planHousehold(state: HouseholdState): PlannedJob[] {
  return [
    ...state.lots.flatMap((lot) => lotJobs(state, lot).map((job) => ({ ...job, lotId: lot.id, placeId: null }))),
    ...state.places.flatMap((place) =>
      placeJobs(state, place).map((job) => ({ ...job, lotId: null, placeId: place.id })),
    ),
  ]
}

/** What a crop's end tests feel, in words. */
export const feelsOf = (crop: Crop): string =>
  (crop.curing?.endTests ?? []).map((t) => t.label.toLowerCase()).join(', ')

function lotJobs(state: HouseholdState, lot: LotState): Job[] {
  const { history, cropData } = lot
  const dateOrNull = (ms: number) => (Number.isFinite(ms) ? state.dateOf(ms) : null)
  if (lot.stage === 'drying') {
    const { state: curing } = state.curing(lot)
    const latest = new Map(history.tests.map((t) => [t.test, t.passed]))
    const last = <T extends { atMs: number }>(of: T[]) => (of.length > 0 ? state.dateOf(of.at(-1)!.atMs) : null)
    return dryingJobs(
      {
        hungOn: state.dateOf(history.hungAtMs!),
        lastWeighedOn: last(history.weighings),
        lastTestedOn: last(history.tests),
        ready: { p10: dateOrNull(curing.readyAtMs.p10), p50: dateOrNull(curing.readyAtMs.p50) },
        readyNow: curing.readyNow,
        testsPassed: (cropData.curing?.endTests ?? []).every((t) => latest.get(t.id) === true),
        stalledForHours: curing.stalledForHours,
        feels: feelsOf(cropData),
        heals: cropData.curing?.clock === 'healing',
        turns: turnsOf(state, lot),
      },
      state.today,
    )
  }
  if (lot.stage === 'dryer') {
    const { rotateAt, rotated, doneAt, targetG } = dryerView(state, lot)
    const at = (iso: string) => clockTimeOf(Date.parse(iso), state.household.timeZone)
    const on = (iso: string) => state.dateOf(Date.parse(iso))
    return dryerJobs(
      {
        rotateOn: on(rotateAt),
        rotateAt: at(rotateAt),
        rotated,
        doneOn: on(doneAt.p50),
        doneBetween: `between ${at(doneAt.p10)} and ${at(doneAt.p90)}`,
        target: `${targetG.toLocaleString('en-GB')} g`,
      },
      state.today,
    )
  }
  if (lot.stage === 'conditioning') {
    const { day, of, shakenToday } = jarView(state, lot)
    return [jarJob(day, of, shakenToday, state.today)]
  }
  const heap = cropData.heaps.find((h) => h.id === lot.heap)
  if (lot.stage === 'fresh') {
    return heap?.useWithinDays ? [useUpJob(lot.broughtOn, heap.useWithinDays.value, state.today)] : []
  }
  const keeping = state.keeping(lot)
  const checked = history.checks.filter((check) => check.atMs >= history.storedAtMs!)
  return storedJobs(
    {
      storedOn: state.dateOf(history.storedAtMs!),
      lastCheckedOn: checked.length > 0 ? state.dateOf(checked.at(-1)!.atMs) : null,
      checkInDays: keeping.nextCheckInDays,
      lookAt: keeping.lookAt,
      pieces: lot.pieces,
    },
    state.today,
  )
}

/** What hangs is not turned, what lies is. */
function turnsOf(state: HouseholdState, { history, cropData }: LotState) {
  const everyDays = cropData.curing?.turnEveryDays?.value
  if (!everyDays || !['rack', 'sheet', 'box'].includes(history.hungIn ?? '')) return null
  return { everyDays, lastOn: state.dateOf(history.turnedAtMs ?? history.hungAtMs!) }
}

const quietDays = 3

/** A place that holds something and has not been read for days asks for a reading. */
function placeJobs(state: HouseholdState, place: PlaceState): Job[] {
  if (place.kind === 'outdoors' || !state.lots.some((lot) => lot.placeId === place.id)) return []
  if (place.measuredAtMs === null) {
    return [
      { kind: 'read', dueOn: state.today, why: 'Never measured: forecasts here go by what such places usually have.' },
    ]
  }
  const on = state.dateOf(place.measuredAtMs)
  const quiet = daysBetween(on, state.today)
  return quiet < quietDays
    ? []
    : [{ kind: 'read', dueOn: addDays(on, quietDays), why: `No reading for ${quiet} days.` }]
}

/** Brings the open jobs in line with the plan, once a change of the household and once a day. */
export async function syncJobs(pool: Pool, state: HouseholdState): Promise<void> {
  const { household } = state
  const stands = await asHousehold(pool, household.id, (db) => householdById(db, household.id))
  if (stands?.plannedRevision === household.revision && stands.plannedOn === state.today) return
  const planned = planHousehold(state)
  await inTransaction(pool, household.id, async (db) => {
    await lockHousehold(db, household.id)
    const open = await openJobs(db, household.id)
    const key = (job: { lotId: string | null; placeId: string | null; kind: string }) =>
      `${job.lotId ?? job.placeId} ${job.kind}`
    const wanted = new Map(planned.map((job) => [key(job), job]))
    const gone = open.filter((job) => !wanted.has(key(job))).map((job) => job.id)
    if (gone.length > 0) await dropJobs(db, household.id, gone, state.today)
    const there = new Map(open.map((job) => [key(job), job]))
    for (const [k, job] of wanted) {
      const now = there.get(k)
      if (!now || now.dueOn !== job.dueOn || now.why !== job.why) await upsertJob(db, household.id, job)
    }
    await markPlanned(db, household.id, household.revision, state.today)
  })
}
