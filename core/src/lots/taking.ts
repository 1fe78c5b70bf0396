import { told } from '../message'
import { Refusal } from '../refusal'
import type { Taking } from './act'
import { draft, type EventDraft } from './event'
import { gramsOfPieces, piecesOfGrams, type Quantity } from './quantity'

/**
 * Pieces or grams that leave a lot; the other of the two is worked out.
 * @throws Refusal `invalid`, `not-enough`
 */
export function taken(kind: EventDraft['kind'], taking: Taking, quantity: Quantity): EventDraft {
  if ((taking.pieces === undefined) === (taking.weightG === undefined)) {
    throw new Refusal('invalid', told('lots.piecesOrGrams'), 'pieces')
  }
  if (taking.pieces !== undefined) {
    const weightG = -gramsOfPieces(quantity, taking.pieces)
    return draft(kind, { weightG, pieces: -taking.pieces, details: { by: 'pieces' } })
  }
  const pieces = 0 - piecesOfGrams(quantity, taking.weightG!)
  return draft(kind, { weightG: -taking.weightG!, pieces, details: { by: 'weight' } })
}
