import type { NewHarvest, NewPick } from '@vadose/contract/intake'
import type { Crop, Habits } from '@vadose/core/almanac'
import { cropIn, naturalAirflow } from '@vadose/core/forecast'
import { daysBetween, instantOf, mondayOf } from '@vadose/core/households'
import { hungTooLong, proposePickPlace, requireDay, requireUsualSize, standsToJoin } from '@vadose/core/intake'
import { bringIn, codeStem, draft, nextLotCode } from '@vadose/core/lots'
import { term, told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { addLot, codesLike, enter, lockLot } from '../lots'
import { placesInUse } from '../places'
import { historyOf } from '../projections'
import type { Moment } from '../visit'
import { addHarvest, lastHarvests, pickLotSince } from './queries'

/** Writes a harvest: its lots and their first events. Runs inside the caller's transaction. */
export async function writeHarvest(db: Client, moment: Moment, harvest: NewHarvest) {
  const { householdId, nowMs, today, timeZone } = moment
  const almanac = await almanacOf(db, householdId)
  const crop = cropIn(almanac, harvest.crop)
  requireDay(harvest.harvestedOn, today, 'harvestedOn')
  if (!harvest.sure) requireUsualSize(crop, harvest.totalG, false, 'totalG')
  // what was lifted on an earlier day has hung since that noon
  const at = new Date(harvest.harvestedOn === today ? nowMs : instantOf(harvest.harvestedOn, 12, timeZone))
  const places = await placesInUse(db, householdId)
  harvest.heaps.forEach((heap, i) => {
    if (heap.placeId && !places.some((place) => place.id === heap.placeId)) {
      throw new Refusal('invalid', told('places.noSuchPlace'), `heaps/${i}/placeId`)
    }
  })
  const fallback = places[0]?.id
  if (!fallback) throw new Refusal('invalid', told('intake.noPlaceYet'), 'heaps')
  const heaps = harvest.heaps.map((heap) => ({ ...heap, placeId: heap.placeId ?? fallback }))
  const drafts = bringIn(crop, harvest.totalG, heaps, naturalAirflow(places))
  const variety = harvest.variety?.trim() || null
  const bed = harvest.bed?.trim() || null
  const harvestId = await addHarvest(db, householdId, {
    crop: crop.id,
    variety,
    bed,
    harvestedOn: harvest.harvestedOn,
    totalG: harvest.totalG,
    signShare: harvest.signShare ?? null,
    bedMarked: drafts.some((one) => one.heap.marksBed),
  })
  const year = Number(harvest.harvestedOn.slice(0, 4))
  const codes = await codesLike(db, householdId, codeStem(crop.letter, year))
  const made: { code: string; heap: string; weightG: number }[] = []
  for (const [i, { heap, events }] of drafts.entries()) {
    const { addTo } = heaps[i]!
    const { weightG } = events[0]!
    if (addTo) {
      const join = { ...heaps[i]!, code: addTo, crop, habits: almanac.habits, field: `heaps/${i}/addTo`, at }
      await addToLot(db, moment, join, heap.hangs, harvest.requestId)
      made.push({ code: addTo, heap: heap.id, weightG })
      continue
    }
    const code = nextLotCode(crop.letter, year, codes)
    codes.push(code)
    const lotId = await addLot(db, householdId, {
      code,
      crop: crop.id,
      heap: heap.id,
      fate: heap.fate,
      harvestId,
      splitFrom: null,
      broughtOn: harvest.harvestedOn,
      variety,
      bed,
      bedMarked: heap.marksBed === true,
    })
    await enter(db, householdId, lotId, at, events, harvest.requestId, crop)
    made.push({ code, heap: heap.id, weightG })
  }
  return made
}

/** What is worked out when heaps join: the weight from the count, or the count from the mean. */
const guessedOf = (join: { pieces?: number; guessed?: boolean }, counted: boolean) =>
  join.guessed
    ? { guessed: 'weight' as const }
    : counted && join.pieces === undefined
      ? { guessed: 'pieces' as const }
      : {}

/** Another harvest put to an earlier lot: same crop, same heap, and not so much later that it dries apart. */
async function addToLot(
  db: Client,
  { householdId, today }: Moment,
  join: {
    code: string
    crop: Crop
    heap: string
    weightG: number
    pieces?: number
    guessed?: boolean
    habits: Habits
    field: string
    at: Date
  },
  hangs: boolean,
  requestId: string,
): Promise<void> {
  const lot = await lockLot(db, householdId, join.code)
  if (!lot) throw new Refusal('not-found', told('lots.noLot', { code: join.code }), join.field)
  if (lot.crop !== join.crop.id || lot.heap !== join.heap) {
    throw new Refusal('invalid', told('intake.joinsAnother', { code: join.code }), join.field)
  }
  const { quantity, stage, frozen, made, unit } = await historyOf(db, householdId, lot.id)
  if (!standsToJoin(stage, hangs) || frozen || made || unit) {
    throw new Refusal('invalid', told('intake.goneOnItsWay', { code: join.code }), join.field)
  }
  if (hangs && hungTooLong(lot.broughtOn, today, join.habits)) {
    throw new Refusal(
      'invalid',
      told('intake.hungTooLong', { code: join.code, days: daysBetween(lot.broughtOn, today) }),
      join.field,
    )
  }
  // a counted lot stays counted: what was only weighed is counted by its mean
  const pieces =
    quantity.pieces === null
      ? 0
      : (join.pieces ?? Math.max(1, Math.round((join.weightG * quantity.pieces) / Math.max(1, quantity.weightG))))
  await enter(
    db,
    householdId,
    lot.id,
    join.at,
    [draft('brought-in', { weightG: join.weightG, pieces, details: { ...guessedOf(join, quantity.pieces !== null) } })],
    requestId,
    join.crop,
  )
}

/** Writes the daily pick: it joins this week's lot of the crop. */
export async function writePick(db: Client, moment: Moment, { requestId, crop: id, weightG, pieces, sure }: NewPick) {
  const { householdId, today } = moment
  const crop = cropIn(await almanacOf(db, householdId), id)
  const heap = crop.heaps[0]!
  if (heap.hangs) throw new Refusal('invalid', told('intake.bringInAsHarvest', { crop: term(crop.name) }), 'crop')
  if (!sure) requireUsualSize(crop, weightG, true, 'weightG')
  const place = proposePickPlace(await placesInUse(db, householdId))
  const addTo = await pickLotSince(db, householdId, crop.id, heap.id, mondayOf(today), today)
  const last = (await lastHarvests(db, householdId)).find((h) => h.crop === crop.id)
  return writeHarvest(db, moment, {
    requestId,
    crop: crop.id,
    harvestedOn: today,
    totalG: weightG,
    sure: true,
    ...(last?.variety ? { variety: last.variety } : {}),
    ...(last?.bed ? { bed: last.bed } : {}),
    heaps: [
      {
        heap: heap.id,
        weightG,
        ...(pieces ? { pieces } : {}),
        ...(addTo ? { addTo } : place ? { placeId: place } : {}),
      },
    ],
  })
}
