import { cropIn } from '@vadose/core/forecast'
import { civilDateOf } from '@vadose/core/households'
import { onDay, told } from '@vadose/core/message'
import { eventSays, retold, standing, type Entry, type Retelling } from '@vadose/core/lots'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { descendantsOf, eventsOfLots, historyOf, keepLotNow, lotNow } from '../projections'
import type { Moment } from '../visit'
import { enter } from './ledger'
import { lockLot, type LockedLot } from './queries'

/** @throws Refusal `not-found` */
export async function lotCalled(db: Client, householdId: string, code: string): Promise<LockedLot> {
  const lot = await lockLot(db, householdId, code)
  if (!lot) throw new Refusal('not-found', told('lots.noLot', { code }))
  return lot
}

/** A lot's ledger, oldest first. */
export const ledgerOf = async (db: Client, householdId: string, lot: LockedLot): Promise<Entry[]> =>
  eventsOfLots(db, householdId, [lot.id])

/** Writes what puts a lot's ledger right, and what follows from it for the lots taken from it. */
export async function retell(
  db: Client,
  moment: Moment,
  lot: LockedLot,
  retelling: Retelling,
  requestId: string,
): Promise<void> {
  const { householdId, nowMs, timeZone } = moment
  const almanac = await almanacOf(db, householdId)
  const crop = cropIn(almanac, lot.crop)
  const says = (e: Parameters<typeof eventSays>[1] & { atMs: number }) =>
    told('ledger.entryOn', { entry: eventSays(crop, e, null), on: onDay(civilDateOf(e.atMs, timeZone)) })
  const drafts = retold(await ledgerOf(db, householdId, lot), retelling, says)
  await enter(db, householdId, lot.id, new Date(nowMs), drafts, requestId, crop)
  // a part taken by count weighs what so many weigh now
  for (const { kind, details } of drafts) {
    const { instead } = details
    if (kind !== 'restated' || details.of !== 'split-out' || !instead?.details.code) continue
    const part = await lotCalled(db, householdId, instead.details.code)
    const begun = await shareOf(db, householdId, lot, part, details.strikes!)
    if (!begun) continue
    const restate = [{ id: begun.id, instead: { weightG: 0 - instead.weightG, pieces: 0 - instead.pieces } }]
    await retell(db, moment, part, { restate, ...(retelling.why ? { why: retelling.why } : {}) }, requestId)
  }
  for (const id of await descendantsOf(db, householdId, [lot.id])) {
    if (id === lot.id) continue
    await keepLotNow(db, householdId, id, lotNow(await historyOf(db, householdId, id), crop))
  }
}

/** The entry by which a part tells what was taken for it: a bag that was topped up has several of the same lot. */
async function shareOf(
  db: Client,
  householdId: string,
  lot: LockedLot,
  part: LockedLot,
  takenBy: number,
): Promise<Entry | undefined> {
  const out = standing(await ledgerOf(db, householdId, lot)).filter(
    ({ kind, details }) => kind === 'split-out' && details.code === part.code,
  )
  const shares = standing(await ledgerOf(db, householdId, part)).filter(
    ({ kind, details }) => kind === 'split-in' && (details.code ?? lot.code) === lot.code,
  )
  const ids = out.map(({ id }) => id).sort((a, b) => a - b)
  return shares[ids.indexOf(takenBy)]
}
