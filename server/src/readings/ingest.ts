import { createHash, randomBytes } from 'node:crypto'
import type { SensorBatchAnswer } from '@vadose/contract/readings'
import type { Client } from '../database'
import { heardFrom, type KnownSensor, type PlaceReadings, type ReadingSource } from './queries'
import { addReadings } from './write'

export const hashOfToken = (token: string): Buffer => createHash('sha256').update(token).digest()
export const newToken = (): string => `vs_${randomBytes(24).toString('base64url')}`

/** What a sensor sends is taken in here, whether it is a real one at the door or a simulated one. */
export async function ingest(
  db: Client,
  sensor: KnownSensor,
  source: ReadingSource,
  columns: Omit<PlaceReadings, 'placeId'>,
): Promise<SensorBatchAnswer> {
  const { householdId, placeId, id } = sensor
  const taken = await addReadings(db, householdId, source, { placeId, ...columns })
  if (columns.at.length > 0 && source !== 'forecast') {
    await heardFrom(db, householdId, id, new Date(1000 * columns.at.reduce((a, b) => Math.max(a, b))))
  }
  return { taken, already: columns.at.length - taken }
}
