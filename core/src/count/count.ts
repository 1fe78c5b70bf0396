import { driedExplains, paceExplains } from '../assumptions'
import { told, grams, type Message } from '../message'
import { Refusal } from '../refusal'
import { draft, type EventDraft, type LotHistory, type Quantity } from '../lots'

/** Rows × a row + loose, as somebody says it standing before the shelf. */
export interface Shelved {
  rows: number
  inRow: number
  loose: number
  total: number
}

/**
 * Reads what was typed before a shelf: “3x4+2”, “3*4 2”, “14”, “2x6+2x4+1”.
 * @returns undefined for what is no count; rows and loose of the last block of rows, for the drawing
 * @example readShelf('3x4+2') // { rows: 3, inRow: 4, loose: 2, total: 14 }
 */
export function readShelf(typed: string): Shelved | undefined {
  const text = typed
    .toLowerCase()
    .replace(/[×*]/g, 'x')
    .replace(/\s*x\s*/g, 'x')
    .replace(/[\s+]+/g, '+')
    .replace(/^\+|\+$/g, '')
  if (!/^\d{1,5}(x\d{1,4})?(\+\d{1,5}(x\d{1,4})?)*$/.test(text)) return undefined
  let total = 0
  let loose = 0
  let [rows, inRow] = [0, 0]
  for (const part of text.split('+')) {
    const [a, b] = part.split('x').map(Number) as [number, number | undefined]
    total += a * (b ?? 1)
    if (b === undefined) loose += a
    else [rows, inRow] = [a, b]
  }
  return total <= 100_000 ? { rows, inRow, loose, total } : undefined
}

/** Why what is there is not what the books say. */
export const countCauses = ['eaten', 'given', 'lost', 'dried-out', 'found', 'miscounted', 'unknown'] as const
export type CountCause = (typeof countCauses)[number]

export interface Counted {
  thereG: number | null
  therePieces: number | null
}

/** What was counted against what the books say, the one that was not counted worked out from the lot's mean. */
export function offOf({ thereG, therePieces }: Counted, { weightG, pieces }: Quantity) {
  if (therePieces === null) return { pieces: null, weightG: (thereG ?? 0) - weightG }
  const had = pieces ?? 0
  const mean = had > 0 ? weightG / had : 0
  const off = therePieces - had
  return { pieces: off, weightG: therePieces === 0 ? 0 - weightG : Math.round(off * mean) }
}

/** What is known of a line when its difference is to be explained. */
export interface CountContext {
  /** used of this lot a week, in pieces where it is counted, else g; null where it was never used */
  usedPerWeek: number | null
  /** the spread of that */
  used: Message
  weeksSince: number
  /** water it can have lost since it was last weighed, g: least and most; none in jars and bags */
  waterG: [number, number]
  countedBefore: boolean
}

export interface CountProposal {
  cause: CountCause
  why: Message
}

/** Likely causes of a difference, best first; “unknown” is always an answer, and the last. */
export function proposalsFor(off: { pieces: number | null; weightG: number }, context: CountContext): CountProposal[] {
  const by = off.pieces ?? off.weightG
  if (by === 0) return []
  if (by > 0) {
    return [
      { cause: 'found', why: told('count.whyElsewhere') },
      {
        cause: 'miscounted',
        why: told('count.whyMiscountedMore', { counted: context.countedBefore ? 'yes' : 'no' }),
      },
      { cause: 'unknown', why: told('count.whyNobodyKnows') },
    ]
  }
  const missing = 0 - by
  const proposals: CountProposal[] = []
  const [least, most] = context.waterG
  if (off.pieces === null && most > 0 && missing <= most * driedExplains) {
    proposals.push({
      cause: 'dried-out',
      why: told('count.whyWater', { least: grams(Math.round(least)), most: grams(Math.round(most)) }),
    })
  }
  const expected = (context.usedPerWeek ?? 0) * Math.max(1, context.weeksSince)
  if (expected >= missing * paceExplains) {
    proposals.push({ cause: 'eaten', why: told('count.whyUsualPace', { used: context.used }) })
  }
  if (!proposals.some(({ cause }) => cause === 'eaten')) {
    proposals.push({
      cause: 'eaten',
      why:
        context.usedPerWeek === null ? told('count.whyUnwritten') : told('count.whySomebody', { used: context.used }),
    })
  }
  proposals.push(
    { cause: 'lost', why: told('count.whyThrownAway') },
    {
      cause: 'miscounted',
      why: told('count.whyMiscounted', { counted: context.countedBefore ? 'yes' : 'no' }),
    },
    { cause: 'unknown', why: told('count.whyUnknown') },
  )
  return proposals
}

/**
 * What books a difference: an entry that says what it was.
 * @throws Refusal `invalid` for a cause that cannot be: what is more than the books say was not eaten
 */
export function bookedAs(
  cause: CountCause,
  counted: Counted,
  { quantity }: Pick<LotHistory, 'quantity'>,
): EventDraft | undefined {
  const off = offOf(counted, quantity)
  const pieces = off.pieces ?? piecesLeft(counted, quantity)
  if (off.weightG === 0 && pieces === 0) return undefined
  const more = (off.pieces ?? off.weightG) > 0
  if (more !== (cause === 'found') && !['miscounted', 'unknown'].includes(cause)) {
    throw new Refusal('invalid', more ? told('count.moreThanBooks') : told('count.lessThanBooks'), 'causes')
  }
  const change = { weightG: off.weightG, pieces }
  const why = 'counted on the shelf'
  switch (cause) {
    case 'eaten':
      return draft('used', { ...change, details: { why } })
    case 'given':
      return draft('given', { ...change, details: { why } })
    case 'lost':
      return draft('lost', { ...change, details: { cause: 'found missing at the count', why } })
    case 'dried-out':
      return draft('weighed', { ...change, details: { why, scaleG: quantity.weightG + off.weightG, basis: 'lot' } })
    case 'unknown':
      if (!more) return draft('lost', { ...change, details: { cause: 'gone, cause unknown', why } })
  }
  return draft('corrected', {
    ...change,
    details: {
      why:
        cause === 'found'
          ? 'found at the count'
          : cause === 'unknown'
            ? 'more at the count, cause unknown'
            : 'miscounted before',
    },
  })
}

/** Weighed, a counted lot that is empty has no piece left; otherwise the count stands. */
const piecesLeft = ({ thereG }: Counted, { pieces }: Quantity): number => (thereG === 0 && pieces ? 0 - pieces : 0)

/** Share of what the books said that was really there, by weight: every gram off, more or less, counts against it. */
export function truthOf(lines: readonly { expectedG: number; offG: number }[]): number {
  const expected = lines.reduce((sum, { expectedG }) => sum + expectedG, 0)
  const off = lines.reduce((sum, { offG }) => sum + Math.abs(offG), 0)
  return expected === 0 ? 1 : Math.max(0, 1 - off / expected)
}
