import type { Crop } from '@vadose/core/almanac'
import type { EventDraft } from '@vadose/core/lots'
import { trail, type Client } from '../database'
import { appendEvents, historyFrom, keepLotNow, ledgersOf, lotNow, noteEntered, type Ledgers } from '../projections'

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
  const [written, ledgers] = await Promise.all([
    appendEvents(db, householdId, lotId, at, events, requestId),
    known ?? ledgersOf(db, householdId, [lotId]),
  ])
  known?.get(lotId)!.events.push(...written)
  const now = lotNow(historyFrom(ledgers, lotId), grown)
  trail(db, keepLotNow(db, householdId, lotId, now))
  if (written.length > 0) noteEntered(db, { lotId, events: written, ledgers, name: now.name })
}
