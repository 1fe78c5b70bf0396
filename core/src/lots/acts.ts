import { Refusal } from '../refusal'
import type { Crop } from '../crops'
import { draft, type EventDraft } from './event'
import type { LotHistory } from './history'
import { gramsOfPieces, piecesOfGrams, type Quantity } from './quantity'

/** Surprises are asked about, never refused for good: `sure` passes. */
const surpriseShare = 1.2

/** Pieces or grams, one of the two. */
export interface Taking {
  pieces?: number
  weightG?: number
}

export type LotAct =
  | { act: 'weigh'; weightG: number; basis: 'lot' | 'bunch'; sure?: boolean }
  | { act: 'test'; results: { test: string; passed: boolean }[] }
  | { act: 'fan'; on: boolean }
  | { act: 'move'; placeId: string }
  | {
      act: 'finish'
      neck?: string
      pack: string
      placeId: string
      weightG: number
      pieces?: number
      small?: { weightG: number; pieces: number }
      sure?: boolean
    }
  | { act: 'check'; lookedAt: number; faults: { fault: string; pieces: number; action: string }[] }
  | ({ act: 'use' | 'give' | 'plant' } & Taking)
  | ({ act: 'lose'; cause: string } & Taking)
  | { act: 'correct'; weightG: number; pieces?: number; why: string }
  | { act: 'note'; text: string }

/** What an act writes: events of the lot, and of the lot it splits off, if it does. */
export interface ActOutcome {
  events: EventDraft[]
  splitOff?: { label: string; events: EventDraft[] }
}

export interface ActContext {
  crop: Crop
  lot: LotHistory
  /** how air moves in a place when nothing is done about it */
  airflowOf: (placeId: string) => 'still' | 'breezy'
}

/**
 * Turns an act into ledger events.
 * @throws Refusal when the lot cannot do that, with what would be possible
 */
export function perform(act: LotAct, context: ActContext): ActOutcome {
  const { lot } = context
  if (lot.stage === 'gone' && act.act !== 'correct' && act.act !== 'note') {
    throw new Refusal('gone', 'Nothing is left of this lot. Correct its weight first if that is wrong.')
  }
  switch (act.act) {
    case 'weigh':
      return { events: [weighed(act, lot)] }
    case 'test':
      return { events: [tested(act.results, context)] }
    case 'fan': {
      requireDrying(lot)
      const natural = lot.placeId ? context.airflowOf(lot.placeId) : 'breezy'
      return { events: [draft('fan', { details: { airflow: act.on ? 'fan' : natural } })] }
    }
    case 'move':
      return { events: [moved(act.placeId, context)] }
    case 'finish':
      return finished(act, context)
    case 'check':
      return { events: checked(act, context) }
    case 'use':
      return { events: [taken('used', act, lot.quantity)] }
    case 'give':
      return { events: [taken('given', act, lot.quantity)] }
    case 'plant':
      return { events: [taken('planted', act, lot.quantity)] }
    case 'lose': {
      const event = taken('lost', act, lot.quantity)
      return { events: [{ ...event, details: { cause: act.cause } }] }
    }
    case 'correct':
      return { events: [corrected(act, lot.quantity)] }
    case 'note':
      return { events: [draft('noted', { details: { text: act.text } })] }
  }
}

function requireDrying(lot: LotHistory): void {
  if (lot.stage !== 'drying') throw new Refusal('not-drying', 'This lot is not on the line.')
}

function weighed(act: Extract<LotAct, { act: 'weigh' }>, lot: LotHistory): EventDraft {
  const { weightG: now } = lot.quantity
  const details = { scaleG: act.weightG, basis: act.basis }
  const earlier = lot.weighings.filter((w) => w.basis === act.basis).at(-1)
  const against = act.basis === 'lot' ? now : (earlier?.weightG ?? now)
  if (!act.sure && (act.weightG > against * surpriseShare || (earlier && act.weightG < against * 0.4))) {
    throw new Refusal(
      'surprise',
      `${act.weightG} g is ${act.weightG > against ? 'more' : 'less'} than it can well be: it was ${against} g. Look at the scale once more, or keep it anyway.`,
      'weightG',
    )
  }
  if (act.basis === 'lot') return draft('weighed', { weightG: act.weightG - now, details })
  // a marked bunch stands for the lot: the lot has lost in the same proportion
  const change = earlier ? Math.round(now * (act.weightG / earlier.weightG)) - now : 0
  return draft('weighed', { weightG: Math.max(change, 1 - now), details })
}

function tested(results: { test: string; passed: boolean }[], { crop, lot }: ActContext): EventDraft {
  requireDrying(lot)
  for (const r of results) {
    if (!crop.curing?.endTests.some((t) => t.id === r.test)) {
      throw new Refusal('invalid', `${crop.name} has no end test “${r.test}”.`, 'results')
    }
  }
  return draft('tested', { details: { results } })
}

function moved(placeId: string, { lot, airflowOf }: ActContext): EventDraft {
  if (placeId === lot.placeId) throw new Refusal('invalid', 'It is there already.', 'placeId')
  return draft('moved', { placeId, ...(lot.stage === 'drying' ? { details: { airflow: airflowOf(placeId) } } : {}) })
}

function finished(act: Extract<LotAct, { act: 'finish' }>, { crop, lot }: ActContext): ActOutcome {
  requireDrying(lot)
  if (crop.necks.length > 0 ? !crop.necks.some((n) => n.id === act.neck) : act.neck !== undefined) {
    throw new Refusal('invalid', `No neck “${act.neck ?? ''}”.`, 'neck')
  }
  if (!crop.packs.some((p) => p.id === act.pack)) throw new Refusal('invalid', `No pack “${act.pack}”.`, 'pack')
  const { weightG: before, pieces: piecesBefore } = lot.quantity
  if (!act.sure && act.weightG > before * surpriseShare) {
    throw new Refusal(
      'surprise',
      `${act.weightG} g is more than went on the line: it stands at ${before} g. Look at the scale once more, or keep it anyway.`,
      'weightG',
    )
  }
  const { pack, placeId, small } = act
  const details = { ...(act.neck ? { neck: act.neck } : {}), pack }
  const pieces = act.pieces ?? piecesBefore ?? 0
  if (small && (small.weightG >= act.weightG || small.pieces >= pieces)) {
    throw new Refusal('invalid', 'The small ones must be part of the whole: fewer and lighter.', 'small')
  }
  const events = [
    draft('finished', {
      weightG: act.weightG - before,
      pieces: pieces - (piecesBefore ?? 0),
      placeId,
      details,
    }),
  ]
  if (!small) return { events }
  events.push(draft('split-out', { weightG: -small.weightG, pieces: -small.pieces, details: { why: 'small ones' } }))
  return {
    events,
    splitOff: {
      label: 'small',
      events: [draft('split-in', { weightG: small.weightG, pieces: small.pieces, placeId, details })],
    },
  }
}

function taken(kind: EventDraft['kind'], taking: Taking, quantity: Quantity): EventDraft {
  if ((taking.pieces === undefined) === (taking.weightG === undefined)) {
    throw new Refusal('invalid', 'Say how many pieces or how many grams, one of the two.', 'pieces')
  }
  if (taking.pieces !== undefined) {
    return draft(kind, { weightG: -gramsOfPieces(quantity, taking.pieces), pieces: -taking.pieces })
  }
  const pieces = piecesOfGrams(quantity, taking.weightG!)
  return draft(kind, { weightG: -taking.weightG!, pieces: pieces === 0 ? 0 : -pieces })
}

function checked(act: Extract<LotAct, { act: 'check' }>, { crop, lot }: ActContext): EventDraft[] {
  const start = lot.quantity
  if (start.pieces !== null && act.lookedAt > start.pieces) {
    throw new Refusal('invalid', `There are only ${start.pieces} to look at.`, 'lookedAt')
  }
  const bad = act.faults.reduce((sum, f) => sum + f.pieces, 0)
  if (bad > act.lookedAt) {
    throw new Refusal('invalid', `${bad} faulty of ${act.lookedAt} looked at cannot be.`, 'faults')
  }
  const events = [
    draft('checked', {
      details: {
        lookedAt: act.lookedAt,
        bad,
        faults: act.faults,
        ...(start.pieces !== null ? { lotSize: start.pieces } : {}),
      },
    }),
  ]
  const left = { ...start }
  for (const found of act.faults) {
    const fault = crop.faults.find((f) => f.id === found.fault)
    const action = fault?.actions.find((a) => a.id === found.action)
    if (!fault || !action) {
      throw new Refusal('invalid', `${crop.name} has no fault “${found.fault}” with “${found.action}”.`, 'faults')
    }
    if (action.becomes === 'kept') continue
    const event =
      left.pieces === null
        ? draft(action.becomes, { weightG: -Math.min(left.weightG, Math.round(found.pieces * crop.pieceG.value)) })
        : taken(action.becomes, { pieces: found.pieces }, left)
    events.push({ ...event, details: { fault: fault.id, cause: fault.label } })
    left.weightG += event.weightG
    if (left.pieces !== null) left.pieces += event.pieces
  }
  return events
}

function corrected(act: Extract<LotAct, { act: 'correct' }>, quantity: Quantity): EventDraft {
  const pieces = act.pieces === undefined ? 0 : act.pieces - (quantity.pieces ?? 0)
  if (act.weightG === quantity.weightG && pieces === 0) {
    throw new Refusal('invalid', 'That is what it stands at already.', 'weightG')
  }
  return draft('corrected', { weightG: act.weightG - quantity.weightG, pieces, details: { why: act.why } })
}
