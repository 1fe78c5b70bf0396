import { told, fieldNamed } from '../message'
import { Refusal, requireWithin } from '../refusal'

/**
 * Weight at a target moisture: dry matter is conserved, W_target = W_fresh · (1 − M0) / (1 − Mt).
 * @param freshWeightG g
 * @param freshMoisturePct water, % of the fresh weight
 * @param targetMoisturePct water, % of the finished weight
 * @returns target weight and water to lose, g; fresh to dry ratio
 * @throws Refusal `out-of-range`, `invalid` when the target is wetter than the fresh
 * @source mass balance
 * @example dryWeight(10000, 85.56, 20).targetWeightG // 1805
 */
export function dryWeight(freshWeightG: number, freshMoisturePct: number, targetMoisturePct: number) {
  requireWithin(freshWeightG, 0.001, 1e9, 'freshWeightG', 'g')
  requireWithin(freshMoisturePct, 1, 99, 'freshMoisturePct', '%')
  requireWithin(targetMoisturePct, 0, 99, 'targetMoisturePct', '%')
  if (targetMoisturePct >= freshMoisturePct) {
    throw new Refusal(
      'invalid',
      told('line.targetAboveFresh', {
        targetMoisturePct: fieldNamed('targetMoisturePct'),
        freshMoisturePct: fieldNamed('freshMoisturePct'),
      }),
      'targetMoisturePct',
    )
  }
  const targetWeightG = (freshWeightG * (100 - freshMoisturePct)) / (100 - targetMoisturePct)
  return {
    targetWeightG,
    waterToLoseG: freshWeightG - targetWeightG,
    dryingRatio: freshWeightG / targetWeightG,
  }
}

/** Moisture, kg water a kg dry matter, from wet-basis per cent. */
export const dryBasis = (wetPct: number): number => wetPct / (100 - wetPct)

/** Wet-basis per cent from dry-basis per cent. */
export const wetBasisPct = (dryPct: number): number => (100 * dryPct) / (100 + dryPct)
