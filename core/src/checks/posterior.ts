import { lnChoose } from '../chance'
import { priorWeights, soundShare, type LifeModel, type LotBelief } from '../keeping'

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
 * @param checks by rising day
 * @param nowDay the belief is for this day
 */
export function beliefAfterChecks(model: LifeModel, checks: readonly Check[], nowDay: number): LotBelief {
  const n = model.scales.length
  const logWeight = Float64Array.from(priorWeights(model), (w) => Math.log(w))
  const badShare = new Float64Array(n)
  let day = 0
  for (const check of [...checks].sort((a, b) => a.day - b.day)) {
    age(model, badShare, day, check.day)
    day = check.day
    const covered = check.lotSize ? Math.min(1, check.lookedAt / check.lotSize) : 0
    for (let j = 0; j < n; j++) {
      const p = Math.min(1 - 1e-9, Math.max(1e-9, badShare[j]!))
      logWeight[j]! +=
        lnChoose(check.lookedAt, check.bad) + check.bad * Math.log(p) + (check.lookedAt - check.bad) * Math.log(1 - p)
      badShare[j] = (p * (1 - covered)) / (1 - p * covered)
    }
  }
  age(model, badShare, day, nowDay)
  const best = Math.max(...logWeight)
  const weights = logWeight.map((log) => Math.exp(log - best))
  const total = weights.reduce((a, b) => a + b, 0)
  return { weights: weights.map((w) => w / total), badShare }
}

/** Lets the lot stand from one day to another: sound pieces go bad as the model says. */
function age(model: LifeModel, badShare: Float64Array, from: number, to: number): void {
  for (let j = 0; j < badShare.length; j++) {
    const before = soundShare(model, from, j)
    const kept = before > 1e-12 ? soundShare(model, to, j) / before : 0
    badShare[j] = 1 - (1 - badShare[j]!) * kept
  }
}

/** Share sound now, over all scales. */
export const soundNow = (belief: LotBelief): number =>
  Math.min(
    1,
    belief.weights.reduce((sum, w, j) => sum + w * (1 - belief.badShare[j]!), 0),
  )
