import {
  newSensorSchema,
  readingImportSchema,
  sensorBatchSchema,
  type NewReadingImport,
  type NewSensor,
  type ReadingImportAnswer,
  type SensorBatch,
  type SensorMade,
} from '@vadose/contract/readings'
import { dayMs } from '@vadose/core/households'
import { Refusal } from '@vadose/core/refusal'
import { Router } from 'express'
import { asHousehold, inTransaction, type Client, type Pool } from '../database'
import { currentHousehold, currentId, householdById, nowOf, writeOnce } from '../households'
import { checker } from '../http'
import { placesOf } from '../places'
import { finishJobs } from '../round'
import { hashOfToken, ingest, newToken } from './ingest'
import {
  addImport,
  addReadings,
  addSensor,
  alreadyThere,
  importsOf,
  keepMapping,
  mappingsOf,
  removeSensor,
  sensorOfToken,
  sensorsOf,
  undoImport,
} from './queries'

const checkImport = checker<NewReadingImport>(readingImportSchema)
const checkBatch = checker<SensorBatch>(sensorBatchSchema)
const checkSensor = checker<NewSensor>(newSensorSchema)
const uuidPattern = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i

/** A clock that runs a little fast is no reason to lose its readings. */
const aheadMs = dayMs

/** Loggers without a battery for their clock wake up in 1970. */
const oldestMs = 20 * 365 * dayMs

function requireRecent(firstMs: number, nowMs: number, field: string): void {
  if (firstMs < nowMs - oldestMs) {
    throw new Refusal(
      'invalid',
      `${new Date(firstMs).toISOString().slice(0, 10)} is more than 20 years back; check the order of day and month, and the logger's clock.`,
      field,
    )
  }
}

async function placeIn(db: Client, householdId: string, id: string) {
  const place = (await placesOf(db, householdId)).find((one) => one.id === id)
  if (!place) throw new Refusal('invalid', 'There is no such place in this household.', 'placeId')
  return place
}

function requireColumns(given: NewReadingImport): void {
  const { at } = given
  for (const field of ['temperatureC', 'relativeHumidityPct', 'rainMm'] as const) {
    const column = given[field]
    if (column && column.length !== at.length) {
      throw new Refusal('invalid', `${field} has ${column.length} values for ${at.length} instants.`, field)
    }
  }
  for (let i = 1; i < at.length; i++) {
    if (at[i]! <= at[i - 1]!) throw new Refusal('invalid', 'Instants must rise, each given once.', `at/${i}`)
  }
}

/** Two lists, what has been measured and what is only expected. */
function parted(given: NewReadingImport, nowS: number) {
  const cut = given.at.findIndex((at) => at > nowS)
  const until = cut < 0 ? given.at.length : cut
  const part = (from: number, to?: number) => ({
    placeId: given.placeId,
    at: given.at.slice(from, to),
    temperatureC: given.temperatureC.slice(from, to),
    relativeHumidityPct: given.relativeHumidityPct.slice(from, to),
    rainMm: given.rainMm?.slice(from, to),
  })
  return { measured: part(0, until), expected: part(until) }
}

export function readingRoutes(pool: Pool): Router {
  const router = Router()

  router.get('/readings/imports', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(await asHousehold(pool, id, (db) => importsOf(db, id)))
  })

  router.get('/readings/mappings', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(await asHousehold(pool, id, (db) => mappingsOf(db, id)))
  })

  router.post('/readings/imports', async (request, response) => {
    const given = checkImport(request.body)
    requireColumns(given)
    const household = await currentHousehold(pool, request)
    const nowMs = nowOf(household)
    requireRecent(given.at[0]! * 1000, nowMs, 'at/0')
    const { measured, expected } = parted(given, nowMs / 1000)
    const check = async (db: Client) => {
      const place = await placeIn(db, household.id, given.placeId)
      if (expected.at.length > 0 && place.kind !== 'outdoors') {
        throw new Refusal(
          'invalid',
          `${new Date(expected.at[0]! * 1000).toISOString().slice(0, 16).replace('T', ' ')} UTC lies ahead of now. Check the order of day and month, and the clock; only outdoors takes a forecast.`,
          'at',
        )
      }
    }
    if (given.lookOnly) {
      const there = await asHousehold(pool, household.id, async (db) => {
        await check(db)
        return alreadyThere(db, household.id, given)
      })
      response.json({ id: given.requestId, given: given.at.length, added: given.at.length - there })
      return
    }
    const answer = await writeOnce(pool, household, given.requestId, async (db, moment) => {
      await check(db)
      const id = given.requestId
      const added =
        (await addReadings(db, household.id, 'import', measured, id)) +
        (await addReadings(db, household.id, 'forecast', expected, id))
      await addImport(db, household.id, {
        id,
        placeId: given.placeId,
        fileName: given.fileName,
        given: given.at.length,
        added,
        first: new Date(given.at[0]! * 1000),
        last: new Date(given.at.at(-1)! * 1000),
      })
      if (given.headings && given.mapping) {
        await keepMapping(db, household.id, { headings: given.headings, mapping: given.mapping })
      }
      if (added > 0) await finishJobs(db, household.id, given.placeId, ['read'], moment.today)
      return { id, given: given.at.length, added } satisfies ReadingImportAnswer
    })
    response.status(201).json(answer)
  })

  router.post('/readings/imports/:id/undo', async (request, response) => {
    const { id } = request.params
    const householdId = await currentId(pool, request)
    const removed = uuidPattern.test(id)
      ? await inTransaction(pool, householdId, (db) => undoImport(db, householdId, id))
      : undefined
    if (removed === undefined) throw new Refusal('not-found', 'There is no such import to take back.')
    response.json({ removed })
  })

  router.get('/sensors', async (request, response) => {
    const id = await currentId(pool, request)
    response.json(await asHousehold(pool, id, (db) => sensorsOf(db, id)))
  })

  router.post('/sensors', async (request, response) => {
    const { name, placeId } = checkSensor(request.body)
    const householdId = await currentId(pool, request)
    const token = newToken()
    const id = await inTransaction(pool, householdId, async (db) => {
      await placeIn(db, householdId, placeId)
      return addSensor(db, householdId, { name: name.trim(), placeId, tokenHash: hashOfToken(token) })
    })
    response.status(201).json({ id, token } satisfies SensorMade)
  })

  router.delete('/sensors/:id', async (request, response) => {
    const { id } = request.params
    const householdId = await currentId(pool, request)
    const gone =
      uuidPattern.test(id) && (await inTransaction(pool, householdId, (db) => removeSensor(db, householdId, id)))
    if (!gone) throw new Refusal('not-found', 'There is no such sensor.')
    response.json({ ok: true })
  })

  router.post('/ingest', async (request, response) => {
    const token = /^Bearer (\S+)$/.exec(request.headers.authorization ?? '')?.[1]
    const sensor = token ? await sensorOfToken(pool, hashOfToken(token)) : undefined
    if (!sensor) {
      throw new Refusal('unknown-sensor', 'No sensor has this token. Send it as “Authorization: Bearer TOKEN”.')
    }
    const { readings } = checkBatch(request.body)
    const household = (await householdById(pool, sensor.householdId))!
    const latestMs = nowOf(household) + aheadMs
    const late = readings.findIndex((reading) => Date.parse(reading.at) > latestMs)
    if (late >= 0) {
      throw new Refusal(
        'invalid',
        `${readings[late]!.at} lies more than a day ahead; check the sensor's clock.`,
        `readings/${late}/at`,
      )
    }
    const earliest = readings.reduce((a, b) => (Date.parse(a.at) <= Date.parse(b.at) ? a : b))
    requireRecent(Date.parse(earliest.at), nowOf(household), 'readings')
    const answer = await inTransaction(pool, sensor.householdId, (db) =>
      ingest(db, sensor, 'sensor', {
        at: readings.map((r) => Math.floor(Date.parse(r.at) / 1000)),
        temperatureC: readings.map((r) => r.temperatureC),
        relativeHumidityPct: readings.map((r) => r.relativeHumidityPct),
        rainMm: readings.some((r) => r.rainMm !== undefined) ? readings.map((r) => r.rainMm ?? 0) : null,
      }),
    )
    response.json(answer)
  })

  return router
}
