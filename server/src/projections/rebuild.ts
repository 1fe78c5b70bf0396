import type { Crop } from '@vadose/core/almanac'
import { cropIn, isDried } from '@vadose/core/forecast'
import { lotHistory } from '@vadose/core/lots'
import { almanacOf } from '../almanac'
import { inTransaction, type Client, type Pool } from '../database'
import { redoHours } from './place-hours'
import {
  allLots,
  eventsOfLots,
  keepLotNow,
  markProjected,
  measuredSpans,
  unprojectedHouseholds,
  type EventOfLot,
} from './queries'

/** A lot's present as it is kept beside the ledger. */
export function lotNow(events: readonly EventOfLot[], grown: Crop) {
  const history = lotHistory(events)
  const { stage, quantity, placeId } = history
  return { stage, weightG: quantity.weightG, pieces: quantity.pieces, placeId, dried: isDried(history, grown) }
}

/** Writes what is kept beside the ledger and the readings anew from them, for one household. */
export async function rebuildProjections(db: Client, householdId: string): Promise<void> {
  const almanac = await almanacOf(db, householdId)
  const lots = await allLots(db, householdId)
  const events = new Map<string, EventOfLot[]>(lots.map(({ id }) => [id, []]))
  for (const event of await eventsOfLots(db, householdId, [...events.keys()])) events.get(event.lotId)!.push(event)
  for (const { id, crop } of lots) {
    await keepLotNow(db, householdId, id, lotNow(events.get(id)!, cropIn(almanac, crop)))
  }
  for (const { placeId, first, last } of await measuredSpans(db, householdId)) {
    await redoHours(db, householdId, placeId, first.getTime(), last.getTime())
  }
  await markProjected(db, householdId)
}

/** Households of a time before there were projections get theirs. */
export async function rebuildMissing(pool: Pool): Promise<number> {
  const missing = await unprojectedHouseholds(pool)
  for (const id of missing) await inTransaction(pool, id, (db) => rebuildProjections(db, id))
  return missing.length
}
