import { looksCorrelation } from '../assumptions'
import { lnBetaBinomial } from '../chance'
import { priorWeights, stand, type LifeModel, type LotBelief } from '../stores'

/** One looking-over of a lot. */
export interface Check {
  /** day of the lot's life model */
  day: number
  lookedAt: number
  bad: number
  /** pieces in the lot then; how much of it the look cleaned. A large lot when left out */
  lotSize?: number
}

/** What looks have taught so far, carried from one to the next. */
export interface LooksSoFar {
  day: number
  /** log of the weight of each scale, not normed */
  logWeight: Float64Array
  /** share bad now among what is there, by scale */
  badShare: Float64Array
}

/** Before the first look: the prior, and nothing bad on day 0. */
export const noLooksYet = (model: LifeModel): LooksSoFar => ({
  day: 0,
  logWeight: Float64Array.from(priorWeights(model), (w) => Math.log(w)),
  badShare: new Float64Array(model.scales.length),
})

/**
 * Takes in one more look. It is a beta-binomial draw from the share bad by then; the bad found are taken out, so what
 * stays is as much cleaner as the look covered. Changes `looks`.
 * @param check on or after the day of the last one
 * @param spread new bad ones a week for each bad one lying there
 */
export function takeInLook(model: LifeModel, looks: LooksSoFar, check: Check, spread: number): void {
  const { logWeight, badShare } = looks
  age(model, badShare, looks.day, check.day, spread)
  looks.day = check.day
  const covered = check.lotSize ? Math.min(1, check.lookedAt / check.lotSize) : 0
  for (let j = 0; j < badShare.length; j++) {
    const p = Math.min(1 - 1e-9, Math.max(1e-9, badShare[j]!))
    logWeight[j]! += lnBetaBinomial(check.lookedAt, check.bad, p, looksCorrelation)
    badShare[j] = (p * (1 - covered)) / (1 - p * covered)
  }
}

/** The belief on the day of the last look. */
export function beliefNow({ logWeight, badShare }: LooksSoFar): LotBelief {
  const best = Math.max(...logWeight)
  const weights = logWeight.map((log) => Math.exp(log - best))
  const total = weights.reduce((a, b) => a + b, 0)
  return { weights: weights.map((w) => w / total), badShare }
}

/**
 * What checks teach about a lot's life.
 * @param spread new bad ones a week for each bad one lying there
 * @param checks in any order
 * @param nowDay the belief is for this day
 */
export function beliefAfterChecks(model: LifeModel, checks: readonly Check[], nowDay: number, spread = 0): LotBelief {
  const looks = noLooksYet(model)
  for (const check of [...checks].sort((a, b) => a.day - b.day)) takeInLook(model, looks, check, spread)
  age(model, looks.badShare, looks.day, nowDay, spread)
  return beliefNow(looks)
}

/** Lets the lot stand from one day to another, for every life it may have. */
function age(model: LifeModel, badShare: Float64Array, from: number, to: number, spread: number): void {
  for (let j = 0; j < badShare.length; j++) badShare[j] = stand(model, j, badShare[j]!, from, to, spread)
}

/** Share sound now, over all scales. */
export const soundNow = (belief: LotBelief): number =>
  Math.min(
    1,
    belief.weights.reduce((sum, w, j) => sum + w * (1 - belief.badShare[j]!), 0),
  )
