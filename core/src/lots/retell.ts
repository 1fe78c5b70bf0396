import { told, type Part } from '../message'
import { Refusal } from '../refusal'
import { draft, type EventDraft, type EventKind, type LotEvent, type Telling } from './event'
import { stageAfter } from './history'
import type { Stage } from './history-type'
import { gramsOfPieces, piecesOfGrams } from './quantity'
import { standing, undoneIn } from './undo'

export type Entry = LotEvent & { id: number }

/** Which entries are struck out, and which are told otherwise. */
export interface Retelling {
  /** numbers of entries; of one that undoes or restates, to let the earlier words stand again */
  strike?: readonly number[]
  restate?: readonly { id: number; instead: Partial<Telling> }[]
  /** why it is put right; none where the last act is simply undone */
  why?: string
}

/**
 * What a weighing changes: a whole lot stands at what the scale shows, a marked bunch stands for the lot by the share of
 * its own weight that has gone since it was first weighed.
 * @param earlierG what the scale showed of the same the last time
 */
export function weighingChangeG(
  nowG: number,
  scaleG: number,
  basis: 'lot' | 'bunch',
  earlierG: number | undefined,
): number {
  if (basis === 'lot') return scaleG - nowG
  return earlierG ? Math.max(Math.round(nowG * (scaleG / earlierG)) - nowG, 1 - nowG) : 0
}

/** Where the lot must stand for an entry to make sense. */
const needs: Partial<Record<EventKind, Stage>> = {
  tested: 'drying',
  fan: 'drying',
  jarred: 'dryer',
  shaken: 'conditioning',
}

/** What can stand before a lot came in. */
const begins: readonly EventKind[] = ['brought-in', 'added', 'split-in', 'noted', 'relabelled', 'tagged']

interface Change {
  weightG: number
  pieces: number
}

/** A lot walked through entry by entry: each change is worked out from what there is when it comes. */
class Walk {
  private weightG = 0
  private pieces = 0
  private bunchG: number | undefined
  private stage: Stage = 'fresh'
  private begun = false

  constructor(private readonly says: (e: LotEvent) => Part) {}

  /** @throws Refusal `in-the-way` for an entry that could not have been written as things stand */
  change(e: LotEvent): Change {
    const need = needs[e.kind]
    if ((need && need !== this.stage) || !(this.begun || begins.includes(e.kind))) this.refuse(e)
    this.begun ||= ['brought-in', 'added', 'split-in'].includes(e.kind)
    const made = this.changeOf(e)
    this.weightG += made.weightG
    this.pieces += made.pieces
    if (this.weightG < 0 || this.pieces < 0) this.refuse(e)
    this.stage = stageAfter(e) ?? this.stage
    return made
  }

  private changeOf(e: LotEvent): Change {
    const { scaleG, counted, by, basis = 'lot', strikes } = e.details
    const quantity = { weightG: this.weightG, pieces: this.pieces > 0 ? this.pieces : null }
    switch (e.kind) {
      case 'weighed': {
        if (scaleG === undefined) return e
        const weightG = weighingChangeG(this.weightG, scaleG, basis, this.bunchG)
        if (basis === 'bunch') this.bunchG = scaleG
        return { weightG, pieces: 0 }
      }
      case 'loaded':
        return scaleG === undefined ? e : { weightG: scaleG - this.weightG, pieces: 0 - this.pieces }
      case 'cleaned':
        // weighings made with straw on say nothing of the grain
        this.bunchG = undefined
        return scaleG === undefined ? e : { weightG: scaleG - this.weightG, pieces: e.pieces }
      case 'finished':
      case 'corrected':
      case 'jarred':
      case 'frozen':
      case 'made':
        if (scaleG === undefined || strikes !== undefined) return e
        return {
          weightG: scaleG - this.weightG,
          pieces: counted !== undefined ? counted - this.pieces : scaleG === 0 ? 0 - this.pieces : e.pieces,
        }
    }
    try {
      if (by === 'all') return { weightG: 0 - this.weightG, pieces: 0 - this.pieces }
      if (by === 'pieces') return { weightG: 0 - gramsOfPieces(quantity, -e.pieces), pieces: e.pieces }
      if (by === 'weight') return { weightG: e.weightG, pieces: 0 - piecesOfGrams(quantity, -e.weightG) }
    } catch (error) {
      if (error instanceof Refusal) this.refuse(e)
      throw error
    }
    return e
  }

  private refuse(e: LotEvent): never {
    throw new Refusal('in-the-way', told('lots.inTheWay', { entry: this.says(e) }), 'event')
  }
}

const words = ({ atMs, weightG, pieces, placeId, details }: Telling): Telling => ({
  atMs,
  weightG,
  pieces,
  placeId,
  details,
})
const same = (a: Change, b: Change) => a.weightG === b.weightG && a.pieces === b.pieces

/**
 * Puts a lot's ledger right by entries of its own. What came after is worked out anew: a later weighing still says what the
 * scale showed, three heads eaten weigh what three heads weighed then. The sum of all entries stays what the lot holds.
 * @param events the lot's ledger, oldest first
 * @param says an entry in words, for a refusal
 * @throws Refusal `not-found`, `invalid` for what is struck out already, `in-the-way`
 */
export function retold(
  events: readonly Entry[],
  { strike = [], restate = [], why }: Retelling,
  says: (e: LotEvent) => Part = (e) => e.kind,
): EventDraft[] {
  const undone = undoneIn(events)
  const byId = new Map(events.map((e) => [e.id, e]))
  for (const id of [...strike, ...restate.map((one) => one.id)]) {
    if (!byId.has(id)) throw new Refusal('not-found', told('lots.noSuchEntry'), 'event')
    if (undone.has(id)) throw new Refusal('invalid', told('lots.struckOutAlready'), 'event')
  }
  const before = new Map(standing(events).map((e) => [e.id, e]))
  const reason = why === undefined ? {} : { why }
  // the last first, as somebody goes back step by step
  const strikes = [...strike]
    .sort((a, b) => b - a)
    .map((id) => draft('undone', { details: { strikes: id, of: byId.get(id)!.kind, ...reason } }))
  let next = Math.max(0, ...events.map((e) => e.id))
  const asIf = (d: EventDraft): Entry => ({ ...d, atMs: 0, id: ++next })
  const restating = restate.map(({ id, instead }) => {
    const was = before.get(id)
    if (!was) throw new Refusal('invalid', told('lots.speaksOfAnother'), 'event')
    const telling = words({ ...was, ...instead, details: { ...was.details, ...instead.details } })
    return {
      id,
      was,
      draft: draft('restated', { details: { strikes: id, of: was.kind, instead: telling, ...reason } }),
    }
  })
  const after = standing([...events, ...strikes.map(asIf), ...restating.map((one) => asIf(one.draft))])
  const walk = new Walk(says)
  const changes = new Map(after.map((e) => [e.id, { e, change: walk.change(e) }]))

  for (const { id, was, draft: made } of restating) {
    const { change } = changes.get(id)!
    Object.assign(made.details.instead!, change)
    made.weightG = change.weightG - was.weightG
    made.pieces = change.pieces - was.pieces
  }
  const settled = new Set(restating.map((one) => one.id))
  for (const made of strikes) {
    // what one of them restates or undoes counts again as it is told without it
    const struck = byId.get(made.details.strikes!)!
    const of = struck.details.strikes ?? struck.id
    const target = ['undone', 'restated'].includes(struck.kind) ? of : struck.id
    if (settled.has(target)) continue
    const [then, now] = [before.get(target), changes.get(target)?.e]
    made.weightG = (now?.weightG ?? 0) - (then?.weightG ?? 0)
    made.pieces = (now?.pieces ?? 0) - (then?.pieces ?? 0)
    settled.add(target)
  }
  const touched = new Set(restating.map((one) => one.id))
  const follow: EventDraft[] = []
  for (const { e, change } of changes.values()) {
    if (touched.has(e.id) || same(e, change)) continue
    follow.push(
      draft('restated', {
        weightG: change.weightG - e.weightG,
        pieces: change.pieces - e.pieces,
        details: { strikes: e.id, of: e.kind, instead: { ...words(e), ...change }, ...reason },
      }),
    )
  }
  return [...strikes, ...restating.map((one) => one.draft), ...follow]
}
