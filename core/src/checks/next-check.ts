import { bearableBadShare, checkIntervalDays } from '../assumptions'
import { soundShare, type LifeModel, type LotBelief } from '../keeping'

/** How fast one bad piece makes its neighbours bad: new ones a week. Judgement by how the lot lies. */
export const spreadPerWeek = {
  net: 0.3,
  sack: 0.4,
  box: 0.35,
  plait: 0.15,
  bare: 0.12,
  'damp-sand': 0.25,
  bag: 0.35,
  jar: 0.6,
} as const

/**
 * Days until the next look: the earliest day on which the newly bad, with those they will have spoilt,
 * pass what the household bears (2 in 100, at least one piece).
 * @param pieces how many there are
 * @param spread new bad ones a week for each bad one
 * @param bearable how many bad ones the household bears before it wants to look
 */
export function nextCheckInDays(
  model: LifeModel,
  belief: LotBelief,
  nowDay: number,
  pieces: number,
  spread: number,
  bearable = Math.max(1, bearableBadShare * pieces),
): number {
  const { lo, hi } = checkIntervalDays
  for (let days = lo; days < hi; days++) {
    let newlyBad = 0
    for (let j = 0; j < belief.weights.length; j++) {
      const now = soundShare(model, nowDay, j)
      const kept = now > 1e-12 ? soundShare(model, nowDay + days, j) / now : 0
      newlyBad += belief.weights[j]! * (1 - belief.badShare[j]!) * (1 - kept)
    }
    // on average a piece that goes bad in the meantime has half the time to spoil others
    if (newlyBad * pieces * (1 + (spread * days) / 14) >= bearable) return days
  }
  return hi
}
