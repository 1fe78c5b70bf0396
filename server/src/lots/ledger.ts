import type { Crop } from '@vadose/core/almanac'
import type { EventDraft } from '@vadose/core/lots'
import { trail, type Client } from '../database'
import {
  appendEvents,
  entryNumbers,
  historyFrom,
  keepLotNow,
  ledgersOf,
  lotNow,
  noteEntered,
  type EventOfLot,
  type Ledgers,
} from '../projections'

/** What an act begins with where it asked for it along with the household's lock. */
export interface Begun {
  ledgers: Ledgers
  /** for its first entries */
  numbers: readonly number[]
}

/**
 * Appends entries to a lot's ledger and keeps its present beside it, by the one fold.
 * @param begun the lot's ledgers as they stand under the lock
 * @returns the entries as they stand there
 */
export async function enter(
  db: Client,
  householdId: string,
  lotId: string,
  at: Date,
  drafts: readonly EventDraft[],
  requestId: string | null,
  grown: Crop,
  begun?: Begun,
): Promise<readonly EventOfLot[]> {
  const [before, numbers] = await Promise.all([
    begun?.ledgers ?? ledgersOf(db, householdId, [lotId]),
    begun && begun.numbers.length >= drafts.length ? begun.numbers : entryNumbers(db, drafts.length),
  ])
  const events = drafts.map((draft, i): EventOfLot => {
    const details = JSON.parse(JSON.stringify(draft.details)) as EventDraft['details']
    return { id: numbers[i]!, lotId, atMs: at.getTime(), acted: requestId !== null, ...draft, details }
  })
  const own = before.get(lotId)!
  const ledgers: Ledgers = new Map(before).set(lotId, { ...own, events: [...own.events, ...events] })
  const history = historyFrom(ledgers, lotId)
  const now = lotNow(history, grown)
  if (events.length > 0) trail(db, appendEvents(db, householdId, lotId, events, requestId))
  trail(db, keepLotNow(db, householdId, lotId, now))
  if (events.length > 0) noteEntered(db, { lotId, events, ledgers, history, name: now.name })
  return events
}
