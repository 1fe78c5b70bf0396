import { airflowWalkKPaH, curedShare, scaleNoise } from '../assumptions'
import type { Curing } from '../almanac'
import { floats, floatsOf } from '../rows'

/** A weighing at the drying power spent by then. */
export interface PoweredWeighing {
  powerKPaH: number
  weightG: number
  /** weighings compare only within one basis: the whole lot, or its marked bunch */
  basis?: string
}

/** A yes/no end test at the drying power spent by then. */
export interface PoweredTest {
  powerKPaH: number
  test: string
  passed: boolean
}

/** What is believed of a lot: budgets (kPa·h) and final weight ratios, with their weights summing to 1. */
export interface CuringPosterior {
  budgetKPaH: Float64Array
  finalRatio: Float64Array
  weight: Float64Array
}

const budgetPoints = 49
const ratioPoints = 15
const gridReach = 3.2

/** guesses nobody believes any more only cost time */
const hardlyBelieved = 1e-9

const lnLeft = Math.log(1 - curedShare)

/** Share of the first weight left after drying power D: r + (1 − r)·exp(−k·D), k set so that `curedShare` is lost at D = budget. */
export const weightShare = (powerKPaH: number, budgetKPaH: number, finalRatio: number): number =>
  finalRatio + (1 - finalRatio) * Math.exp((lnLeft / budgetKPaH) * powerKPaH)

/**
 * Grid posterior over the lot's budget and final weight.
 * Weighings: log-normal noise of `scaleNoise`; the true first weight of each basis is unknown and profiled out,
 * so that one weighing alone says nothing and two say how far along it is.
 * Tests: a logistic chance of passing at the drying done.
 */
export function curingPosterior(
  curing: Curing,
  weighings: readonly PoweredWeighing[],
  tests: readonly PoweredTest[],
): CuringPosterior {
  const n = budgetPoints * ratioPoints
  const budgetKPaH = floats(n)
  const finalRatio = floats(n)
  const logWeight = floats(n)
  const bases = seriesOf(weighings)
  let best = -Infinity
  for (let b = 0; b < budgetPoints; b++) {
    const zb = gridReach * ((2 * b) / (budgetPoints - 1) - 1)
    const budget = curing.budget.value * Math.exp(zb * curing.budgetLogSd.value)
    let testLog = 0
    for (const t of tests) testLog += testLogLikelihood(curing, t, budget)
    for (const { powerKPaH, left } of bases) {
      for (let i = 0; i < left.length; i++) left[i] = Math.exp((lnLeft / budget) * powerKPaH[i]!)
    }
    for (let r = 0; r < ratioPoints; r++) {
      const zr = gridReach * ((2 * r) / (ratioPoints - 1) - 1)
      const ratio = Math.min(0.98, curing.finalWeightRatio.value + zr * curing.finalWeightRatioSd.value)
      const i = b * ratioPoints + r
      budgetKPaH[i] = budget
      finalRatio[i] = ratio
      let log = -0.5 * (zb * zb + zr * zr) + testLog
      for (const basis of bases) log += weighingLogLikelihood(basis, budget, ratio)
      logWeight[i] = log
      if (log > best) best = log
    }
  }
  let total = 0
  const weight = floats(n)
  for (let i = 0; i < n; i++) total += weight[i] = Math.exp(logWeight[i]! - best)
  for (let i = 0; i < n; i++) weight[i]! /= total
  return { budgetKPaH, finalRatio, weight }
}

/** Belief in each budget, whatever its weight comes down to: budgets rising, none that nobody believes in. */
export function believedBudgets({ budgetKPaH, weight }: CuringPosterior): { budgetKPaH: number[]; weight: number[] } {
  const believed = { budgetKPaH: [] as number[], weight: [] as number[] }
  for (let i = 0; i < weight.length; i += ratioPoints) {
    let sum = 0
    for (let r = i; r < i + ratioPoints; r++) sum += weight[r]!
    if (sum < hardlyBelieved) continue
    believed.budgetKPaH.push(budgetKPaH[i]!)
    believed.weight.push(sum)
  }
  return believed
}

/** Weighings of one basis in the order of their drying power, as they are reckoned with for every guess. */
interface Series {
  powerKPaH: Float64Array
  lnWeight: Float64Array
  /** variance of a weight's logarithm by the scale */
  noise: number
  /** of one budget: how much of what can be lost is left at each weighing */
  left: Float64Array
}

function seriesOf(weighings: readonly PoweredWeighing[]): Series[] {
  const groups = new Map<string, PoweredWeighing[]>()
  for (const w of weighings) {
    const key = w.basis ?? 'lot'
    const group = groups.get(key)
    if (group) group.push(w)
    else groups.set(key, [w])
  }
  return [...groups]
    .filter(([, group]) => group.length > 1)
    .map(([basis, group]) => {
      const own = thinned(group.sort((one, other) => one.powerKPaH - other.powerKPaH))
      return {
        powerKPaH: floatsOf(own.length, (i) => own[i]!.powerKPaH),
        lnWeight: floatsOf(own.length, (i) => Math.log(own[i]!.weightG)),
        noise: scaleNoise[basis === 'bunch' ? 'bunch' : 'lot'] ** 2,
        left: floats(own.length),
      }
    })
}

/** More weighings than this say nothing that their neighbours do not. */
const mostWeighings = 32

/** The first, the last, and as many between as are worth reckoning with, evenly spaced. */
const thinned = (group: PoweredWeighing[]): PoweredWeighing[] =>
  group.length <= mostWeighings
    ? group
    : Array.from(
        { length: mostWeighings },
        (_, i) => group[Math.round((i * (group.length - 1)) / (mostWeighings - 1))]!,
      )

/**
 * Log-likelihood of one basis's weighings: the scale's noise, and air that moved more or less than was thought between
 * them. The latter adds up like a walk along the drying power, so later weighings share what came before: followed from
 * one to the next by a Kalman filter. The true first weight is unknown and integrated out.
 */
function weighingLogLikelihood({ powerKPaH, lnWeight, noise, left }: Series, budget: number, ratio: number): number {
  const pace = lnLeft / budget
  // how far the air has walked off, as the logarithm of the weight says it and as one unit of the first weight's would
  let walked = 0
  let unit = 0
  let variance = 0
  let earlier = 0
  // the product of what each is spread by, a few at a time: a logarithm costs as much as all the rest of a weighing
  let spreads = 1
  let logDet = 0
  let oneOne = 0
  let oneRes = 0
  let resRes = 0
  for (let i = 0; i < powerKPaH.length; i++) {
    const share = ratio + (1 - ratio) * left[i]!
    const slope = pace * ((share - ratio) / share)
    variance += airflowWalkKPaH * (powerKPaH[i]! - earlier)
    earlier = powerKPaH[i]!
    const spread = slope * slope * variance + noise
    const certainty = 1 / spread
    const gain = variance * slope * certainty
    const one = 1 - slope * unit
    const residual = lnWeight[i]! - Math.log(share) - slope * walked
    unit += gain * one
    walked += gain * residual
    variance -= gain * slope * variance
    spreads *= spread
    if (i % 8 === 7) {
      logDet += Math.log(spreads)
      spreads = 1
    }
    oneOne += one * one * certainty
    oneRes += one * residual * certainty
    resRes += residual * residual * certainty
  }
  return -0.5 * (logDet + Math.log(spreads * oneOne) + resRes - (oneRes * oneRes) / oneOne)
}

function testLogLikelihood(curing: Curing, result: PoweredTest, budget: number): number {
  const test = curing.endTests.find((t) => t.id === result.test)
  if (!test) return 0
  const x = (result.powerKPaH / budget - test.passesAt.value) / test.sharpness.value
  // one look in twenty is wrong: a thumb is not an instrument
  const pass = 0.05 + 0.9 / (1 + Math.exp(-x))
  return Math.log(result.passed ? pass : 1 - pass)
}

/**
 * Weight to expect at power `laterKPaH` when it was `weightG` at `earlierKPaH`, g.
 */
export function expectedWeightG(
  posterior: CuringPosterior,
  weightG: number,
  earlierKPaH: number,
  laterKPaH: number,
): number {
  let sum = 0
  for (let i = 0; i < posterior.weight.length; i++) {
    if (posterior.weight[i]! < hardlyBelieved) continue
    const budget = posterior.budgetKPaH[i]!
    const ratio = posterior.finalRatio[i]!
    sum += posterior.weight[i]! * (weightShare(laterKPaH, budget, ratio) / weightShare(earlierKPaH, budget, ratio))
  }
  return weightG * sum
}
