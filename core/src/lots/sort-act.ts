import { feeding } from '../almanac'
import { grams, term, told } from '../message'
import { Refusal } from '../refusal'
import {
  gradeNames,
  type ActContext,
  type ActOutcome,
  type Grade,
  type SortAct,
  type SortFate,
  type SortHeap,
} from './act'
import { daysAside } from './aside'
import { asideReasons, draft, endings, type Ending, type EventDraft } from './event'
import { guessedBy } from './guessed'
import type { LotHistory } from './history-type'
import { gramsOfPieces, piecesOfGrams, type Quantity } from './quantity'
import { mostWaterShare, surpriseShare } from '../assumptions'

interface Amount {
  weightG: number
  pieces: number
  by?: 'pieces' | 'weight' | 'all'
}

type SortedAside = (typeof asideReasons)[number]
const isAside = (fate: SortFate): fate is SortedAside => (asideReasons as readonly string[]).includes(fate)
const isEnding = (fate: SortFate): fate is Ending => (endings as readonly string[]).includes(fate)
const isGrade = (fate: SortFate): fate is Grade['grade'] => (gradeNames as readonly string[]).includes(fate)

function amountOf({ weightG, pieces, all }: SortHeap, left: Quantity, field: string): Amount {
  if (all) return { weightG: left.weightG, pieces: left.pieces ?? 0, by: 'all' }
  if (weightG === undefined && pieces === undefined) {
    throw new Refusal('invalid', told('lots.howMuchOfHeap'), `${field}/weightG`)
  }
  if (weightG === undefined) {
    return { weightG: gramsOfPieces(left, pieces!), pieces: pieces!, by: 'pieces' }
  }
  if (weightG > left.weightG) {
    throw new Refusal('not-enough', told('lots.onlyWeightOfIt', { weight: grams(left.weightG) }), `${field}/weightG`)
  }
  if (pieces === undefined || left.pieces === null) {
    return { weightG, pieces: piecesOfGrams(left, weightG), by: 'weight' }
  }
  const toTheLast = weightG === left.weightG
  if (pieces > left.pieces || (pieces === left.pieces) !== toTheLast) {
    throw new Refusal(
      'not-enough',
      told('lots.onlyBoth', { pieces: left.pieces, weight: grams(left.weightG) }),
      `${field}/pieces`,
    )
  }
  return { weightG, pieces }
}

/** Pieces of a heap, where the lot is not counted by their usual weight. */
const piecesIn = (amount: Amount, { pieceG }: ActContext['crop']): number =>
  amount.pieces || Math.max(1, Math.round(amount.weightG / pieceG.value))

/**
 * A lot poured out and sorted by fate: each heap becomes a lot of its own, is set aside, or ends. It was looked over whole.
 * @throws Refusal when the heaps are more than the lot, or one cannot be
 */
export function sorted(act: SortAct, context: ActContext): ActOutcome {
  const { crop, lot } = context
  if (!['stored', 'fresh', 'drying'].includes(lot.stage)) {
    throw new Refusal('not-stored', told('lots.notSortedInDryer'))
  }
  const given = act.heaps.filter(({ weightG, pieces }) => weightG !== 0 && pieces !== 0)
  // what takes all the rest comes last, and what goes back stays where it is
  const rank = ({ fate, all }: SortHeap) => (fate === 'store' ? 2 : all ? 1 : 0)
  const wanted = [...given].sort((a, b) => rank(a) - rank(b))
  if (wanted.filter(({ all }) => all).length > 1) {
    throw new Refusal('invalid', told('lots.oneHeapTakesRest'), 'heaps')
  }
  if (wanted.length === 0) throw new Refusal('invalid', told('lots.nothingSortedOut'), 'heaps')
  const events: EventDraft[] = []
  const splitsOff: NonNullable<ActOutcome['splitsOff']> = []
  const left = { ...lot.quantity }
  const table = weighedOnTheTable(act, wanted, lot)
  if (table) {
    events.push(table)
    left.weightG += table.weightG
  }
  const before = { ...left }
  let away = 0
  const faults = new Map<string, number>()
  let kept: SortHeap | undefined
  for (const heap of wanted) {
    const field = `heaps/${act.heaps.indexOf(heap)}`
    if (heap.fault !== undefined && !crop.faults.some(({ id }) => id === heap.fault)) {
      throw new Refusal('invalid', told('lots.noFault', { crop: term(crop.name), fault: heap.fault }), `${field}/fault`)
    }
    if (heap.fate === 'store') {
      if (kept) throw new Refusal('invalid', told('lots.backAsOneHeap'), field)
      kept = heap
      continue
    }
    if (heap.all && left.weightG === 0) continue
    const amount = amountOf(heap, left, field)
    left.weightG -= amount.weightG
    if (left.pieces !== null) left.pieces -= amount.pieces
    if (isEnding(heap.fate) || heap.fate === 'cut-round' || heap.fault !== undefined) away += piecesIn(amount, crop)
    if (heap.fault !== undefined) faults.set(heap.fault, (faults.get(heap.fault) ?? 0) + piecesIn(amount, crop))
    const made = outcomeOf(heap, amount, context, field)
    events.push(made.event)
    if (made.split) splitsOff.push(made.split)
  }
  const missing = act.rest === 'missing' ? missingOf(kept, left) : undefined
  if (missing) {
    events.push(missing)
    left.weightG += missing.weightG
  }
  if (kept?.placeId && kept.placeId !== lot.placeId && left.weightG > 0) {
    events.push(draft('moved', { placeId: kept.placeId, details: { airflow: context.airflowOf(kept.placeId) } }))
  }
  if (lot.stage === 'stored' && left.weightG > 0) events.unshift(lookedOver(before, away, faults, crop))
  return { events, splitsOff }
}

/** What is on no heap though the table is empty: all that is left but what went back. */
function missingOf(kept: SortHeap | undefined, left: Quantity): EventDraft | undefined {
  const back =
    kept && !kept.all
      ? amountOf(kept, left, 'heaps')
      : { weightG: kept ? left.weightG : 0, pieces: kept ? (left.pieces ?? 0) : 0 }
  const weightG = left.weightG - back.weightG
  if (weightG <= 0) return undefined
  return draft('lost', {
    weightG: 0 - weightG,
    pieces: 0 - ((left.pieces ?? 0) - back.pieces),
    details: { cause: 'not accounted for', ...(kept ? {} : { by: 'all' as const }) },
  })
}

/** Where every heap was weighed, what was poured out weighs what they sum to: the rest went as water. */
function weighedOnTheTable(act: SortAct, heaps: readonly SortHeap[], lot: LotHistory): EventDraft | undefined {
  const onScale = heaps.every(({ weightG }) => weightG !== undefined)
  const sum = heaps.reduce((all, { weightG = 0 }) => all + weightG, 0)
  const { weightG: stood } = lot.quantity
  // all of it was on the scale: what is missing went as water, as long as that can be
  const water = act.rest === 'missing' && sum >= stood * (1 - mostWaterShare)
  if (!onScale || sum === stood || !(water || sum > stood)) return undefined
  if (!act.sure && sum > stood * surpriseShare) {
    throw new Refusal('surprise', told('lots.moreThanPoured', { sum: grams(sum), stood: grams(stood) }), 'heaps')
  }
  return draft('weighed', { weightG: sum - stood, details: { scaleG: sum, basis: 'lot', why: 'on the table' } })
}

function lookedOver(
  { weightG, pieces }: Quantity,
  away: number,
  faults: ReadonlyMap<string, number>,
  crop: ActContext['crop'],
): EventDraft {
  const all = pieces ?? Math.max(1, Math.round(weightG / crop.pieceG.value))
  return draft('checked', {
    details: {
      lookedAt: all,
      bad: Math.min(away, all),
      faults: [...faults].map(([fault, count]) => ({ fault, pieces: count, action: 'sorted' })),
      lotSize: all,
      why: 'sorted through',
    },
  })
}

function outcomeOf(
  { fate, placeId, days, to, fault }: SortHeap,
  { weightG, pieces, by }: Amount,
  { crop, lot, habits }: ActContext,
  field: string,
): { event: EventDraft; split?: NonNullable<ActOutcome['splitsOff']>[number] } {
  const change = { weightG: 0 - weightG, pieces: 0 - pieces }
  const cause = crop.faults.find(({ id }) => id === fault)?.label
  const said = { ...(by ? { by } : {}), ...(cause ? { fault: fault!, cause } : {}) }
  if (fate === 'use') return { event: draft('used', { ...change, details: said }) }
  if (fate === 'give') return { event: draft('given', { ...change, details: said }) }
  if (fate === 'feed') {
    requireFeedable(crop, `${field}/fate`)
    return { event: draft('fed', { ...change, details: { ...said, to: to ?? 'hens' } }) }
  }
  if (isEnding(fate))
    return { event: draft('lost', { ...change, details: { cause: cause ?? 'sorted out', ...said, to: fate } }) }
  const where = placeId ?? lot.placeId
  const aside = isAside(fate) ? { why: fate, days: days ?? daysAside(crop, fate, habits) } : undefined
  const stage = aside ? 'fresh' : lot.stage === 'stored' || lot.stage === 'gone' ? undefined : lot.stage
  const heap = isGrade(fate) ? fate : fate === 'plant' ? 'planting' : null
  const why = isGrade(fate) ? `${fate} ones` : fate === 'plant' ? 'for planting' : undefined
  return {
    event: draft('split-out', {
      ...change,
      details: { ...said, ...(why ? { why } : {}), ...(aside ? { aside } : {}) },
    }),
    split: {
      heap,
      ...(fate === 'plant' ? { fate: 'plant' } : {}),
      events: [
        draft('split-in', {
          weightG,
          pieces,
          placeId: where,
          details: {
            ...(lot.pack ? { pack: lot.pack } : {}),
            ...(stage === 'fresh' || stage === 'drying' ? { stage } : {}),
            ...(aside ? { aside } : {}),
            ...(by === undefined ? {} : guessedBy(by, lot.quantity.pieces !== null)),
            ...(cause ? { fault: fault!, cause } : {}),
          },
        }),
      ],
    },
  }
}

/** @throws Refusal for what harms animals */
export function requireFeedable(crop: ActContext['crop'], field: string): void {
  const { safe, says } = feeding(crop)
  if (!safe) throw new Refusal('not-fed', told('lots.notFed', { why: term(says) }), field)
}
