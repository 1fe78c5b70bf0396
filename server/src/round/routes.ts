import type { RoundView } from '@vadose/contract/round'
import { dayMs } from '@vadose/core/household'
import { Router } from 'express'
import { asHousehold, type Pool } from '../database'
import { currentState, movedSince, type HouseholdState, type PlaceState } from '../household'
import { larderLots } from '../larder'
import { curingView, keepsUntil } from '../lots'
import { placeView, weatherOf } from '../places'
import { jobView } from './job-view'
import { openJobs, type OpenJob } from './queries'
import { syncJobs } from './sync'

/** Whether a place's air suits what is in it, in a few words. */
function verdictOn(state: HouseholdState, place: PlaceState): { suits: boolean; says: string } {
  const here = state.lots.filter((lot) => lot.placeId === place.id)
  if (here.length === 0) return { suits: true, says: 'empty' }
  const stalled = here
    .filter((lot) => lot.stage === 'drying')
    .map((lot) => curingView(state, lot))
    .sort((a, b) => b.stalledForHours - a.stalledForHours)[0]
  if (stalled && stalled.stalledForHours >= 12) {
    const days = Math.floor(stalled.stalledForHours / 24)
    return {
      suits: false,
      says:
        days >= 1
          ? `too damp to dry for ${days} ${days === 1 ? 'day' : 'days'}`
          : `too damp to dry for ${stalled.stalledForHours} hours`,
    }
  }
  const never = here.find((lot) => lot.stage === 'drying' && curingView(state, lot).ready.p50 === null)
  if (never) return { suits: false, says: `too damp to dry ${never.code}` }
  const wet = here.find(
    (lot) => lot.stage === 'stored' && ['rooting', 'mould', 'frost'].includes(keepsUntil(state, lot).endedBy),
  )
  if (wet) return { suits: false, says: `${keepsUntil(state, wet).endedBy} threatens ${wet.code}` }
  return { suits: true, says: 'suits what is here' }
}

const words = new Intl.DateTimeFormat('en-GB', { weekday: 'long', timeZone: 'UTC' })
const spoken = (on: string) => words.format(new Date(`${on}T12:00:00Z`))

function weatherSays(state: HouseholdState, ahead: RoundView['weather']): string[] {
  const says: string[] = []
  const frost = ahead.find((day) => day.lowC < 0.5)
  const veranda = state.lots.filter((lot) => state.place(lot.placeId)?.kind === 'veranda')
  if (frost)
    says.push(
      `Frost likely on ${spoken(frost.on)}${veranda.length ? `: ${veranda.length} lots hang on the veranda, bring them in before` : ''}.`,
    )
  const wet = ahead.find((day) => (day.rainMm ?? 0) >= 1)
  const mean = ahead.reduce((sum, day) => sum + day.humidityPct, 0) / Math.max(1, ahead.length)
  if (veranda.length) {
    const rain = wet ? ` Rain on ${spoken(wet.on)}, ${Math.round(wet.rainMm!)} mm.` : ''
    says.push(
      mean > 80
        ? `Damp days ahead: what hangs outside will hardly dry.${rain}`
        : `Drying goes on: about ${Math.round(mean)} % humidity in the next days.${rain}`,
    )
  }
  return says
}

export function roundRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/round', async (request, response) => {
    const state = await currentState(pool, request)
    await syncJobs(pool, state)
    const { household, today, nowMs } = state
    const wanted = typeof request.query['on'] === 'string' && request.query['on'] > today ? request.query['on'] : today
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
        state,
        weather.filter((day) => day.ahead),
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
