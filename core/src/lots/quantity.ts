import { grams, told } from '../message'
import { Refusal } from '../refusal'

/** What a lot holds: whole grams and whole pieces, or no count. */
export interface Quantity {
  weightG: number
  pieces: number | null
}

/** A change to a lot; the lot's quantity is the sum of its changes. */
export interface QuantityChange {
  weightG: number
  pieces: number
}

/** A lot's quantity from its changes. */
export function sumOf(changes: readonly QuantityChange[], counted: boolean): Quantity {
  let weightG = 0
  let pieces = 0
  for (const change of changes) {
    weightG += change.weightG
    pieces += change.pieces
  }
  return { weightG, pieces: counted ? pieces : null }
}

/**
 * Grams of so many pieces of a lot: its own mean, rounded so that taking all pieces takes all grams.
 * @throws Refusal when more is asked for than there is
 */
export function gramsOfPieces(quantity: Quantity, pieces: number): number {
  if (quantity.pieces === null) throw new Refusal('invalid', told('lots.notCounted'), 'pieces')
  if (!Number.isInteger(pieces) || pieces < 1) throw new Refusal('invalid', told('lots.wholePieces'), 'pieces')
  if (pieces > quantity.pieces) {
    throw new Refusal('not-enough', told('lots.onlyPieces', { pieces: quantity.pieces }), 'pieces')
  }
  return pieces === quantity.pieces ? quantity.weightG : Math.round((quantity.weightG * pieces) / quantity.pieces)
}

/**
 * Pieces that go with so many grams of a counted lot: the nearest count by its own mean, never all unless all grams go.
 * @throws Refusal when more is asked for than there is
 */
export function piecesOfGrams(quantity: Quantity, weightG: number): number {
  if (!Number.isInteger(weightG) || weightG < 1)
    throw new Refusal('invalid', told('lots.weightAboveNothing'), 'weightG')
  if (weightG > quantity.weightG) {
    throw new Refusal('not-enough', told('lots.onlyWeight', { weight: grams(quantity.weightG) }), 'weightG')
  }
  if (quantity.pieces === null) return 0
  if (weightG === quantity.weightG) return quantity.pieces
  return Math.min(Math.max(0, quantity.pieces - 1), Math.round((quantity.pieces * weightG) / quantity.weightG))
}
