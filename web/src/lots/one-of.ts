import type { LotRow } from '@vadose/contract/lots'
import { lotCrop } from '../almanac'

/** a handful of what is tiny */
const handfulG = 50

/** What one tap takes of a lot that is not counted: the weight of a usual piece, g. */
export const littleOf = (lot: LotRow): number =>
  Math.min(lot.weightG, Math.max(handfulG, Math.round(lotCrop(lot).pieceG.value)))

/** One tap takes a piece, or a little. */
export const oneOf = (lot: LotRow): { pieces: number } | { weightG: number } =>
  lot.pieces === null ? { weightG: littleOf(lot) } : { pieces: 1 }

const closedIn = ['jar', 'bottle', 'tin', 'box']

/** Closed and counted: one is opened, and the rest stays closed. */
export const opensOne = (lot: LotRow): boolean =>
  lot.pieces !== null &&
  lot.aside === null &&
  lot.stage === 'stored' &&
  (['jarred', 'brined'].includes(lot.form) || closedIn.includes(lot.unit ?? ''))
