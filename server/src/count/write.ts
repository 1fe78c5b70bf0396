import type { CountCause } from '@vadose/core/count'
import { cropIn } from '@vadose/core/forecast'
import { bookedAs, offOf } from '@vadose/core/count'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { enter, lockLot } from '../lots'
import { historyOf } from '../projections'
import type { Moment } from '../visit'
import { beginCount, countableCodes, dropEntry, endCount, entriesOf, keepEntry, openCount, sayCause } from './queries'

interface Typed {
  typed: string
  pieces?: number
  weightG?: number
  same?: boolean
}

/** Keeps what stands on the shelf of one lot, beside what the books say now. */
export async function writeCounted(
  db: Client,
  { householdId, nowMs }: Moment,
  code: string,
  { typed, pieces, weightG, same }: Typed,
): Promise<void> {
  if ([pieces, weightG, same].filter((one) => one !== undefined && one !== false).length !== 1) {
    throw new Refusal('invalid', told('count.oneOfThree'), 'pieces')
  }
  const lot = await lockLot(db, householdId, code)
  if (!lot) throw new Refusal('not-found', told('lots.noLot', { code }))
  const { quantity, stage } = await historyOf(db, householdId, lot.id)
  if (stage !== 'stored' && stage !== 'fresh') {
    throw new Refusal('invalid', told('count.onNoShelf', { code }))
  }
  if (pieces !== undefined && quantity.pieces === null) {
    throw new Refusal('invalid', told('count.giveWeight'), 'pieces')
  }
  const at = new Date(nowMs)
  const open = (await openCount(db, householdId))?.id ?? (await beginCount(db, householdId, at))
  const asExpected = quantity.pieces === null ? { thereG: quantity.weightG, therePieces: null } : null
  await keepEntry(db, householdId, open, {
    lotId: lot.id,
    expectedG: quantity.weightG,
    expectedPieces: quantity.pieces,
    ...(same
      ? (asExpected ?? { thereG: null, therePieces: quantity.pieces })
      : { thereG: weightG ?? null, therePieces: pieces ?? null }),
    typed: same ? '=' : typed.trim(),
    at,
  })
}

export async function dropCounted(db: Client, { householdId }: Moment, code: string): Promise<void> {
  const lot = await lockLot(db, householdId, code)
  const open = await openCount(db, householdId)
  if (!lot || !open) throw new Refusal('not-found', told('count.lineNotCounted', { code }))
  await dropEntry(db, householdId, open.id, lot.id)
}

/**
 * Books a count: each difference as what it was, by an entry of its own in its lot. What changed on the lot since it was
 * counted stays: it is the difference that is booked.
 */
export async function writeFinished(
  db: Client,
  { householdId, nowMs }: Moment,
  causes: readonly { code: string; cause: CountCause }[],
  requestId: string | null,
): Promise<{ booked: number; asExpected: number }> {
  const open = await openCount(db, householdId)
  if (!open) throw new Refusal('invalid', told('count.noneUnderWay'))
  const almanac = await almanacOf(db, householdId)
  const entries = await entriesOf(db, householdId, open.id)
  const said = new Map(causes.map(({ code, cause }) => [code, cause]))
  const at = new Date(nowMs)
  let booked = 0
  for (const entry of [...entries].sort((a, b) => (a.code < b.code ? -1 : 1))) {
    const expected = { weightG: entry.expectedG, pieces: entry.expectedPieces }
    const off = offOf(entry, expected)
    if (off.weightG === 0 && (off.pieces ?? 0) === 0) continue
    const cause = said.get(entry.code) ?? 'unknown'
    const lot = (await lockLot(db, householdId, entry.code))!
    const { quantity } = await historyOf(db, householdId, lot.id)
    const event = bookedAs(cause, entry, { quantity: expected })
    await sayCause(db, householdId, open.id, lot.id, cause)
    if (!event) continue
    // what was eaten since it was counted is not eaten twice
    const weightG = Math.max(0 - quantity.weightG, event.weightG)
    const pieces = quantity.pieces === null ? 0 : Math.max(0 - quantity.pieces, event.pieces)
    const last = quantity.weightG + weightG === 0 ? 0 - (quantity.pieces ?? 0) : pieces
    if (weightG === 0 && last === 0) continue
    const scaleG = event.details.scaleG === undefined ? {} : { scaleG: quantity.weightG + weightG }
    const written = { ...event, weightG, pieces: last, details: { ...event.details, ...scaleG } }
    await enter(db, householdId, lot.id, at, [written], requestId, cropIn(almanac, lot.crop))
    booked++
  }
  await endCount(db, householdId, open.id, at)
  return { booked, asExpected: entries.length - booked }
}

/** A whole count at once: by code what was off, in pieces or grams as the lot is counted, and eaten; the rest as expected. */
export async function writeWholeCount(db: Client, moment: Moment, off: ReadonlyMap<string, number>): Promise<void> {
  for (const { code, weightG, pieces } of await countableCodes(db, moment.householdId)) {
    const by = off.get(code)
    const found = (pieces ?? weightG) + (by ?? 0)
    const what = by === undefined ? { same: true } : pieces === null ? { weightG: found } : { pieces: found }
    await writeCounted(db, moment, code, { typed: String(found), ...what })
  }
  const causes = [...off.keys()].map((code) => ({ code, cause: 'eaten' as const }))
  await writeFinished(db, moment, causes, null)
}
