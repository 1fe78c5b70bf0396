import { historyIn, type LotHistory } from '@vadose/core/lots'
import type { Client } from '../database'
import { ledgersOf, type Ledgers } from './queries'

/** A lot as its ledger tells it. */
export const historyFrom = (ledgers: Ledgers, lotId: string): LotHistory => historyIn(lotId, (id) => ledgers.get(id))

export const historyOf = async (db: Client, householdId: string, lotId: string): Promise<LotHistory> =>
  historyFrom(await ledgersOf(db, householdId, [lotId]), lotId)
