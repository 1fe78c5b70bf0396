import { fallenShare, surpriseShare, thinLayerGain } from '../assumptions'
import { grams, term, told } from '../message'
import { Refusal } from '../refusal'
import { requireDrying, type ActContext, type ActOutcome, type LotAct } from './act'
import { jarred, loaded, shaken } from './dryer-acts'
import { draft, type AsideReason, type EventDetails, type EventDraft } from './event'
import { cleaned, finished, graded } from './finish-acts'
import { frozen } from './freeze-act'
import type { LotHistory } from './history-type'
import type { Quantity } from './quantity'
import { daysAside } from './aside'
import { hungAgain, moved } from './move-acts'
import { weighingChangeG } from './retell'
import { requireFeedable, sorted } from './sort-act'
import { opened } from './open-act'
import { taken } from './taking'
import { used } from './use-act'

/**
 * Turns an act into ledger events.
 * @throws Refusal when the lot cannot do that, with what would be possible
 */
export function perform(act: LotAct, context: ActContext): ActOutcome {
  const { lot } = context
  if (lot.stage === 'gone' && !['correct', 'note', 'judge', 'tag'].includes(act.act)) {
    throw new Refusal('gone', told('lots.nothingLeft'))
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
    case 'thin': {
      requireDrying(lot)
      const now = lot.airflow.at(-1)
      if (now?.gain) throw new Refusal('invalid', told('lots.thinnerAlready'))
      return { events: [draft('fan', { details: { airflow: now?.airflow ?? 'breezy', gain: thinLayerGain } })] }
    }
    case 'move':
      return moved(act, context)
    case 'hang':
      return { events: [hungAgain(act, context)] }
    case 'sort':
      return sorted(act, context)
    case 'tag':
      return { events: [draft('tagged')] }
    case 'finish':
      return finished(act, context)
    case 'check':
      return checked(act, context)
    case 'freeze':
      return frozen(act, context)
    case 'use':
      return used(act, context)
    case 'open':
      return opened(act, context)
    case 'give':
      return { events: [taken('given', act, lot.quantity)] }
    case 'plant': {
      const event = taken('planted', act, lot.quantity)
      const bed = act.bed?.trim()
      return { events: [bed ? { ...event, details: { ...event.details, bed } } : event] }
    }
    case 'lose': {
      const event = taken('lost', act, lot.quantity)
      return {
        events: [{ ...event, details: { ...event.details, cause: act.cause, ...(act.to ? { to: act.to } : {}) } }],
      }
    }
    case 'feed': {
      requireFeedable(context.crop, 'act')
      const event = taken('fed', act, lot.quantity)
      return { events: [{ ...event, details: { ...event.details, to: act.to } }] }
    }
    case 'correct':
      return { events: [corrected(act, lot.quantity)] }
    case 'note':
      return {
        events: [draft('noted', { details: { text: act.text, ...(act.mindOn ? { mindOn: act.mindOn } : {}) } })],
      }
    case 'germinate': {
      const { sown, came } = act
      if (came > sown) throw new Refusal('invalid', told('lots.cannotComeUp', { came, sown }), 'came')
      return {
        events: [draft('noted', { details: { text: `germination test: ${came} of ${sown} came up`, sown, came } })],
      }
    }
    case 'judge':
      return { events: [draft('noted', { details: { verdict: act.verdict } })] }
    case 'grade': {
      if (lot.stage !== 'stored') throw new Refusal('not-stored', told('lots.sizesLater'))
      const { pack, placeId, quantity } = lot
      return graded(act.grades, quantity.weightG, quantity.pieces ?? 0, placeId, pack ? { pack } : {})
    }
    case 'clean':
      return { events: [cleaned(act, context)] }
    case 'load':
      return loaded(act, context)
    case 'rotate':
      if (lot.stage !== 'dryer' && lot.stage !== 'drying') {
        throw new Refusal('not-dryer', told('lots.neitherTraysNorLine'))
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
    throw new Refusal('invalid', told('lots.wholeLoadWeighed'), 'basis')
  }
  const earlier = lot.stage === 'dryer' ? undefined : lot.weighings.filter((w) => w.basis === act.basis).at(-1)
  const against = act.basis === 'lot' ? now : (earlier?.weightG ?? now)
  if (!act.sure && (act.weightG > against * surpriseShare || (earlier && act.weightG < against * fallenShare))) {
    throw new Refusal(
      'surprise',
      told('lots.strangeWeight', {
        weight: grams(act.weightG),
        more: act.weightG > against ? 'yes' : 'no',
        was: grams(against),
      }),
      'weightG',
    )
  }
  return draft('weighed', { weightG: weighingChangeG(now, act.weightG, act.basis, earlier?.weightG), details })
}

function tested(results: { test: string; passed: boolean }[], { crop, lot }: ActContext): EventDraft {
  requireDrying(lot)
  for (const r of results) {
    if (!crop.curing?.endTests.some((t) => t.id === r.test)) {
      throw new Refusal('invalid', told('lots.noEndTest', { crop: term(crop.name), test: r.test }), 'results')
    }
  }
  return draft('tested', { details: { results } })
}

function checked(act: Extract<LotAct, { act: 'check' }>, context: ActContext): ActOutcome {
  const { crop, lot } = context
  const start = lot.quantity
  if (start.pieces !== null && act.lookedAt > start.pieces) {
    throw new Refusal('invalid', told('lots.onlySoManyToLookAt', { pieces: start.pieces }), 'lookedAt')
  }
  const bad = act.faults.reduce((sum, f) => sum + f.pieces, 0)
  if (bad > act.lookedAt) {
    throw new Refusal('invalid', told('lots.moreFaultyThanLookedAt', { bad, lookedAt: act.lookedAt }), 'faults')
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
  const take = (kind: EventDraft['kind'], pieces: number): EventDraft => {
    const event =
      left.pieces === null
        ? draft(kind, { weightG: 0 - Math.min(left.weightG, Math.round(pieces * crop.pieceG.value)) })
        : taken(kind, { pieces }, left)
    left.weightG += event.weightG
    if (left.pieces !== null) left.pieces += event.pieces
    return event
  }
  const setAside = new Map<AsideReason, { pieces: number; said: EventDetails }>()
  for (const found of act.faults) {
    const fault = crop.faults.find((f) => f.id === found.fault)
    const action = fault?.actions.find((a) => a.id === found.action)
    if (!fault || !action) {
      throw new Refusal(
        'invalid',
        told('lots.noFaultWith', { crop: term(crop.name), fault: found.fault, action: found.action }),
        'faults',
      )
    }
    if (action.becomes === 'kept') continue
    const said = { fault: fault.id, cause: fault.label, ...(action.to ? { to: action.to } : {}) }
    if (action.becomes !== 'set-aside') {
      const event = take(action.becomes, found.pieces)
      events.push({ ...event, details: { ...event.details, ...said } })
      continue
    }
    // what is used the same way lies together, whatever was wrong with it
    const why = action.aside ?? 'eat-first'
    setAside.set(why, { pieces: (setAside.get(why)?.pieces ?? 0) + found.pieces, said })
  }
  const aside = [...setAside].map(([why, { pieces, said }]): [AsideReason, EventDraft] => {
    const event = take('split-out', pieces)
    return [
      why,
      { ...event, details: { ...event.details, ...said, aside: { why, days: daysAside(crop, why, context.habits) } } },
    ]
  })
  events.push(...aside.map(([, event]) => event))
  return {
    events,
    splitsOff: aside.map(([why, out]) => ({
      heap: null,
      events: [
        draft('split-in', {
          weightG: 0 - out.weightG,
          pieces: 0 - out.pieces,
          placeId: lot.placeId,
          details: {
            stage: 'fresh',
            aside: { why, days: daysAside(crop, why, context.habits) },
            // faults are counted, never weighed
            guessed: 'weight',
            ...(out.details.fault ? { fault: out.details.fault, cause: out.details.cause! } : {}),
          },
        }),
      ],
    })),
  }
}

function corrected(act: Extract<LotAct, { act: 'correct' }>, quantity: Quantity): EventDraft {
  // nothing weighs nothing: with the last gram the last piece goes
  if (act.weightG === 0 && act.pieces) {
    throw new Refusal('invalid', told('lots.weightlessPieces'), 'pieces')
  }
  const now = quantity.pieces ?? 0
  const pieces = act.weightG === 0 ? 0 - now : act.pieces === undefined ? 0 : act.pieces - now
  if (act.weightG === quantity.weightG && pieces === 0) {
    throw new Refusal('invalid', told('lots.standsAtThat'), 'weightG')
  }
  const counted = act.pieces === undefined ? {} : { counted: act.pieces }
  return draft('corrected', {
    weightG: act.weightG - quantity.weightG,
    pieces,
    details: { why: act.why, scaleG: act.weightG, ...counted },
  })
}
