import { told } from '../message'
import { normalDensity, normalQuantile } from '../chance'
import { Refusal, requireWithin } from '../refusal'
import { followsSize, sizeSpread } from '../assumptions'

export interface KeptBack {
  which: 'largest' | 'smallest'
  pieces: number
  weightG: number
  /** left to eat */
  leftPieces: number
  leftG: number
  /** what they are likely to give next year, before losses */
  nextPieces: number
  nextG: number
}

/**
 * What keeping back the largest or the smallest leaves to eat, and what it gives next year. Weights of pieces are taken
 * as normal about their mean, so that the mean of the largest share p lies φ(z)/p spreads above it.
 * @param harvestG g, all of it
 * @param pieces in the harvest
 * @param keep pieces kept back
 * @param givesPerPiece pieces lifted for each one kept: a head of garlic is planted as its cloves
 * @throws Refusal `out-of-range`, `invalid` when all of it would be kept
 */
export function keepBack(harvestG: number, pieces: number, keep: number, givesPerPiece: number): KeptBack[] {
  requireWithin(harvestG, 1, 2_000_000, 'harvestG', 'g')
  requireWithin(pieces, 2, 100_000, 'pieces', 'pieces')
  requireWithin(givesPerPiece, 0.1, 1000, 'givesPerPiece', 'pieces')
  if (!Number.isInteger(keep) || keep < 1 || keep >= pieces) {
    throw new Refusal('invalid', told('year.keepBackBetween', { most: pieces - 1 }), 'keep')
  }
  const mean = harvestG / pieces
  const share = keep / pieces
  const off = (sizeSpread * normalDensity(normalQuantile(1 - share))) / share
  return (['largest', 'smallest'] as const).map((which): KeptBack => {
    const size = Math.max(0.2, which === 'largest' ? 1 + off : 1 - off)
    const weightG = Math.min(harvestG - 1, Math.round(keep * mean * size))
    const nextPieces = Math.round(keep * givesPerPiece)
    return {
      which,
      pieces: keep,
      weightG,
      leftPieces: pieces - keep,
      leftG: harvestG - weightG,
      nextPieces,
      nextG: Math.round(nextPieces * mean * size ** followsSize),
    }
  })
}
