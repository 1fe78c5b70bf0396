import { bunchLogSd, weatherAheadLogSd } from '../assumptions'
import { hourMs, mouldCanStart, type AirSeries } from '../air'
import { normalPoints, weightedQuantiles, weightedSpread, type Spread } from '../chance'
import type { Crop, Curing } from '../almanac'
import { term, told, type Message } from '../message'
import { Refusal } from '../refusal'
import { floats } from '../rows'
import { atInstant, instantReaching, spentPower, stalls, type AirflowChange } from './drying-power'
import { believedBudgets, curingPosterior, expectedWeightG, weightShare, type CuringPosterior } from './posterior'

export interface Weighing {
  atMs: number
  weightG: number
  basis?: string
}

export interface EndTestResult {
  atMs: number
  test: string
  passed: boolean
}

/**
 * What a crop's curing asks.
 * @throws Refusal `not-cured` for crops that go straight to store or table
 */
export function curingOf(crop: Crop): Curing {
  if (!crop.curing) {
    throw new Refusal('not-cured', told('line.notCured', { crop: term(crop.name) }), 'crop')
  }
  return crop.curing
}

export interface CuringLot {
  crop: Crop
  /** the air it hung in and, after `nowMs`, the air expected; starts when it was hung */
  air: AirSeries
  nowMs: number
  airflow: AirflowChange[]
  weighings: Weighing[]
  tests: EndTestResult[]
}

export interface CuringState {
  /** share of the drying done, 0…1 */
  progress: number
  /** when it will be, or was, ready, ms UTC; Infinity where the air ahead never gets it there */
  readyAtMs: Spread
  /** chance that it is ready now, 0…1 */
  readyNow: number
  stalledHours: number
  /** hours without drying up to now, unbroken */
  stalledForHours: number
  mouldRiskHours: number
  /** drying power spent by now, kPa·h */
  spentKPaH: number
  posterior: CuringPosterior
  reasons: Message[]
}

/** Evenly weighted guesses of how the time ahead goes against what is expected: by the air, and by what was weighed. */
const aheadFactors = (bunch: boolean) =>
  normalPoints(7).map((z) => Math.exp(z * Math.hypot(weatherAheadLogSd, bunch ? bunchLogSd : 0)))

/**
 * How far a hanging lot has dried and when it will be ready.
 * @param known what is believed of it, where its past has been read already: what comes does not change that
 * @returns progress, ready window, stall and mould hours, and plain reasons
 */
export function curingState(lot: CuringLot, known?: CuringPosterior): CuringState {
  const curing = curingOf(lot.crop)
  const spent = spentPower(lot.air, curing, lot.airflow)
  const spentNow = atInstant(lot.air, spent, lot.nowMs)
  const posterior =
    known ??
    curingPosterior(
      curing,
      // a healing skin says nothing by its weight
      (curing.clock === 'healing' ? [] : lot.weighings).map((w) => ({
        ...w,
        powerKPaH: atInstant(lot.air, spent, w.atMs),
      })),
      lot.tests.map((t) => ({ ...t, powerKPaH: atInstant(lot.air, spent, t.atMs) })),
    )
  const believed = believedBudgets(posterior)
  const readyAtMs = readyWindow(lot, spent, spentNow, believed)
  const [budget] = weightedQuantiles(believed.budgetKPaH, believed.weight, [0.5]) as [number]
  const readyNow = believed.weight.reduce(
    (sum, weight, i) => (believed.budgetKPaH[i]! <= spentNow ? sum + weight : sum),
    0,
  )
  const hours = pastHours(lot, curing)
  const state = {
    progress: Math.min(1, spentNow / budget),
    readyAtMs,
    readyNow: Math.min(1, readyNow),
    ...hours,
    spentKPaH: spentNow,
    posterior,
  }
  return { ...state, reasons: curingReasons(lot, state) }
}

function readyWindow(
  lot: CuringLot,
  spent: Float64Array,
  spentNow: number,
  { budgetKPaH, weight }: ReturnType<typeof believedBudgets>,
): Spread {
  const factors = aheadFactors(lot.weighings.some(({ basis }) => basis === 'bunch'))
  const times: number[] = []
  const weights: number[] = []
  // rising by each factor: what comes in few rising runs is soon sorted
  for (const factor of factors) {
    for (let i = 0; i < budgetKPaH.length; i++) {
      const budget = budgetKPaH[i]!
      const reached = budget <= spentNow ? budget : spentNow + (budget - spentNow) / factor
      times.push(instantReaching(lot.air, spent, reached))
      weights.push(weight[i]! / factors.length)
    }
  }
  return weightedSpread(times, weights)
}

function pastHours(lot: CuringLot, curing: Curing) {
  let stalledHours = 0
  let stalledForHours = 0
  let mouldRiskHours = 0
  const until = Math.min(lot.air.hours, Math.round((lot.nowMs - lot.air.startMs) / hourMs))
  for (let i = 0; i < until; i++) {
    if (stalls(lot.air, i, curing)) {
      stalledHours++
      stalledForHours++
    } else stalledForHours = 0
    if (mouldCanStart(lot.air.temperatureC[i]!, lot.air.relativeHumidityPct[i]!)) mouldRiskHours++
  }
  return { stalledHours, stalledForHours, mouldRiskHours }
}

function curingReasons(lot: CuringLot, state: Omit<CuringState, 'reasons'>): Message[] {
  const reasons: Message[] = []
  const dryOff = curingOf(lot.crop).dryOffHours?.value
  if (dryOff && (lot.nowMs - lot.air.startMs) / hourMs < dryOff[1] + 1) {
    reasons.push(told('line.dryOffFirst', { least: dryOff[0], most: dryOff[1] }))
  }
  const { clock, budget, endTests } = curingOf(lot.crop)
  const heals = clock === 'healing' ? 'yes' : 'no'
  const { stalledForHours, stalledHours, mouldRiskHours } = state
  reasons.push(
    told('line.airHasGiven', {
      spent: Math.round(state.spentKPaH),
      heals,
      budget: budget.value,
      crop: term(lot.crop.plural),
    }),
  )
  if (stalledForHours >= 6) reasons.push(told('line.stalledFor', { hours: stalledForHours, heals }))
  else if (stalledHours >= 24) reasons.push(told('line.stoodStill', { hours: stalledHours, heals }))
  if (mouldRiskHours >= 24) reasons.push(told('line.mouldHours', { hours: mouldRiskHours }))
  const failed = lot.tests.filter((t) => !t.passed).length
  const { length: n } = lot.weighings
  if (n > 1 && heals === 'no') reasons.push(told('line.weighingsNarrow', { n }))
  if (failed > 0) reasons.push(told('line.testsNotPassed', { n: failed }))
  if (stalledForHours < 6 && state.readyNow >= 0.5)
    reasons.push(told('line.likelyReady', { test: term(endTests.at(-1)!.label.toLowerCase()) }))
  return reasons
}

/** One day of the fitted weight curve, as shares of the basis's first true weight turned into g. */
export interface WeightPoint {
  atMs: number
  p10: number
  p50: number
  p90: number
}

/**
 * Fitted weights over time for one basis of weighing, with an 8-in-10 band.
 * @param untilMs where the curve ends
 * @param stepHours spacing of the points
 */
export function weightCurve(
  lot: CuringLot,
  posterior: CuringPosterior,
  basis: string,
  untilMs: number,
  stepHours = 12,
): WeightPoint[] {
  const weighings = lot.weighings.filter((w) => (w.basis ?? 'lot') === basis)
  if (weighings.length === 0) return []
  const spent = spentPower(lot.air, curingOf(lot.crop), lot.airflow)
  const powers = weighings.map((w) => atInstant(lot.air, spent, w.atMs))
  // guesses nobody believes any more only cost time
  const likely = Array.from(posterior.weight.keys()).filter((i) => posterior.weight[i]! > 1e-5)
  const n = likely.length
  const weights = likely.map((i) => posterior.weight[i]!)
  const budgetOf = likely.map((i) => posterior.budgetKPaH[i]!)
  const ratioOf = likely.map((i) => posterior.finalRatio[i]!)
  const firstWeight = floats(n)
  for (let i = 0; i < n; i++) {
    let log = 0
    weighings.forEach((w, j) => {
      log += Math.log(w.weightG / weightShare(powers[j]!, budgetOf[i]!, ratioOf[i]!))
    })
    firstWeight[i] = Math.exp(log / weighings.length)
  }
  const points: WeightPoint[] = []
  const values = floats(n)
  for (let h = 0; h <= lot.air.hours && lot.air.startMs + h * hourMs <= untilMs; h += stepHours) {
    for (let i = 0; i < n; i++) {
      values[i] = firstWeight[i]! * weightShare(spent[h]!, budgetOf[i]!, ratioOf[i]!)
    }
    points.push({ atMs: lot.air.startMs + h * hourMs, ...weightedSpread(values, weights) })
  }
  return points
}

/** Weight to expect now on the basis last weighed, g; undefined before any weighing. */
export function expectedNowG(lot: CuringLot, state: CuringState, basis?: string): number | undefined {
  const of = lot.weighings.filter((w) => basis === undefined || (w.basis ?? 'lot') === basis)
  const last = of[of.length - 1]
  if (!last) return undefined
  const spent = spentPower(lot.air, curingOf(lot.crop), lot.airflow)
  return expectedWeightG(state.posterior, last.weightG, atInstant(lot.air, spent, last.atMs), state.spentKPaH)
}
