import type { Crop } from '@vadose/core/almanac'
import { cropIn, formOf } from '@vadose/core/forecast'
import { standing, type LotHistory, nothingGuessed } from '@vadose/core/lots'
import { almanacOf } from '../almanac'
import { inTransaction, type Client, type Pool } from '../database'
import { historyFrom } from './ledgers'
import { redoHours } from './place-hours'
import { measuredSpans } from './air-queries'
import { allLots, keepLotNow, ledgersOf, markProjected, unprojectedHouseholds } from './queries'

/** A lot's present as it is kept beside the ledger. */
export function lotNow(history: LotHistory, grown: Crop) {
  const { stage, quantity, placeId, events, named, unit, size, source } = history
  return {
    stage,
    weightG: quantity.weightG,
    pieces: quantity.pieces,
    placeId,
    form: formOf(history, grown),
    name: named,
    unit,
    size,
    source,
    guessed: stage === 'gone' ? nothingGuessed : history.guessed,
    never: standing(events).every((e) => e.kind === 'noted' || e.kind === 'relabelled'),
  }
}

/** Writes what is kept beside the ledger and the readings anew from them, for one household. */
export async function rebuildProjections(db: Client, householdId: string): Promise<void> {
  const almanac = await almanacOf(db, householdId)
  const lots = await allLots(db, householdId)
  const ids = lots.map(({ id }) => id)
  const ledgers = await ledgersOf(db, householdId, ids)
  for (const { id, crop } of lots) {
    await keepLotNow(db, householdId, id, lotNow(historyFrom(ledgers, id), cropIn(almanac, crop)))
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
