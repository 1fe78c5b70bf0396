import {
  addSensor as addSensorEndpoint,
  importReadings,
  ingest as ingestEndpoint,
  listImports,
  listMappings,
  listSensors,
  removeSensor as removeSensorEndpoint,
  undoImport as undoImportEndpoint,
  type NewReadingImport,
} from '@vadose/contract/readings'
import { civilDateOf, dayMs } from '@vadose/core/households'
import { told, onDay } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { inTransaction, type Client, type Pool } from '../database'
import { isUuid, lockHousehold, nowOf } from '../households'
import { placesOf } from '../places'
import type { Server } from '../serve'
import { hashOfToken, ingest, newToken } from './ingest'
import {
  addImport,
  giveToken,
  addSensor,
  alreadyThere,
  importsOf,
  keepMapping,
  mappingsOf,
  removeSensor,
  sensorOfToken,
  sensorsOf,
} from './queries'
import { addReadings, undoImport } from './write'

/** A clock that runs a little fast is no reason to lose its readings. */
const aheadMs = dayMs

/** Loggers without a battery for their clock wake up in 1970. */
const oldestMs = 20 * 365 * dayMs

function requireRecent(firstMs: number, nowMs: number, timeZone: string, field: string): void {
  if (firstMs < nowMs - oldestMs) {
    throw new Refusal('invalid', told('readings.tooFarBack', { on: onDay(civilDateOf(firstMs, timeZone)) }), field)
  }
}

async function placeIn(db: Client, householdId: string, id: string) {
  const place = (await placesOf(db, householdId)).find((one) => one.id === id)
  if (!place) throw new Refusal('invalid', told('places.noSuchPlace'), 'placeId')
  return place
}

function requireColumns(given: NewReadingImport): void {
  const { at } = given
  for (const field of ['temperatureC', 'relativeHumidityPct', 'rainMm'] as const) {
    const column = given[field]
    if (column && column.length !== at.length) {
      throw new Refusal(
        'invalid',
        told('readings.unequalColumns', { field, length: column.length, length2: at.length }),
        field,
      )
    }
  }
  for (let i = 1; i < at.length; i++) {
    if (at[i]! <= at[i - 1]!) throw new Refusal('invalid', told('readings.instantsRise'), `at/${i}`)
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

export function serveReadings(server: Server, pool: Pool): void {
  server.household(listImports, async (visit) =>
    (await visit.read((db) => importsOf(db, visit.id))).map(({ from, to, ...rest }) => ({
      ...rest,
      from: from.toISOString(),
      to: to.toISOString(),
    })),
  )

  server.household(listMappings, (visit) => visit.read((db) => mappingsOf(db, visit.id)))

  server.household(importReadings, async (visit, { body: given }) => {
    requireColumns(given)
    const { nowMs } = visit.moment
    requireRecent(given.at[0]! * 1000, nowMs, visit.household.timeZone, 'at/0')
    const { measured, expected } = parted(given, nowMs / 1000)
    const check = async (db: Client) => {
      const place = await placeIn(db, visit.id, given.placeId)
      if (expected.at.length > 0 && place.kind !== 'outdoors') {
        throw new Refusal(
          'invalid',
          told('readings.liesAhead', {
            at: new Date(expected.at[0]! * 1000).toISOString().slice(0, 16).replace('T', ' '),
          }),
          'at',
        )
      }
    }
    const id = given.requestId
    if (given.lookOnly) {
      const there = await visit.read(async (db) => {
        await check(db)
        return alreadyThere(db, visit.id, given)
      })
      return { id, given: given.at.length, added: given.at.length - there }
    }
    return visit.write(async (db) => {
      await check(db)
      const added =
        (await addReadings(db, visit.id, 'import', measured, id)) +
        (await addReadings(db, visit.id, 'forecast', expected, id))
      await addImport(db, visit.id, {
        id,
        placeId: given.placeId,
        fileName: given.fileName,
        given: given.at.length,
        added,
        first: new Date(given.at[0]! * 1000),
        last: new Date(given.at.at(-1)! * 1000),
      })
      if (given.headings && given.mapping) {
        await keepMapping(db, visit.id, { headings: given.headings, mapping: given.mapping })
      }
      return { id, given: given.at.length, added }
    })
  })

  server.household(undoImportEndpoint, async (visit, { params: { id } }) => {
    const removed = isUuid(id) ? await visit.write((db) => undoImport(db, visit.id, id)) : undefined
    if (removed === undefined) throw new Refusal('not-found', told('readings.noSuchImport'))
    return { removed }
  })

  server.household(listSensors, async (visit) =>
    (await visit.read((db) => sensorsOf(db, visit.id))).map(({ lastAt, ...rest }) => ({
      ...rest,
      lastAt: lastAt?.toISOString() ?? null,
    })),
  )

  server.household(addSensorEndpoint, async (visit, { body: { name, placeId } }) => {
    const token = newToken()
    const tokenHash = hashOfToken(token)
    const id = await visit.write(
      async (db) => {
        await placeIn(db, visit.id, placeId)
        return addSensor(db, visit.id, { name: name.trim(), placeId, tokenHash })
      },
      // whoever asks again never saw the first token, which is kept nowhere: the same sensor gets another
      async (db, made) => {
        await giveToken(db, visit.id, made, tokenHash)
        return made
      },
    )
    return { id, token }
  })

  server.household(removeSensorEndpoint, async (visit, { params: { id } }) => {
    const gone = isUuid(id) && (await visit.write((db) => removeSensor(db, visit.id, id)))
    if (!gone) throw new Refusal('not-found', told('readings.noSuchSensor'))
    return { ok: true }
  })

  server.anyone(ingestEndpoint, async ({ body: { readings } }, request) => {
    const token = /^Bearer (\S+)$/.exec(request.headers.authorization ?? '')?.[1]
    const sensor = token ? await sensorOfToken(pool, hashOfToken(token)) : undefined
    if (!sensor) {
      throw new Refusal('unknown-sensor', told('readings.noSuchToken'))
    }
    return inTransaction(pool, sensor.householdId, async (db) => {
      const household = (await lockHousehold(db, sensor.householdId))!
      const nowMs = nowOf(household)
      const late = readings.findIndex((reading) => Date.parse(reading.at) > nowMs + aheadMs)
      if (late >= 0) {
        throw new Refusal('invalid', told('readings.sensorAhead', { at: readings[late]!.at }), `readings/${late}/at`)
      }
      requireRecent(
        Math.min(...readings.map((reading) => Date.parse(reading.at))),
        nowMs,
        household.timeZone,
        'readings',
      )
      return ingest(db, sensor, 'sensor', {
        at: readings.map((r) => Math.floor(Date.parse(r.at) / 1000)),
        temperatureC: readings.map((r) => r.temperatureC),
        relativeHumidityPct: readings.map((r) => r.relativeHumidityPct),
        rainMm: readings.some((r) => r.rainMm !== undefined) ? readings.map((r) => r.rainMm ?? 0) : null,
      })
    })
  })
}
