import { randomUUID } from 'node:crypto'
import { newPlaceSchema, readingSchema, type NewPlace, type NewReading, type PlaceView } from '@vadose/contract/places'
import { dayMs } from '@vadose/core/households'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import { inTransaction, type Pool } from '../database'
import { currentHousehold, currentState, writeOnce, senseUntil, type PlaceState } from '../households'
import { checker } from '../http'
import { addReadings } from '../readings'
import { finishJobs } from '../round'
import { addPlace, placesOf } from './queries'
import { weatherOf } from './weather'

const checkPlace = checker<NewPlace>(newPlaceSchema)
const checkReading = checker<NewReading>(readingSchema)

/** far enough back to say how long it has been dry */
const weatherBackDays = 14

export function placeRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/places', async (request, response) => {
    const state = await currentState(pool, request)
    response.json(state.places.map(placeView))
  })

  router.get('/weather', async (request, response) => {
    response.json(weatherOf(await currentState(pool, request), weatherBackDays))
  })

  router.post('/places', async (request, response) => {
    const place = checkPlace(request.body)
    const household = await currentHousehold(pool, request)
    const simulated = household.practiceNow !== null
    const id = await inTransaction(pool, household.id, async (db) => {
      const made = await addPlace(db, household.id, place.name.trim(), place.kind, simulated)
      if (household.practiceNow) {
        const now = household.practiceNow.getTime()
        await senseUntil(db, household, now - 14 * dayMs, now)
      }
      return made
    })
    response.status(201).json({ id })
  })

  router.post('/places/:id/readings', async (request, response) => {
    const reading = checkReading(request.body)
    const household = await currentHousehold(pool, request)
    const { id } = request.params
    await writeOnce(pool, household, randomUUID(), async (db, moment) => {
      if (!(await placesOf(db, household.id)).some((place) => place.id === id)) {
        throw new Refusal('not-found', 'There is no such place in this household.')
      }
      await addReadings(db, household.id, 'hand', {
        placeId: id,
        at: [Math.floor(moment.nowMs / 1000)],
        temperatureC: [reading.temperatureC],
        relativeHumidityPct: [reading.relativeHumidityPct],
      })
      await finishJobs(db, household.id, id, ['read'], moment.today)
      return null
    })
    response.status(201).json({ ok: true })
  })

  return router
}

const recentHours = 72

/** A place with its latest air and the last three days, six hours a step. */
export function placeView(place: PlaceState): PlaceView {
  const { past } = place
  const recent: PlaceView['recent'] = []
  for (let i = Math.max(0, past.hours - recentHours); i < past.hours; i += 6) {
    recent.push({
      temperatureC: past.temperatureC[i]!,
      relativeHumidityPct: past.relativeHumidityPct[i]!,
      vpdKPa: past.vpdKPa[i]!,
    })
  }
  const measured = place.measuredAtMs !== null
  return {
    id: place.id,
    name: place.name,
    kind: place.kind,
    air: {
      at: measured ? new Date(place.measuredAtMs!).toISOString() : null,
      temperatureC: measured ? past.temperatureC[past.hours - 1]! : null,
      relativeHumidityPct: measured ? past.relativeHumidityPct[past.hours - 1]! : null,
    },
    recent,
  }
}
