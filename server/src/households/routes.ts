import { randomUUID } from 'node:crypto'
import { settingsSchema, type Settings } from '@vadose/contract/almanac'
import {
  moveClockSchema,
  newHouseholdSchema,
  type Frame,
  type HouseholdSummary,
  type MoveClock,
  type NewHousehold,
} from '@vadose/contract/households'
import { addDays, dayMs, daysBetween, seasonYearOf } from '@vadose/core/households'
import { meanSoundShare } from '@vadose/core/stores'
import { useWithinShare } from '@vadose/core/larder'
import type { PlaceKind } from '@vadose/core/places'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import { asHousehold, inTransaction, type Client, type Pool } from '../database'
import { checker } from '../http'
import { addPlace } from '../places'
import { openJobs, syncJobs } from '../round'
import { senseUntil } from './clock'
import { chooseHousehold, currentHousehold, currentState } from './current'
import {
  addHousehold,
  allHouseholds,
  householdById,
  lockHousehold,
  setAuthority,
  setPracticeNow,
  setUnits,
  stockByDay,
} from './queries'
import { stateOf, type HouseholdState, type LotState } from './state'
import { instantOf, isTimeZone, morningAfter } from './time'

const checkNew = checker<NewHousehold>(newHouseholdSchema)
const checkSettings = checker<Settings>(settingsSchema)
const checkMove = checker<MoveClock>(moveClockSchema)

/** What nearly every house has; the household adds its own. */
const starterPlaces: [string, PlaceKind][] = [
  ['Garden', 'outdoors'],
  ['Veranda', 'veranda'],
  ['Kitchen', 'room'],
  ['North room', 'cool-room'],
  ['Cellar', 'cellar'],
]

export function householdRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/households', async (request, response) => {
    const current = await currentHousehold(pool, request).catch(() => undefined)
    const all = await allHouseholds(pool)
    response.json(
      all.map((h): HouseholdSummary => ({
        id: h.id,
        name: h.name,
        clock: h.practiceNow ? 'practice' : 'real',
        current: h.id === current?.id,
      })),
    )
  })

  router.post('/households', async (request, response) => {
    const wanted = checkNew(request.body)
    const timeZone = wanted.timeZone ?? 'UTC'
    if (!isTimeZone(timeZone)) throw new Refusal('invalid', `${timeZone} is not a known time zone.`, 'timeZone')
    if ((wanted.clock === 'practice') !== (wanted.startsOn !== undefined)) {
      throw new Refusal(
        'invalid',
        'A practice clock needs the day it starts on; the real clock takes none.',
        'startsOn',
      )
    }
    const latitudeDeg = wanted.latitudeDeg ?? 47
    const household = {
      id: randomUUID(),
      name: wanted.name.trim(),
      timeZone,
      latitudeDeg,
      altitudeM: wanted.altitudeM ?? 200,
      // the year begins when the garden does
      seasonStart: latitudeDeg >= 0 ? '05-01' : '11-01',
      demo: false,
      practiceNow: wanted.startsOn ? new Date(instantOf(wanted.startsOn, 8, timeZone)) : null,
    }
    await inTransaction(pool, household.id, async (db) => {
      await addHousehold(db, household)
      for (const [name, kind] of starterPlaces) {
        await addPlace(db, household.id, name, kind, household.practiceNow !== null)
      }
      if (household.practiceNow) {
        const now = household.practiceNow.getTime()
        await senseUntil(db, household, now - 14 * dayMs, now)
      }
    })
    chooseHousehold(response, household.id)
    response
      .status(201)
      .json({ id: household.id, name: household.name, clock: wanted.clock, current: true } satisfies HouseholdSummary)
  })

  router.post('/households/:id/enter', async (request, response) => {
    const household = /^[0-9a-f-]{36}$/.test(request.params.id)
      ? await householdById(pool, request.params.id)
      : undefined
    if (!household) throw new Refusal('not-found', 'There is no such household here.')
    chooseHousehold(response, household.id)
    response.json({ id: household.id })
  })

  router.get('/frame', async (request, response) => {
    const state = await currentState(pool, request)
    await syncJobs(pool, state)
    response.json(await asHousehold(pool, state.household.id, (db) => frameOf(db, state)))
  })

  router.put('/settings', async (request, response) => {
    const settings = checkSettings(request.body)
    const id = (await currentHousehold(pool, request)).id
    await inTransaction(pool, id, async (db) => {
      if (settings.units) await setUnits(db, id, settings.units)
      if (settings.authorityUrl !== undefined || settings.authorityName !== undefined) {
        const url = settings.authorityUrl?.trim() ?? ''
        if (url !== '' && !/^https?:\/\/[^\s/]+\.[^\s]+$/.test(url)) {
          throw new Refusal('invalid', 'The address begins with https:// and names a site.', 'authorityUrl')
        }
        await setAuthority(db, id, settings.authorityName?.trim() || null, url || null)
      }
    })
    const state = await stateOf(pool, id)
    response.json(await asHousehold(pool, id, (db) => frameOf(db, state)))
  })

  router.post('/clock', async (request, response) => {
    const { to } = checkMove(request.body)
    const household = await currentHousehold(pool, request)
    if (!household.practiceNow) {
      throw new Refusal('invalid', 'This household lives by the real clock; only a practice clock can be moved.')
    }
    await inTransaction(pool, household.id, async (db) => {
      const nowMs = (await lockHousehold(db, household.id))!.practiceNow!.getTime()
      const next = morningAfter(nowMs, to === 'next-week' ? 7 : 1, household.timeZone)
      await senseUntil(db, household, nowMs + 1, next)
      await setPracticeNow(db, household.id, new Date(next))
    })
    const state = await stateOf(pool, household.id)
    await syncJobs(pool, state)
    response.json(await asHousehold(pool, household.id, (db) => frameOf(db, state)))
  })

  return router
}

/** The year as a strip: what was in the house day by day, what is likely to be, and the days with jobs. */
async function frameOf(db: Client, state: HouseholdState): Promise<Frame> {
  const { household, today, nowMs } = state
  const { startsOn, endsOn, days } = seasonYearOf(today, household.seasonStart)
  const changes = await stockByDay(db, household.id, household.timeZone, startsOn)
  const byDay = new Map(changes.map((c) => [c.on === null ? -1 : daysBetween(startsOn, c.on), c.weightG]))
  const todayDay = daysBetween(startsOn, today)
  const stock: Frame['year']['stock'] = []
  let weightG = byDay.get(-1) ?? 0
  for (let day = 0; day <= todayDay; day++) {
    weightG += byDay.get(day) ?? 0
    stock.push({ day, weightG, forecast: false })
  }
  for (let day = todayDay + 7; day <= days; day += 7) {
    const ahead = day - todayDay
    const left = state.lots.reduce((sum, lot) => sum + lot.weightG * shareLeft(state, lot, ahead), 0)
    stock.push({ day, weightG: Math.round(left), forecast: true })
  }
  const jobs = await openJobs(db, household.id)
  const jobDays = [...new Set(jobs.map((job) => Math.max(todayDay, daysBetween(startsOn, job.dueOn))))]
    .filter((day) => day < days)
    .sort((a, b) => a - b)
  return {
    household: {
      id: household.id,
      name: household.name,
      clock: household.practiceNow ? 'practice' : 'real',
      demo: household.demo,
      timeZone: household.timeZone,
      units: household.units,
      altitudeM: household.altitudeM,
      authority: household.authorityUrl
        ? { name: household.authorityName ?? household.authorityUrl, url: household.authorityUrl }
        : null,
    },
    now: new Date(nowMs).toISOString(),
    today,
    year: { startsOn, endsOn: addDays(endsOn, 0), stock, jobDays },
  }
}

/** Share of a lot likely to be sound so many days on, if nobody eats it. */
function shareLeft(state: HouseholdState, lot: LotState, daysAhead: number): number {
  const heap = lot.cropData.heaps.find((h) => h.id === lot.heap)
  if (lot.stage === 'fresh' && heap?.useWithinDays) {
    const age = daysBetween(lot.broughtOn, state.today)
    return useWithinShare(age + daysAhead, heap.useWithinDays.value)
  }
  if (lot.stage === 'dryer' || lot.stage === 'conditioning') return lot.stage === 'dryer' ? 0.25 : 1
  if (lot.stage === 'drying') return lot.cropData.curing?.finalWeightRatio.value ?? 1
  const keeping = state.keeping(lot)
  const now = meanSoundShare(keeping.model, keeping.belief.weights, keeping.nowDay)
  return now > 0 ? meanSoundShare(keeping.model, keeping.belief.weights, keeping.nowDay + daysAhead) / now : 0
}
