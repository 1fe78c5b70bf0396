import { createHash, randomBytes } from 'node:crypto'
import type { SensorBatchAnswer } from '@vadose/contract/readings'
import type { Client } from '../database'
import { heardFrom, type KnownSensor, type PlaceReadings, type ReadingSource } from './queries'
import { addReadings } from './write'

export const hashOfToken = (token: string): Buffer => createHash('sha256').update(token).digest()
export const newToken = (): string => `vs_${randomBytes(24).toString('base64url')}`

/** Columns in order of time; of what is said twice of one second, the last stands. */
function onceASecond(columns: Omit<PlaceReadings, 'placeId'>): Omit<PlaceReadings, 'placeId'> {
  const { at, temperatureC, relativeHumidityPct, rainMm } = columns
  const last = new Map(at.map((second, i) => [second, i]))
  const order = [...last.values()].sort((a, b) => at[a]! - at[b]!)
  const pick = <T>(values: readonly T[]) => order.map((i) => values[i]!)
  return {
    at: pick(at),
    temperatureC: pick(temperatureC),
    relativeHumidityPct: pick(relativeHumidityPct),
    rainMm: rainMm && pick(rainMm),
  }
}

/** What a sensor sends is taken in here, whether it is a real one at the door or a simulated one. */
export async function ingest(
  db: Client,
  sensor: KnownSensor,
  source: ReadingSource,
  columns: Omit<PlaceReadings, 'placeId'>,
): Promise<SensorBatchAnswer> {
  const { householdId, placeId, id } = sensor
  const taken = await addReadings(db, householdId, source, { placeId, ...onceASecond(columns) })
  if (columns.at.length > 0 && source !== 'forecast') {
    await heardFrom(db, householdId, id, new Date(1000 * columns.at.reduce((a, b) => Math.max(a, b))))
  }
  return { taken, already: columns.at.length - taken }
}
