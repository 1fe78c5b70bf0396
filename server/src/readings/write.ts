import { NeedsFirst, type Client } from '../database'
import { redoHours } from '../projections'
import {
  insertReadings,
  makeMonths,
  markUndone,
  monthsMissing,
  removeImported,
  strikeBetween,
  type PlaceReadings,
  type ReadingSource,
} from './queries'

const rowsAtOnce = 20_000

/**
 * Adds readings, and writes the hours they lie in anew. One that is there already at the same place and instant stays as
 * it is, unless it was a forecast.
 * @returns how many were new
 */
export async function addReadings(
  db: Client,
  householdId: string,
  source: ReadingSource,
  readings: PlaceReadings,
  importId: string | null = null,
): Promise<number> {
  const { placeId, at, temperatureC, relativeHumidityPct, rainMm } = readings
  if (at.length === 0) return 0
  const first = 1000 * at.reduce((a, b) => Math.min(a, b))
  const last = 1000 * at.reduce((a, b) => Math.max(a, b))
  const [from, to] = [new Date(first), new Date(last)]
  // a month's table is made outside: inside, it would hold up every household until this one is done
  if (await monthsMissing(db, from, to)) throw new NeedsFirst((pool) => makeMonths(pool, from, to))
  let added = 0
  for (let i = 0; i < at.length; i += rowsAtOnce) {
    const part = <T>(values: readonly T[]) => values.slice(i, i + rowsAtOnce)
    added += await insertReadings(
      db,
      householdId,
      source,
      {
        placeId,
        at: part(at),
        temperatureC: part(temperatureC),
        relativeHumidityPct: part(relativeHumidityPct),
        rainMm: rainMm ? part(rainMm) : null,
      },
      importId,
    )
  }
  if (added > 0) await redoHours(db, householdId, placeId, first, last)
  return added
}

/** Takes back what one import added; how many readings, or undefined where there is no such import to take back. */
export async function undoImport(db: Client, householdId: string, id: string): Promise<number | undefined> {
  const made = await markUndone(db, householdId, id)
  if (!made) return undefined
  const removed = await removeImported(db, householdId, id, made)
  if (removed > 0) await redoHours(db, householdId, made.placeId, made.first.getTime(), made.last.getTime())
  return removed
}

/** Strikes a span of a place's readings, or lets it count again; the air of those hours is worked out anew. @returns how many */
export async function strikeReadings(
  db: Client,
  householdId: string,
  placeId: string,
  span: { from: Date; to: Date; struck: boolean },
): Promise<number> {
  const { n, first, last } = await strikeBetween(db, householdId, placeId, span)
  if (first && last) await redoHours(db, householdId, placeId, first.getTime(), last.getTime())
  return n
}
