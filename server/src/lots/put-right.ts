import type { Correction } from '@vadose/contract/put-right'
import { cropIn } from '@vadose/core/forecast'
import { civilDateOf, instantOf } from '@vadose/core/households'
import { heapOf, requireDay } from '@vadose/core/intake'
import type { Message } from '@vadose/core/message'
import {
  eventSays,
  heapLike,
  labelTold,
  lastActed,
  relabelling,
  requireCanBe,
  restated,
  standing,
  undoneIn,
  type Label,
  type Restatement,
} from '@vadose/core/lots'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { placesOf } from '../places'
import { historyOf, keepLotNow, lotNow } from '../projections'
import type { Moment } from '../visit'
import { enter } from './ledger'
import { codesOfHarvest, requestOf, setHarvest, setLabel, touchedBy, writtenWith, type LockedLot } from './queries'
import { ledgerOf, lotCalled, retell } from './retell'

const cameAfter = (code: string) => new Refusal('not-last', told('lots.somethingAfter', { code }), 'event')

/** Where a lot and the numbers of an act's entries on it. */
interface Touched {
  code: string
  events: number[]
}

/** All that an act wrote, on this lot and on others; of sample data what was written at the same moment. */
async function actOf(db: Client, householdId: string, event: number): Promise<Touched[]> {
  const act = await requestOf(db, householdId, event)
  return act === null ? writtenWith(db, householdId, event) : touchedBy(db, householdId, act)
}

/**
 * Undoes the last act on a lot, with everything it wrote on others.
 * @param event the number of its last entry on this lot
 * @returns codes of the lots it touched. @throws Refusal `not-last` where something came after it
 */
export async function undoAct(
  db: Client,
  moment: Moment,
  code: string,
  event: number,
  requestId: string,
): Promise<string[]> {
  const { householdId } = moment
  const lot = await lotCalled(db, householdId, code)
  if (lastActed(await ledgerOf(db, householdId, lot))?.id !== event) throw cameAfter(code)
  if ((await requestOf(db, householdId, event)) === null) {
    throw new Refusal('invalid', told('lots.cameWithFile'), 'event')
  }
  const touched = await actOf(db, householdId, event)
  for (const one of touched) {
    const own = await lotCalled(db, householdId, one.code)
    const events = await ledgerOf(db, householdId, own)
    const last = lastActed(events)
    if (!last || !one.events.includes(last.id)) throw cameAfter(one.code)
  }
  await strikeAll(db, moment, touched, undefined, requestId)
  return touched.map((one) => one.code)
}

/** Strikes out entries of several lots, the parts before what they were taken from. */
async function strikeAll(
  db: Client,
  moment: Moment,
  touched: readonly Touched[],
  why: string | undefined,
  requestId: string,
): Promise<void> {
  const { householdId } = moment
  for (const one of touched) {
    const own = await lotCalled(db, householdId, one.code)
    const events = await ledgerOf(db, householdId, own)
    const undone = undoneIn(events)
    const strike = one.events.filter((id) => !undone.has(id))
    if (strike.length === 0) continue
    await retell(db, moment, own, { strike, ...(why === undefined ? {} : { why }) }, requestId)
    // a tag put right, and that undone, says what it said
    const label = labelTold(await ledgerOf(db, householdId, own))
    if (Object.keys(label).length > 0) await keepLabel(db, householdId, { ...own, ...label })
  }
}

async function keepLabel(db: Client, householdId: string, lot: LockedLot): Promise<void> {
  const almanac = await almanacOf(db, householdId)
  const crop = cropIn(almanac, lot.crop)
  const heap = crop.heaps.find(({ id }) => id === lot.heap)
  await setLabel(db, householdId, { ...lot, bedMarked: heap?.marksBed === true, fate: heap?.fate ?? lot.fate })
  await keepLotNow(db, householdId, lot.id, lotNow(await historyOf(db, householdId, lot.id), crop))
}

/**
 * Strikes out an entry with the act it was part of, whenever that was: the household is as if it had never been.
 * @returns codes of the lots it touched. @throws Refusal `in-the-way` for what could not have been without it
 */
export async function strikeEntry(
  db: Client,
  moment: Moment,
  code: string,
  { event, why }: { event: number; why: string },
  requestId: string,
): Promise<string[]> {
  const { householdId } = moment
  const lot = await lotCalled(db, householdId, code)
  const events = await ledgerOf(db, householdId, lot)
  if (!events.some(({ id }) => id === event)) {
    throw new Refusal('not-found', told('lots.noSuchEntry'), 'event')
  }
  if (undoneIn(events).has(event)) throw new Refusal('invalid', told('lots.struckOutAlready'), 'event')
  const touched = await actOf(db, householdId, event)
  await strikeAll(db, moment, touched, why, requestId)
  return touched.map((one) => one.code)
}

/** An entry told otherwise: another weight, count, place, day or cause, worked into all that came after. */
export async function restateEntry(
  db: Client,
  moment: Moment,
  code: string,
  { event, why, ...what }: { event: number; why: string } & Restatement,
  requestId: string,
): Promise<string[]> {
  const { householdId, today, timeZone } = moment
  const lot = await lotCalled(db, householdId, code)
  const entries = standing(await ledgerOf(db, householdId, lot))
  const entry = entries.find(({ id }) => id === event)
  if (!entry) throw new Refusal('not-found', told('lots.noSuchEntry'), 'event')
  if (what.placeId && !(await placesOf(db, householdId)).some(({ id }) => id === what.placeId)) {
    throw new Refusal('invalid', told('places.noSuchPlace'), 'placeId')
  }
  if (what.on !== undefined) {
    requireDay(what.on, today, 'on')
    if (what.on < civilDateOf(entries[0]!.atMs, timeZone)) {
      throw new Refusal('invalid', told('lots.beforeItCame'), 'on')
    }
  }
  const instead = restated(entry, what, what.on === undefined ? undefined : instantOf(what.on, 12, timeZone))
  await retell(db, moment, lot, { restate: [{ id: event, instead }], why }, requestId)
  return [code]
}

/**
 * What a tag says put right: of this lot, or of its whole harvest. The first entries move with the day.
 * @returns codes of the lots whose tag says something else now
 */
export async function relabel(
  db: Client,
  moment: Moment,
  code: string,
  { whole, why, ...is }: Correction,
  requestId: string,
): Promise<string[]> {
  const { householdId, today } = moment
  const lot = await lotCalled(db, householdId, code)
  if (is.broughtOn !== undefined) requireDay(is.broughtOn, today, 'broughtOn')
  const almanac = await almanacOf(db, householdId)
  const crop = cropIn(almanac, is.crop ?? lot.crop)
  if (is.heap !== undefined) heapOf(crop, is.heap, 'heap')
  const codes = whole && lot.harvestId ? await codesOfHarvest(db, householdId, lot.harvestId) : [code]
  const changed: string[] = []
  for (const one of codes) {
    const own = await lotCalled(db, householdId, one)
    // a heap is one lot's own
    const { heap, ...shared } = is
    const label: Partial<Label> = { ...shared, ...(one === code && heap !== undefined ? { heap } : {}) }
    if (label.crop !== undefined && label.heap === undefined) label.heap = heapLike(crop, own.heap)
    if (await relabelOne(db, moment, own, label, why, requestId)) changed.push(one)
  }
  if (changed.length === 0) throw new Refusal('invalid', told('lots.tagSaysSo'))
  if (whole && lot.harvestId) await setHarvest(db, householdId, lot.harvestId, await lotCalled(db, householdId, code))
  return changed
}

async function relabelOne(
  db: Client,
  moment: Moment,
  lot: LockedLot,
  label: Partial<Label>,
  why: string | undefined,
  requestId: string,
): Promise<boolean> {
  const { householdId, nowMs, timeZone } = moment
  const crop = cropIn(await almanacOf(db, householdId), label.crop ?? lot.crop)
  if (label.crop !== undefined) requireCanBe(crop, (await historyOf(db, householdId, lot.id)).stage)
  const drafts = relabelling(await ledgerOf(db, householdId, lot), lot, label, {
    ...(label.broughtOn ? { broughtAtMs: instantOf(label.broughtOn, 12, timeZone) } : {}),
    ...(why ? { why } : {}),
    says: (e) => eventSays(crop, e, null),
  })
  if (drafts.length === 0) return false
  await keepLabel(db, householdId, { ...lot, ...given(label) })
  await enter(db, householdId, lot.id, new Date(nowMs), drafts, requestId, crop)
  return true
}

/** What of a tag was given. */
const given = (label: Partial<Label>): Partial<Label> =>
  Object.fromEntries(Object.entries(label).filter(([, value]) => value !== undefined))

/** A harvest that never was: all of its lots, with all that happened to them. */
export async function strikeHarvest(
  db: Client,
  moment: Moment,
  code: string,
  why: string,
  requestId: string,
): Promise<string[]> {
  const { householdId } = moment
  const lot = await lotCalled(db, householdId, code)
  const codes = lot.harvestId ? await codesOfHarvest(db, householdId, lot.harvestId) : [code]
  const touched: Touched[] = []
  for (const one of codes) {
    const own = await lotCalled(db, householdId, one)
    touched.push({ code: one, events: standing(await ledgerOf(db, householdId, own)).map(({ id }) => id) })
  }
  await strikeAll(db, moment, touched, why, requestId)
  return codes
}

/** The entry by which what was just written on a lot can be undone, and what that says. */
export async function lastOn(
  db: Client,
  { householdId }: Moment,
  code: string,
): Promise<{ entry: number; says: Message }> {
  const lot = await lotCalled(db, householdId, code)
  const last = lastActed(await ledgerOf(db, householdId, lot))!
  const place = (await placesOf(db, householdId)).find(({ id }) => id === last.placeId)
  const crop = cropIn(await almanacOf(db, householdId), lot.crop)
  return { entry: last.id, says: eventSays(crop, last, place?.name ?? null) }
}
