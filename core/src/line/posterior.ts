import { airflowWalkKPaH, curedShare, scaleNoise } from '../assumptions'
import type { Curing } from '../almanac'

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
  const budgetKPaH = new Float64Array(n)
  const finalRatio = new Float64Array(n)
  const logWeight = new Float64Array(n)
  const bases = groupByBasis(weighings)
  let best = -Infinity
  for (let b = 0; b < budgetPoints; b++) {
    const zb = gridReach * ((2 * b) / (budgetPoints - 1) - 1)
    const budget = curing.budget.value * Math.exp(zb * curing.budgetLogSd.value)
    let testLog = 0
    for (const t of tests) testLog += testLogLikelihood(curing, t, budget)
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
  const weight = new Float64Array(n)
  for (let i = 0; i < n; i++) total += weight[i] = Math.exp(logWeight[i]! - best)
  for (let i = 0; i < n; i++) weight[i]! /= total
  return { budgetKPaH, finalRatio, weight }
}

function groupByBasis(weighings: readonly PoweredWeighing[]): PoweredWeighing[][] {
  const groups = new Map<string, PoweredWeighing[]>()
  for (const w of weighings) {
    const key = w.basis ?? 'lot'
    groups.set(key, [...(groups.get(key) ?? []), w])
  }
  return [...groups.values()].filter((group) => group.length > 1).map(thinned)
}

/** More weighings than this say nothing that their neighbours do not, and cost with their cube. */
const mostWeighings = 16

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
 * them. The latter adds up like a walk along the drying power, so later weighings share what came before. The true
 * first weight is unknown and integrated out.
 */
function weighingLogLikelihood(weighings: readonly PoweredWeighing[], budget: number, ratio: number): number {
  const n = weighings.length
  const noise = scaleNoise[weighings[0]!.basis === 'bunch' ? 'bunch' : 'lot']
  const residual = new Float64Array(n)
  const slope = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    const { powerKPaH, weightG } = weighings[i]!
    const share = weightShare(powerKPaH, budget, ratio)
    residual[i] = Math.log(weightG) - Math.log(share)
    slope[i] = (lnLeft / budget) * ((share - ratio) / share)
  }
  // covariance, and its Cholesky factor in place
  const c = new Float64Array(n * n)
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      const walked = Math.min(weighings[i]!.powerKPaH, weighings[j]!.powerKPaH)
      c[i * n + j] = slope[i]! * slope[j]! * airflowWalkKPaH * walked + (i === j ? noise ** 2 : 0)
    }
  }
  let logDet = 0
  for (let i = 0; i < n; i++) {
    for (let j = 0; j <= i; j++) {
      let sum = c[i * n + j]!
      for (let m = 0; m < j; m++) sum -= c[i * n + m]! * c[j * n + m]!
      c[i * n + j] = i === j ? Math.sqrt(sum) : sum / c[j * n + j]!
    }
    logDet += 2 * Math.log(c[i * n + i]!)
  }
  let oneOne = 0
  let oneRes = 0
  let resRes = 0
  const u = new Float64Array(n)
  const v = new Float64Array(n)
  for (let i = 0; i < n; i++) {
    let a = 1
    let b = residual[i]!
    for (let m = 0; m < i; m++) {
      a -= c[i * n + m]! * u[m]!
      b -= c[i * n + m]! * v[m]!
    }
    u[i] = a / c[i * n + i]!
    v[i] = b / c[i * n + i]!
    oneOne += u[i]! * u[i]!
    oneRes += u[i]! * v[i]!
    resRes += v[i]! * v[i]!
  }
  return -0.5 * (logDet + Math.log(oneOne) + resRes - (oneRes * oneRes) / oneOne)
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
    const budget = posterior.budgetKPaH[i]!
    const ratio = posterior.finalRatio[i]!
    sum += posterior.weight[i]! * (weightShare(laterKPaH, budget, ratio) / weightShare(earlierKPaH, budget, ratio))
  }
  return weightG * sum
}
