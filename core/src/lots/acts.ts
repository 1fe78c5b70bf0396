import { Refusal } from '../refusal'
import type { CleaningStep, Crop } from '../crops'
import { dayMs } from '../household'
import { conditioningVerdict, dehydratingOf } from '../line'
import { draft, type EventDetails, type EventDraft } from './event'
import type { LotHistory } from './history'
import { gramsOfPieces, piecesOfGrams, type Quantity } from './quantity'
import { strikeOut, weighingChangeG } from './strike'

/** Surprises are asked about, never refused for good: `sure` passes. */
const surpriseShare = 1.2

/** Pieces or grams, one of the two. */
export interface Taking {
  pieces?: number
  weightG?: number
}

/** Sizes and kinds a lot is sorted into besides its main one. */
export const gradeNames = ['large', 'middling', 'small', 'seconds'] as const
export interface Grade {
  grade: (typeof gradeNames)[number]
  weightG: number
  pieces?: number
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
      /** so many nets, sacks, jars */
      units?: number
      /** tops, roots and what was cut away, weighed */
      wasteG?: number
      grades?: Grade[]
      sure?: boolean
    }
  | { act: 'check'; lookedAt: number; faults: { fault: string; pieces: number; action: string }[] }
  | ({ act: 'use' | 'give' | 'plant' } & Taking)
  | ({ act: 'lose'; cause: string } & Taking)
  | { act: 'correct'; weightG: number; pieces?: number; why: string }
  | { act: 'note'; text: string }
  | { act: 'strike'; event: number; why: string }
  | { act: 'clean'; step: CleaningStep; weightG: number }
  | { act: 'load'; takenG?: number; weightG: number; trays: number; airC: number; placeId: string; sure?: boolean }
  | { act: 'grade'; grades: Grade[] }
  | { act: 'rotate' }
  | { act: 'jar'; weightG: number; sure?: boolean }
  | { act: 'shake'; beads: boolean; mould: boolean; jarHumidityPct?: number }

/** What an act writes: events of the lot, and of the lots it splits off. */
export interface ActOutcome {
  events: EventDraft[]
  /** lots split off, each with the heap it is (the lot's own when null), in the order of the split-out events */
  splitsOff?: { heap: string | null; events: EventDraft[] }[]
}

export interface ActContext {
  crop: Crop
  lot: LotHistory
  nowMs: number
  /** how air moves in a place when nothing is done about it */
  airflowOf: (placeId: string) => 'still' | 'breezy'
}

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

function requireStage(lot: LotHistory, stage: LotHistory['stage'], says: string): void {
  if (lot.stage !== stage) throw new Refusal(`not-${stage}`, says)
}
const requireDrying = (lot: LotHistory) => requireStage(lot, 'drying', 'This lot is not on the line.')

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
  const { pack, placeId, units, wasteG, grades = [] } = act
  const details = { ...(act.neck ? { neck: act.neck } : {}), pack }
  const pieces = act.pieces ?? piecesBefore ?? 0
  const main = draft('finished', {
    weightG: act.weightG - before,
    pieces: pieces - (piecesBefore ?? 0),
    placeId,
    details: { ...details, ...(units ? { units } : {}), ...(wasteG ? { wasteG } : {}) },
  })
  const sizes = graded(grades, act.weightG, pieces, placeId, details)
  return { ...sizes, events: [main, ...sizes.events] }
}

/** Sizes taken out of a lot, each as a lot of its own. */
function graded(
  grades: readonly Grade[],
  weightG: number,
  pieces: number,
  placeId: string | null,
  details: EventDetails,
): ActOutcome {
  const sum = grades.reduce((all, g) => ({ g: all.g + g.weightG, n: all.n + (g.pieces ?? 0) }), { g: 0, n: 0 })
  if (grades.length > 0 && (sum.g >= weightG || (pieces > 0 && sum.n >= pieces))) {
    throw new Refusal('invalid', 'The sizes must be part of the whole: together fewer and lighter.', 'grades')
  }
  if (new Set(grades.map((g) => g.grade)).size < grades.length) {
    throw new Refusal('invalid', 'Each size can be given once.', 'grades')
  }
  const sizes = grades.map((g) => ({
    ...g,
    // an uncounted size of a counted lot gets its share by weight
    pieces: g.pieces ?? (pieces > 0 ? piecesOfGrams({ weightG, pieces }, g.weightG) : 0),
  }))
  return {
    events: sizes.map((g) =>
      draft('split-out', {
        weightG: -g.weightG,
        pieces: g.pieces ? -g.pieces : 0,
        details: { why: `${g.grade} ones` },
      }),
    ),
    splitsOff: sizes.map((g) => ({
      heap: g.grade,
      events: [draft('split-in', { weightG: g.weightG, pieces: g.pieces, placeId, details })],
    })),
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

const stepWords = { thresh: 'threshing', sieve: 'sieving', winnow: 'winnowing' } as const

function cleaned(act: Extract<LotAct, { act: 'clean' }>, { crop, lot }: ActContext): EventDraft {
  if (!crop.cleaning?.includes(act.step)) {
    throw new Refusal('invalid', `${crop.name} asks for no ${stepWords[act.step]}.`, 'step')
  }
  if (act.weightG > lot.quantity.weightG) {
    throw new Refusal(
      'invalid',
      `After ${stepWords[act.step]} it cannot weigh more than the ${lot.quantity.weightG} g there were. Weigh it whole first if that is wrong.`,
      'weightG',
    )
  }
  return draft('cleaned', {
    weightG: act.weightG - lot.quantity.weightG,
    details: { step: act.step, scaleG: act.weightG },
  })
}

/** The whole lot or a part of it goes on the trays, peeled and cut; a part becomes a lot of its own. */
function loaded(act: Extract<LotAct, { act: 'load' }>, { crop, lot }: ActContext): ActOutcome {
  const { airC } = dehydratingOf(crop)
  if (lot.stage === 'dryer') throw new Refusal('invalid', 'It is in the dryer already.')
  const { weightG: there, pieces } = lot.quantity
  const taken = act.takenG ?? there
  if (taken > there) throw new Refusal('not-enough', `There are only ${there} g left.`, 'takenG')
  if (act.weightG > taken) {
    throw new Refusal('invalid', `${act.weightG} g on the trays is more than the ${taken} g taken for it.`, 'weightG')
  }
  const [lo, hi] = airC.value
  if (!act.sure && (act.airC < lo - 8 || act.airC > hi + 8)) {
    throw new Refusal(
      'surprise',
      `${act.airC} °C is far from the usual ${lo === hi ? lo : `${lo}–${hi}`} °C: too cool sours, too hot hardens the outside. Keep it anyway?`,
      'airC',
    )
  }
  const load = (from: number, counted: number) =>
    draft('loaded', {
      weightG: act.weightG - from,
      pieces: counted ? -counted : 0,
      placeId: act.placeId,
      details: { trays: act.trays, airC: act.airC, scaleG: act.weightG },
    })
  if (taken === there) return { events: [load(there, pieces ?? 0)] }
  const part = taken === 0 ? 0 : piecesOfGrams(lot.quantity, taken)
  return {
    events: [draft('split-out', { weightG: -taken, pieces: part ? -part : 0, details: { why: 'to the dryer' } })],
    splitsOff: [
      {
        heap: null,
        events: [
          draft('split-in', { weightG: taken, pieces: part, placeId: act.placeId, details: { stage: 'fresh' } }),
          load(taken, part),
        ],
      },
    ],
  }
}

function jarred(act: Extract<LotAct, { act: 'jar' }>, lot: LotHistory): EventDraft {
  requireStage(lot, 'dryer', 'This lot is not in the dryer.')
  const { weightG } = lot.quantity
  if (!act.sure && act.weightG > weightG * surpriseShare) {
    throw new Refusal(
      'surprise',
      `${act.weightG} g is more than went in: it stands at ${weightG} g. Look at the scale once more, or keep it anyway.`,
      'weightG',
    )
  }
  return draft('jarred', { weightG: act.weightG - weightG, details: { scaleG: act.weightG } })
}

/** A look at the conditioning jar, and what follows from it. */
function shaken(act: Extract<LotAct, { act: 'shake' }>, { lot, crop, nowMs }: ActContext): EventDraft[] {
  requireStage(lot, 'conditioning', 'This lot is in no conditioning jar.')
  const { beads, mould, jarHumidityPct } = act
  const seen = { beads, mould, ...(jarHumidityPct === undefined ? {} : { jarHumidityPct }) }
  const { verdict } = conditioningVerdict({ day: jarDay(lot, nowMs), ...seen })
  const events = [draft('shaken', { details: seen })]
  const { weightG, pieces } = lot.quantity
  if (verdict === 'throw-out') {
    events.push(
      draft('lost', { weightG: -weightG, pieces: pieces ? -pieces : 0, details: { cause: 'Mould in the jar' } }),
    )
  } else if (verdict === 'back-to-dryer') {
    const last = lot.loads.at(-1)
    const details = { trays: last?.trays ?? 1, airC: last?.airC ?? dehydratingOf(crop).airC.value[0], scaleG: weightG }
    events.push(draft('loaded', { placeId: lot.placeId, details: { ...details, why: 'back from the jar' } }))
  } else if (verdict === 'done') {
    events.push(draft('finished', { placeId: lot.placeId, details: { pack: 'jar' } }))
  }
  return events
}

/** Day of conditioning, from 1. */
export const jarDay = (lot: Pick<LotHistory, 'jar'>, nowMs: number): number =>
  lot.jar ? Math.floor((nowMs - lot.jar.atMs) / dayMs + 0.5) + 1 : 1
