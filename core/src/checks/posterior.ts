import { foundByLooking, looksCorrelation } from '../assumptions'
import { lnBetaBinomial } from '../chance'
import { badShare, noneBad, priorWeights, stand, type Bad, type LifeModel, type LotBelief } from '../stores'
import { floatsOf } from '../rows'

/** One looking-over of a lot. */
export interface Check {
  /** day of the lot's life model */
  day: number
  lookedAt: number
  /** faulty ones found, without those that only look bad */
  bad: number
  /** of those, the ones that run to neighbours: rotten, mouldy, frosted; unknown when left out */
  running?: number
  /** faulty ones left lying; all were taken out when left out */
  kept?: number
  /** pieces in the lot then; how much of it the look cleaned. A large lot when left out */
  lotSize?: number
}

/** What looks have taught so far, carried from one to the next. */
export interface LooksSoFar {
  day: number
  /** log of the weight of each state, not normed */
  logWeight: Float64Array
  /** shares bad now among what is there, by state */
  bad: Bad[]
}

/** Before the first look: the prior, and nothing bad on day 0. */
export function noLooksYet(model: LifeModel): LooksSoFar {
  const weights = priorWeights(model)
  return {
    day: 0,
    logWeight: floatsOf(weights.length, (j) => Math.log(weights[j]!)),
    bad: Array.from(model.scales, () => noneBad),
  }
}

const possible = (share: number) => Math.min(1 - 1e-9, Math.max(1e-9, share))

/**
 * Takes in one more look. Its finds are beta-binomial draws from the shares bad by then, each speaking by its cause; the
 * bad taken out are gone, so what stays is as much cleaner as the look covered. Changes `looks`.
 * @param check on or after the day of the last one
 * @param spread new bad ones a week for each running one lying there
 */
export function takeInLook(model: LifeModel, looks: LooksSoFar, check: Check, spread: number): void {
  const { logWeight, bad } = looks
  // what is hurt shows within a day: a look as it is stored teaches about that
  const seenOn = Math.max(check.day, 1)
  age(model, bad, looks.day, check.day, spread)
  const { lookedAt, bad: found, running, kept = 0, lotSize } = check
  const covered = lotSize ? Math.min(1, lookedAt / lotSize) : 0
  const takenOut = found > 0 ? 1 - kept / found : 1
  const chance = lnBetaBinomial(lookedAt, running ?? found, looksCorrelation)
  const quietChance =
    running === undefined ? undefined : lnBetaBinomial(lookedAt - running, found - running, looksCorrelation)
  for (let j = 0; j < bad.length; j++) {
    const seen = seenOn > check.day ? stand(model, j, bad[j]!, check.day, seenOn, spread) : bad[j]!
    if (!quietChance) logWeight[j]! += chance(possible(foundByLooking * badShare(seen)))
    else {
      const runs = possible(foundByLooking * (seen.running + seen.spent))
      logWeight[j]! += chance(runs) + quietChance(possible((foundByLooking * seen.quiet) / (1 - runs)))
    }
    const gone = covered * takenOut * foundByLooking
    const left = 1 - gone * badShare(bad[j]!)
    const stays = (1 - gone) / left
    const then = bad[j]!
    bad[j] = { running: then.running * stays, spent: then.spent * stays, quiet: then.quiet * stays }
  }
  looks.day = check.day
}

/** The belief on the day of the last look. */
export function beliefNow({ logWeight, bad }: LooksSoFar): LotBelief {
  const best = Math.max(...logWeight)
  let total = 0
  for (const log of logWeight) total += Math.exp(log - best)
  return { weights: floatsOf(logWeight.length, (j) => Math.exp(logWeight[j]! - best) / total), bad: [...bad] }
}

/**
 * What checks teach about a lot's life.
 * @param spread new bad ones a week for each running one lying there
 * @param checks in any order
 * @param nowDay the belief is for this day
 */
export function beliefAfterChecks(model: LifeModel, checks: readonly Check[], nowDay: number, spread = 0): LotBelief {
  const looks = noLooksYet(model)
  for (const check of [...checks].sort((a, b) => a.day - b.day)) takeInLook(model, looks, check, spread)
  return aged(model, beliefNow(looks), looks.day, nowDay, spread)
}

/** What is believed of a lot that was left to stand since. */
export function aged(model: LifeModel, belief: LotBelief, from: number, to: number, spread: number): LotBelief {
  const bad = [...belief.bad]
  age(model, bad, from, to, spread)
  return { weights: belief.weights, bad }
}

/** Lets the lot stand from one day to another, in every state it may be in. */
function age(model: LifeModel, bad: Bad[], from: number, to: number, spread: number): void {
  for (let j = 0; j < bad.length; j++) bad[j] = stand(model, j, bad[j]!, from, to, spread)
}

/** Share sound now, over all states. */
export const soundNow = (belief: LotBelief): number =>
  Math.min(
    1,
    belief.weights.reduce((sum, w, j) => sum + w * (1 - badShare(belief.bad[j]!)), 0),
  )
