import { createHash } from 'node:crypto'
import type { NewStockLine } from '@vadose/contract/larder'
import { oldestStockDays } from '@vadose/core/assumptions'
import { cropIn } from '@vadose/core/forecast'
import { daysBetween, instantOf } from '@vadose/core/households'
import { requireDay } from '@vadose/core/intake'
import { stockEvents } from '@vadose/core/larder'
import { codeStem, draft, nextLotCode } from '@vadose/core/lots'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { addLot, codesLike, enter } from '../lots'
import { placesInUse } from '../places'
import type { Moment } from '../visit'

/** Each line is an act of its own, that can be undone by itself: the first has the request's number, the others one made from it. */
function numberOf(requestId: string | null, line: number): string | null {
  if (line === 0 || requestId === null) return requestId
  const hex = createHash('sha256').update(`${requestId} ${line}`).digest('hex')
  return [hex.slice(0, 8), hex.slice(8, 12), `8${hex.slice(13, 16)}`, `8${hex.slice(17, 20)}`, hex.slice(20, 32)].join(
    '-',
  )
}

/** Writes lines of stock, each a lot of its own; all or none. */
export async function writeStock(
  db: Client,
  { householdId, nowMs, today, timeZone }: Moment,
  lines: readonly NewStockLine[],
  requestId: string | null,
): Promise<{ code: string; weightG: number }[]> {
  const almanac = await almanacOf(db, householdId)
  const places = await placesInUse(db, householdId)
  const codes = new Map<string, string[]>()
  const made: { code: string; weightG: number }[] = []
  for (const [i, line] of lines.entries()) {
    const field = `lines/${i}`
    const crop = cropIn(almanac, line.crop)
    const on = line.on ?? today
    requireDay(on, today, `${field}/on`, oldestStockDays)
    if (!places.some(({ id }) => id === line.placeId)) {
      throw new Refusal('invalid', told('places.noSuchPlaceOrRetired'), `${field}/placeId`)
    }
    const lifeDays = line.bestBefore === undefined ? (line.lifeDays ?? null) : daysBetween(on, line.bestBefore)
    if (lifeDays !== null && lifeDays < 1) {
      throw new Refusal('invalid', told('larder.packetDateTooEarly'), `${field}/bestBefore`)
    }
    const events = stockEvents(
      crop,
      {
        name: line.name?.trim() || null,
        form: line.form,
        source: line.source,
        unit: line.unit ?? null,
        pieces: line.pieces ?? null,
        weightG: line.weightG ?? null,
        size: line.size?.trim() || null,
        placeId: line.placeId,
        prepared: line.prepared?.trim() || null,
        recipe: line.recipe?.trim() || null,
        processed: line.processed?.trim() || null,
        lifeDays,
        tasteAfterDays: line.tasteAfterDays ?? null,
      },
      field,
    )
    const note = line.note?.trim()
    if (note) events.push(draft('noted', { details: { text: note } }))
    const stem = codeStem(crop.letter, Number(on.slice(0, 4)))
    const taken = codes.get(stem) ?? (await codesLike(db, householdId, stem))
    const code = nextLotCode(crop.letter, Number(on.slice(0, 4)), taken)
    codes.set(stem, [...taken, code])
    const id = await addLot(db, householdId, {
      code,
      crop: crop.id,
      heap: 'sound',
      fate: 'store',
      harvestId: null,
      splitFrom: null,
      broughtOn: on,
      variety: line.variety?.trim() || null,
      bed: null,
      bedMarked: false,
    })
    const at = new Date(on === today ? nowMs : instantOf(on, 12, timeZone))
    await enter(db, householdId, id, at, events, numberOf(requestId, i), crop)
    made.push({ code, weightG: events[0]!.weightG })
  }
  return made
}
