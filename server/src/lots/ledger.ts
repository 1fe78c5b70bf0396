import type { Crop } from '@vadose/core/almanac'
import type { EventDraft } from '@vadose/core/lots'
import type { Client } from '../database'
import { historyOf, keepLotNow, lotNow } from '../projections'
import { appendEvent } from './queries'

/** Appends entries to a lot's ledger and keeps its present beside it, by the one fold. */
export async function enter(
  db: Client,
  householdId: string,
  lotId: string,
  at: Date,
  events: readonly EventDraft[],
  requestId: string | null,
  grown: Crop,
): Promise<void> {
  for (const event of events) await appendEvent(db, householdId, lotId, at, event, requestId)
  await keepLotNow(db, householdId, lotId, lotNow(await historyOf(db, householdId, lotId), grown))
}
