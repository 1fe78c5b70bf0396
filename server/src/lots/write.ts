import type { NewHarvest } from '@vadose/contract/intake'
import { driedForm } from '@vadose/core/almanac'
import { daysBetween } from '@vadose/core/households'
import { bringIn, lotHistory, nextLotCode, perform, type LotAct } from '@vadose/core/lots'
import type { JobKind } from '@vadose/core/round'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf, cropIn } from '../almanac'
import type { Client } from '../database'
import { addHarvest } from '../intake'
import { placesOf } from '../places'
import { finishJobs } from '../round'
import { instantOf, naturalAirflow } from '../households'
import { addLot, appendEvent, codesTaken, eventsOfLot, lockLot } from './queries'

/** The household writing, and its moment. */
export interface Moment {
  householdId: string
  nowMs: number
  today: string
  timeZone: string
}

/** Older harvests than this are a slip of the year, days. */
const oldestHarvestDays = 400

/** Which open jobs an act gets done. */
const finishes: Partial<Record<LotAct['act'], JobKind[]>> = {
  weigh: ['weigh'],
  test: ['test'],
  fan: ['unstall'],
  move: ['unstall'],
  finish: ['take-down', 'test', 'weigh', 'unstall', 'turn'],
  check: ['check'],
  use: ['use'],
  load: ['use', 'check', 'test', 'weigh', 'take-down', 'unstall'],
  rotate: ['rotate', 'turn'],
  jar: ['rotate', 'take-out'],
  shake: ['shake'],
}

/** Writes a harvest: its lots and their first events. Runs inside the caller's transaction. */
export async function writeHarvest(db: Client, moment: Moment, harvest: NewHarvest) {
  const { householdId, nowMs, today, timeZone } = moment
  const crop = cropIn(await almanacOf(db, householdId), harvest.crop)
  if (harvest.harvestedOn > today) {
    throw new Refusal('invalid', `${harvest.harvestedOn} lies ahead of today, ${today}.`, 'harvestedOn')
  }
  if (daysBetween(harvest.harvestedOn, today) > oldestHarvestDays) {
    throw new Refusal(
      'invalid',
      `${harvest.harvestedOn} is more than ${oldestHarvestDays} days back; check the year.`,
      'harvestedOn',
    )
  }
  // what was lifted on an earlier day has hung since that noon
  const at = new Date(harvest.harvestedOn === today ? nowMs : instantOf(harvest.harvestedOn, 12, timeZone))
  const places = await placesOf(db, householdId)
  harvest.heaps.forEach((heap, i) => {
    if (heap.placeId && !places.some((place) => place.id === heap.placeId)) {
      throw new Refusal('invalid', 'There is no such place in this household.', `heaps/${i}/placeId`)
    }
  })
  const fallback = places[0]?.id
  if (!fallback) throw new Refusal('invalid', 'Add a place to keep things first.', 'heaps')
  const heaps = harvest.heaps.map((heap) => ({ ...heap, placeId: heap.placeId ?? fallback }))
  const drafts = bringIn(crop, harvest.totalG, heaps, naturalAirflow(places))
  const harvestId = await addHarvest(db, householdId, {
    crop: crop.id,
    variety: harvest.variety?.trim() || null,
    bed: harvest.bed?.trim() || null,
    harvestedOn: harvest.harvestedOn,
    totalG: harvest.totalG,
    signShare: harvest.signShare ?? null,
    bedMarked: drafts.some((draft) => draft.heap.marksBed),
  })
  const codes = await codesTaken(db, householdId)
  const made: { code: string; heap: string; weightG: number }[] = []
  for (const [i, draft] of drafts.entries()) {
    const { addTo } = heaps[i]!
    if (addTo) {
      await addToLot(
        db,
        moment,
        { ...heaps[i]!, code: addTo, crop: crop.id, field: `heaps/${i}/addTo`, at },
        draft.heap.hangs,
        harvest.requestId,
      )
      made.push({ code: addTo, heap: draft.heap.id, weightG: draft.events[0]!.weightG })
      continue
    }
    const code = nextLotCode(crop.letter, Number(harvest.harvestedOn.slice(0, 4)), codes)
    codes.push(code)
    const lotId = await addLot(db, householdId, {
      code,
      crop: crop.id,
      heap: draft.heap.id,
      fate: draft.heap.fate,
      harvestId,
      splitFrom: null,
      broughtOn: harvest.harvestedOn,
    })
    for (const event of draft.events) {
      await appendEvent(db, householdId, lotId, at, event, harvest.requestId)
    }
    made.push({ code, heap: draft.heap.id, weightG: draft.events[0]!.weightG })
  }
  return made
}

/** What joins a lot on the line later than this would hold it back, days. */
const joinsWithinDays = 3

/** Another harvest put to an earlier lot: same crop, same heap, and not so much later that it dries apart. */
async function addToLot(
  db: Client,
  { householdId, today }: Moment,
  join: { code: string; crop: string; heap: string; weightG: number; pieces?: number; field: string; at: Date },
  hangs: boolean,
  requestId: string,
): Promise<void> {
  const lot = await lockLot(db, householdId, join.code)
  if (!lot) throw new Refusal('not-found', `There is no lot ${join.code}.`, join.field)
  if (lot.crop !== join.crop || lot.heap !== join.heap) {
    throw new Refusal('invalid', `${join.code} is another crop or another heap.`, join.field)
  }
  const events = await eventsOfLot(db, householdId, lot.id)
  const history = lotHistory(events.map((e) => ({ ...e, atMs: e.at.getTime() })))
  if (hangs ? history.stage !== 'drying' : !['fresh', 'stored'].includes(history.stage)) {
    throw new Refusal('invalid', `${join.code} has gone on its way; make what came in a lot of its own.`, join.field)
  }
  if (hangs && daysBetween(lot.broughtOn, today) > joinsWithinDays) {
    throw new Refusal(
      'invalid',
      `${join.code} has hung for ${daysBetween(lot.broughtOn, today)} days: what comes now would hold it back. Make it a lot of its own.`,
      join.field,
    )
  }
  const { quantity } = history
  // a counted lot stays counted: what was only weighed is counted by its mean
  const pieces =
    quantity.pieces === null
      ? 0
      : (join.pieces ?? Math.max(1, Math.round((join.weightG * quantity.pieces) / Math.max(1, quantity.weightG))))
  await appendEvent(
    db,
    householdId,
    lot.id,
    join.at,
    { kind: 'brought-in', weightG: join.weightG, pieces, placeId: null, details: {} },
    requestId,
  )
}

/** Writes an act on a lot: its events, the lot it splits off, and the jobs it gets done. */
export async function writeAct(db: Client, moment: Moment, code: string, act: LotAct, requestId: string | null) {
  const { householdId, nowMs, today } = moment
  const lot = await lockLot(db, householdId, code)
  if (!lot) throw new Refusal('not-found', `There is no lot ${code}.`)
  const grown = cropIn(await almanacOf(db, householdId), lot.crop)
  const places = await placesOf(db, householdId)
  if ('placeId' in act && !places.some((place) => place.id === act.placeId)) {
    throw new Refusal('invalid', 'There is no such place in this household.', 'placeId')
  }
  const events = await eventsOfLot(db, householdId, lot.id)
  const history = lotHistory(events.map((e) => ({ ...e, atMs: e.at.getTime() })))
  // what ends a jar of dried fruit is not what ends fruit
  const crop = history.stage === 'stored' && history.loads.length > 0 ? driedForm(grown) : grown
  const outcome = perform(act, { crop, lot: history, nowMs, airflowOf: naturalAirflow(places) })
  const at = new Date(nowMs)
  const made: string[] = []
  const codes = outcome.splitsOff ? await codesTaken(db, householdId) : []
  for (const split of outcome.splitsOff ?? []) {
    const newCode = nextLotCode(crop.letter, Number(lot.broughtOn.slice(0, 4)), codes)
    codes.push(newCode)
    made.push(newCode)
    const id = await addLot(db, householdId, {
      code: newCode,
      crop: lot.crop,
      heap: split.heap ?? lot.heap,
      fate: lot.fate,
      harvestId: lot.harvestId,
      splitFrom: lot.id,
      broughtOn: lot.broughtOn,
    })
    for (const event of split.events) {
      const details = event.kind === 'split-in' ? { ...event.details, code } : event.details
      await appendEvent(db, householdId, id, at, { ...event, details }, requestId)
    }
  }
  let split = 0
  for (const event of outcome.events) {
    const details = event.kind === 'split-out' ? { ...event.details, code: made[split++]! } : event.details
    await appendEvent(db, householdId, lot.id, at, { ...event, details }, requestId)
  }
  await finishJobs(db, householdId, lot.id, finishes[act.act] ?? [], today)
  return made
}
