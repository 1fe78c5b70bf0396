import { cropIn, cropNow, naturalAirflow } from '@vadose/core/forecast'
import type { Message } from '@vadose/core/message'
import { codeStem, eventSays, nextLotCode, perform, standing, type LotAct } from '@vadose/core/lots'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import type { Client } from '../database'
import { entryNumbers, historyFrom, ledgersOfCode, setupOf, type ByHeart } from '../projections'
import type { Moment } from '../visit'
import { enter } from './ledger'
import { addLot, codesLike, lockLot } from './queries'

/** What an act wrote: codes of the lots it split off, and its last entry. */
export interface Written {
  made: string[]
  entry: number
  says: Message
}

/** Where an act puts things. */
const placesNamed = (act: LotAct): string[] =>
  act.act === 'sort'
    ? act.heaps.flatMap(({ placeId }) => (placeId ? [placeId] : []))
    : 'placeId' in act && act.placeId !== undefined
      ? [act.placeId]
      : []

/** An act writes so many entries in its own lot's ledger, or rarely more. */
const entriesOfAct = 2

/**
 * A lot and its ledger, as an act on it begins.
 * @param known what this server knows of it by heart
 */
export async function lotActedOn(db: Client, householdId: string, code: string, known?: ByHeart) {
  const [lot, ledgers, numbers] = await Promise.all([
    lockLot(db, householdId, code),
    known?.ledgers ?? ledgersOfCode(db, householdId, code),
    entryNumbers(db, entriesOfAct),
  ])
  return { lot, ledgers, numbers, history: known?.history ?? (lot && historyFrom(ledgers, lot.id)) }
}

/** Writes an act on a lot: its events, and the lots it splits off. */
export const writeAct = async (db: Client, moment: Moment, code: string, act: LotAct, requestId: string | null) =>
  writeActOn(await lotActedOn(db, moment.householdId, code), db, moment, code, act, requestId)

/** The same, with the lot read under the household's lock already. */
export async function writeActOn(
  { lot, ledgers, numbers, history }: Awaited<ReturnType<typeof lotActedOn>>,
  db: Client,
  { householdId, nowMs, setupRevision }: Moment,
  code: string,
  act: LotAct,
  requestId: string | null,
): Promise<Written> {
  if (!lot || !history) throw new Refusal('not-found', told('lots.noLot', { code }))
  const { almanac, places } = await setupOf(db, householdId, setupRevision)
  const grown = cropIn(almanac, lot.crop)
  for (const id of placesNamed(act)) {
    const place = places.find((one) => one.id === id)
    if (!place) throw new Refusal('invalid', told('places.noSuchPlace'), 'placeId')
    if (place.retiredOn) throw new Refusal('invalid', told('places.outOfUse', { place: place.name }), 'placeId')
  }
  // what ends a jar of dried fruit is not what ends fruit
  const crop = history.stage === 'stored' ? cropNow(history, grown) : grown
  const outcome = perform(act, { crop, lot: history, nowMs, airflowOf: naturalAirflow(places), habits: almanac.habits })
  const at = new Date(nowMs)
  const made: string[] = []
  const year = Number(lot.broughtOn.slice(0, 4))
  const codes = outcome.splitsOff ? await codesLike(db, householdId, codeStem(crop.letter, year)) : []
  for (const split of outcome.splitsOff ?? []) {
    const newCode = nextLotCode(crop.letter, year, codes)
    codes.push(newCode)
    made.push(newCode)
    const id = await addLot(db, householdId, {
      ...lot,
      code: newCode,
      heap: split.heap ?? lot.heap,
      fate: split.fate ?? lot.fate,
      splitFrom: lot.id,
      // the lot it comes from marks it
      bedMarked: false,
    })
    const events = split.events.map((event) =>
      event.kind === 'split-in' ? { ...event, details: { ...event.details, code } } : event,
    )
    await enter(db, householdId, id, at, events, requestId, grown)
  }
  let split = 0
  const events = outcome.events.map((event) =>
    event.kind === 'split-out' ? { ...event, details: { ...event.details, code: made[split++]! } } : event,
  )
  // parts are told of what they were taken from as that was just before: their entries come first
  const own = { ledgers, numbers: made.length > 0 ? [] : numbers }
  const written = await enter(db, householdId, lot.id, at, events, requestId, grown, own)
  const last = standing([...ledgers.get(lot.id)!.events, ...written]).at(-1)!
  const placeName = places.find(({ id }) => id === last.placeId)?.name ?? null
  return { made, entry: last.id, says: eventSays(crop, last, placeName) }
}
