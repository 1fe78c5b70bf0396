import type { Crop } from '@vadose/core/almanac'
import type { EventDraft } from '@vadose/core/lots'
import type { Client } from '../database'
import { appendEvents, historyFrom, keepLotNow, ledgersOf, lotNow, type Ledgers } from '../projections'

/**
 * Appends entries to a lot's ledger and keeps its present beside it, by the one fold.
 * @param known the ledgers as they were read under the lock; the entries are added to them
 */
export async function enter(
  db: Client,
  householdId: string,
  lotId: string,
  at: Date,
  events: readonly EventDraft[],
  requestId: string | null,
  grown: Crop,
  known?: Ledgers,
): Promise<void> {
  const written = await appendEvents(db, householdId, lotId, at, events, requestId)
  known?.get(lotId)!.events.push(...written)
  const ledgers = known ?? (await ledgersOf(db, householdId, [lotId]))
  await keepLotNow(db, householdId, lotId, lotNow(historyFrom(ledgers, lotId), grown))
}
