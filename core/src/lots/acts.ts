import { Refusal } from '../refusal'
import { requireDrying, surpriseShare, type ActContext, type ActOutcome, type LotAct, type Taking } from './act'
import { jarred, loaded, shaken } from './dryer-acts'
import { draft, type EventDraft } from './event'
import { cleaned, finished, graded } from './finish-acts'
import type { LotHistory } from './history'
import { gramsOfPieces, piecesOfGrams, type Quantity } from './quantity'
import { strikeOut, weighingChangeG } from './strike'

/**
 * Turns an act into ledger events.
 * @throws Refusal when the lot cannot do that, with what would be possible
 */
export function perform(act: LotAct, context: ActContext): ActOutcome {
  const { lot } = context
  if (lot.stage === 'gone' && !['correct', 'note', 'strike'].includes(act.act)) {
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
    case 'grade': {
      if (lot.stage !== 'stored')
        throw new Refusal('not-stored', 'Sizes are sorted when it is taken down, or in store.')
      const { pack, placeId, quantity } = lot
      return graded(act.grades, quantity.weightG, quantity.pieces ?? 0, placeId, pack ? { pack } : {})
    }
    case 'strike':
      return { events: [strikeOut(lot.events, act.event, act.why)] }
    case 'clean':
      return { events: [cleaned(act, context)] }
    case 'load':
      return loaded(act, context)
    case 'rotate':
      if (lot.stage !== 'dryer' && lot.stage !== 'drying') {
        throw new Refusal('not-dryer', 'This lot lies neither on trays nor on the line.')
      }
      return { events: [draft('rotated')] }
    case 'jar':
      return { events: [jarred(act, lot)] }
    case 'shake':
      return { events: shaken(act, context) }
  }
}

function weighed(act: Extract<LotAct, { act: 'weigh' }>, lot: LotHistory): EventDraft {
  const { weightG: now } = lot.quantity
  const details = { scaleG: act.weightG, basis: act.basis }
  if (lot.stage === 'dryer' && act.basis !== 'lot') {
    throw new Refusal('invalid', 'In the dryer the whole load is weighed.', 'basis')
  }
  const earlier = lot.stage === 'dryer' ? undefined : lot.weighings.filter((w) => w.basis === act.basis).at(-1)
  const against = act.basis === 'lot' ? now : (earlier?.weightG ?? now)
  if (!act.sure && (act.weightG > against * surpriseShare || (earlier && act.weightG < against * 0.4))) {
    throw new Refusal(
      'surprise',
      `${act.weightG} g is ${act.weightG > against ? 'more' : 'less'} than it can well be: it was ${against} g. Look at the scale once more, or keep it anyway.`,
      'weightG',
    )
  }
  return draft('weighed', { weightG: weighingChangeG(now, act.weightG, act.basis, earlier?.weightG), details })
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
  // nothing weighs nothing: with the last gram the last piece goes
  if (act.weightG === 0 && act.pieces) {
    throw new Refusal('invalid', 'Pieces that weigh nothing are none; say what they weigh.', 'pieces')
  }
  const now = quantity.pieces ?? 0
  const pieces = act.weightG === 0 ? 0 - now : act.pieces === undefined ? 0 : act.pieces - now
  if (act.weightG === quantity.weightG && pieces === 0) {
    throw new Refusal('invalid', 'That is what it stands at already.', 'weightG')
  }
  return draft('corrected', { weightG: act.weightG - quantity.weightG, pieces, details: { why: act.why } })
}
