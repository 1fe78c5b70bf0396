import { looksCorrelation } from '../assumptions'
import { lnBetaBinomial } from '../chance'
import { priorWeights, runningShare, soundShare, type LifeModel, type LotBelief } from '../keeping'

/** One looking-over of a lot. */
export interface Check {
  /** day of the lot's life model */
  day: number
  lookedAt: number
  bad: number
  /** pieces in the lot then; how much of it the look cleaned. A large lot when left out */
  lotSize?: number
}

/**
 * What checks teach about a lot's life. Each check is a binomial draw from the share bad by then; the bad found are
 * taken out, so what stays is as much cleaner as the look covered.
 * @param spread new bad ones a week for each bad one lying there
 * @param checks by rising day
 * @param nowDay the belief is for this day
 */
export function beliefAfterChecks(model: LifeModel, checks: readonly Check[], nowDay: number, spread = 0): LotBelief {
  const n = model.scales.length
  const logWeight = Float64Array.from(priorWeights(model), (w) => Math.log(w))
  const badShare = new Float64Array(n)
  let day = 0
  for (const check of [...checks].sort((a, b) => a.day - b.day)) {
    age(model, badShare, day, check.day, spread)
    day = check.day
    const covered = check.lotSize ? Math.min(1, check.lookedAt / check.lotSize) : 0
    for (let j = 0; j < n; j++) {
      const p = Math.min(1 - 1e-9, Math.max(1e-9, badShare[j]!))
      logWeight[j]! += lnBetaBinomial(check.lookedAt, check.bad, p, looksCorrelation)
      badShare[j] = (p * (1 - covered)) / (1 - p * covered)
    }
  }
  age(model, badShare, day, nowDay, spread)
  const best = Math.max(...logWeight)
  const weights = logWeight.map((log) => Math.exp(log - best))
  const total = weights.reduce((a, b) => a + b, 0)
  return { weights: weights.map((w) => w / total), badShare }
}

/** Lets the lot stand from one day to another: sound pieces go bad as the model says, and bad ones spoil others. */
function age(model: LifeModel, badShare: Float64Array, from: number, to: number, spread: number): void {
  const steps = spread > 0 ? Math.max(1, Math.ceil((to - from) / 4)) : 1
  const step = (to - from) / steps
  for (let j = 0; j < badShare.length; j++) {
    let before = soundShare(model, from, j)
    for (let s = 1; s <= steps; s++) {
      const now = soundShare(model, from + s * step, j)
      const kept = before > 1e-12 ? now / before : 0
      const bad = badShare[j]!
      // those going bad in this step spoil others for half of it
      const going = (1 - bad) * (1 - kept)
      const running = spread > 0 ? runningShare(model, from + (s - 1) * step - 20, from + s * step, j) : 0
      const spoilt = (spread / 7) * step * running * (bad + going / 2) * (1 - bad - going)
      badShare[j] = Math.min(1, bad + going + spoilt)
      before = now
    }
  }
}

/** Share sound now, over all scales. */
export const soundNow = (belief: LotBelief): number =>
  Math.min(
    1,
    belief.weights.reduce((sum, w, j) => sum + w * (1 - belief.badShare[j]!), 0),
  )
