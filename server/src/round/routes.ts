import type { RoundView } from '@vadose/contract/round'
import { dayMs, isCivilDate } from '@vadose/core/households'
import { Refusal } from '@vadose/core/refusal'
import { placeVerdict, weatherSays, type LotInPlace } from '@vadose/core/round'
import { Router } from 'express'
import { asHousehold, type Pool } from '../database'
import { currentState, movedSince, type HouseholdState, type PlaceState } from '../households'
import { larderLots } from '../larder'
import { curingView, keepsUntil } from '../lots'
import { placeView, weatherOf } from '../places'
import { jobView } from './job-view'
import { openJobs, type OpenJob } from './queries'
import { syncJobs } from './sync'

function verdictOn(state: HouseholdState, place: PlaceState) {
  return placeVerdict(
    state.lots
      .filter((lot) => lot.placeId === place.id)
      .map((lot): LotInPlace => {
        if (lot.stage === 'stored') return { code: lot.code, endedBy: keepsUntil(state, lot).endedBy }
        if (lot.stage !== 'drying') return { code: lot.code }
        const { stalledForHours, ready } = curingView(state, lot)
        const heals = lot.cropData.curing?.clock === 'healing'
        return { code: lot.code, drying: { stalledForHours, neverReady: ready.p50 === null, heals } }
      }),
  )
}

/** The day asked for; today where none is, or one that is over. @throws Refusal `invalid` */
function dayAsked(on: unknown, today: string): string {
  if (on === undefined) return today
  if (typeof on !== 'string' || !isCivilDate(on)) throw new Refusal('invalid', 'on is a day: 2026-10-02.', 'on')
  return on > today ? on : today
}

export function roundRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/round', async (request, response) => {
    const state = await currentState(pool, request)
    await syncJobs(pool, state)
    const { household, today, nowMs } = state
    const wanted = dayAsked(request.query['on'], today)
    const { jobs, week } = await asHousehold(pool, household.id, async (db) => ({
      jobs: await openJobs(db, household.id),
      week: await movedSince(db, household.id, new Date(nowMs - 7 * dayMs)),
    }))
    const due = jobs.filter((job) => (wanted === today ? job.dueOn <= today : job.dueOn === wanted))
    const placeOf = (job: OpenJob) => job.placeId ?? state.lots.find((lot) => lot.id === job.lotId)?.placeId
    const weather = weatherOf(state, 2)
    const later = new Map<string, number>()
    for (const job of jobs) if (job.dueOn > today) later.set(job.dueOn, (later.get(job.dueOn) ?? 0) + 1)
    response.json({
      today: wanted,
      places: state.places
        .map((place) => {
          const view = placeView(place)
          return {
            id: place.id,
            name: place.name,
            temperatureC: view.air.temperatureC,
            relativeHumidityPct: view.air.relativeHumidityPct,
            recent: view.recent.map((r) => r.relativeHumidityPct),
            verdict: verdictOn(state, place),
            jobs: due.filter((job) => placeOf(job) === place.id).map((job) => jobView(state, job)),
          }
        })
        .filter((place) => place.jobs.length > 0),
      eatFirst: larderLots(state)
        .slice(0, 4)
        .map(({ code, crop, heap, weightG, pieces, dried, why, lossAvoidedPerKg }) => ({
          code,
          crop,
          heap,
          weightG,
          pieces,
          dried,
          why,
          urgent: lossAvoidedPerKg > 0.15,
        })),
      weather,
      weatherSays: weatherSays(
        weather.filter((day) => day.ahead),
        state.lots.filter((lot) => state.place(lot.placeId)?.kind === 'veranda').length,
      ),
      lastWeek: {
        broughtInG: week.get('brought-in') ?? 0,
        usedG: -(week.get('used') ?? 0),
        lostG: -(week.get('lost') ?? 0),
        waterG: -((week.get('weighed') ?? 0) + (week.get('finished') ?? 0)),
      },
      nextJobs: [...later]
        .sort(([a], [b]) => (a < b ? -1 : 1))
        .slice(0, 5)
        .map(([on, count]) => ({ on, count })),
    } satisfies RoundView)
  })

  return router
}
