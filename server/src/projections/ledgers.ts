import { historyIn, type Ledger, type LotHistory } from '@vadose/core/lots'
import type { Client } from '../database'
import { ancestorsOf, eventsOfLots, type EventOfLot } from './queries'

/** Ledgers of some lots, and of those they were taken from. */
export async function ledgersOf(
  db: Client,
  householdId: string,
  lotIds: readonly string[],
): Promise<Map<string, Ledger & { events: EventOfLot[] }>> {
  const lots = await ancestorsOf(db, householdId, lotIds)
  const ledgers = new Map(lots.map(({ id, splitFrom }) => [id, { splitFrom, events: [] as EventOfLot[] }]))
  for (const event of await eventsOfLots(db, householdId, [...ledgers.keys()]))
    ledgers.get(event.lotId)!.events.push(event)
  return ledgers
}

/** A lot as its ledger tells it. */
export async function historyOf(db: Client, householdId: string, lotId: string): Promise<LotHistory> {
  const ledgers = await ledgersOf(db, householdId, [lotId])
  return historyIn(lotId, (id) => ledgers.get(id))
}
