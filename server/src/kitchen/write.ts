import type { NewDish } from '@vadose/contract/kitchen'
import { pantry } from '@vadose/core/almanac'
import { cropIn, cropNow } from '@vadose/core/forecast'
import { bagAfterCut, dishOf, type BagVerdict, type DishLot } from '@vadose/core/kitchen'
import { codeStem, eventSays, nextLotCode } from '@vadose/core/lots'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { addLot, codesLike, enter, lockLot, type LockedLot } from '../lots'
import { placesInUse } from '../places'
import { eventsOfLots, historyOf } from '../projections'
import type { Moment } from '../visit'

interface Pot extends DishLot {
  row: LockedLot
}

/** Writes a dish: what leaves each lot, and the lot it becomes or tops up. */
export async function writeDish(
  db: Client,
  moment: Moment,
  { requestId, ...dish }: Omit<NewDish, 'requestId'> & { requestId: string | null },
) {
  const { householdId, nowMs, today } = moment
  const almanac = await almanacOf(db, householdId)
  const places = await placesInUse(db, householdId)
  const place = places.find(({ id }) => id === dish.placeId)
  if (!place) throw new Refusal('invalid', told('places.noSuchPlaceOrRetired'), 'placeId')
  const pots = new Map<string, Pot>()
  // locked in the order of their codes, so that two evenings do not wait for each other
  const codes = [...dish.takes.map(({ code }) => code.toUpperCase()), ...(dish.into ? [dish.into.toUpperCase()] : [])]
  for (const code of [...new Set(codes)].sort()) {
    const row = await lockLot(db, householdId, code)
    if (!row) throw new Refusal('not-found', told('lots.noLot', { code }), 'takes')
    const lot = await historyOf(db, householdId, row.id)
    const grown = cropIn(almanac, row.crop)
    pots.set(code, { code, row, crop: grown, lot })
  }
  const takes = dish.takes.map((one) => ({ ...one, code: one.code.toUpperCase() }))
  const into = dish.into ? pots.get(dish.into.toUpperCase()) : undefined
  if (into && takes.some(({ code }) => code === into.code)) {
    throw new Refusal('invalid', told('kitchen.toppedFromItself'), 'into')
  }
  const lots = takes.map(({ code }) => pots.get(code)!)
  const outcome = dishOf({ ...dish, takes }, lots, into)
  const main = outcome.main === null ? undefined : pots.get(outcome.main)!
  const grown = main?.crop ?? pantry
  const at = new Date(nowMs)
  const made = into
    ? into.row
    : await addDish(db, householdId, today, grown, main?.row, takes.length === 1 ? main?.row : undefined)
  // a part knows what it was taken from as that was just before: its own entries come first
  await enter(db, householdId, made.id, at, outcome.made, requestId, into?.crop ?? grown)
  for (const { code, event } of outcome.taken) {
    const pot = pots.get(code)!
    const named = { ...event, details: { ...event.details, code: made.code } }
    await enter(db, householdId, pot.row.id, at, [named], requestId, pot.crop)
  }
  const last = (await eventsOfLots(db, householdId, [made.id])).at(-1)!
  const crop = cropNow(await historyOf(db, householdId, made.id), into?.crop ?? grown)
  return {
    code: made.code,
    inG: outcome.inG,
    goneG: outcome.goneG,
    entry: last.id,
    says: eventSays(crop, last, place.name),
  }
}

/** @param alone the one lot it is made of: its variety and bed are its own */
async function addDish(
  db: Client,
  householdId: string,
  today: string,
  crop: { id: string; letter: string; heaps: { id: string }[] },
  main: LockedLot | undefined,
  alone: LockedLot | undefined,
): Promise<{ id: string; code: string }> {
  const year = Number(today.slice(0, 4))
  const code = nextLotCode(crop.letter, year, await codesLike(db, householdId, codeStem(crop.letter, year)))
  const id = await addLot(db, householdId, {
    code,
    crop: crop.id,
    heap: 'sound',
    fate: 'store',
    harvestId: null,
    broughtOn: today,
    variety: alone?.variety ?? null,
    bed: alone?.bed ?? null,
    bedMarked: false,
    splitFrom: main?.id ?? null,
  })
  return { id, code }
}

/** Books what became of each lot of bags after a power cut, all or none. */
export async function writePowerCut(
  db: Client,
  { householdId, nowMs }: Moment,
  hoursOff: number,
  bags: readonly { code: string; verdict: BagVerdict }[],
  requestId: string,
) {
  const almanac = await almanacOf(db, householdId)
  const says = `power off for ${Math.round(hoursOff * 10) / 10} h`
  let thrownOut = 0
  let last = { code: '', entry: 0 }
  for (const { code, verdict } of [...bags].sort((a, b) => (a.code < b.code ? -1 : 1))) {
    const row = await lockLot(db, householdId, code.toUpperCase())
    if (!row) throw new Refusal('not-found', told('lots.noLot', { code }), 'bags')
    const events = bagAfterCut(verdict, await historyOf(db, householdId, row.id), says, nowMs)
    await enter(db, householdId, row.id, new Date(nowMs), events, requestId, cropIn(almanac, row.crop))
    if (verdict === 'throw-out') thrownOut++
    last = { code: row.code, entry: (await eventsOfLots(db, householdId, [row.id])).at(-1)!.id }
  }
  return { kept: bags.length - thrownOut, thrownOut, ...last }
}
