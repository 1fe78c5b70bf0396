import { normalPoints, weightedSpread, type Spread } from '../chance'
import { fieldNamed, grams, told } from '../message'
import { Refusal } from '../refusal'
import { dryBasis, dryWeight } from './dry-weight'
import { fitThinLayer, thinLayers, type ThinLayerFit } from './thin-layer'
import { dryerDiscrepancy, dryingEquilibria, leastDiscrepancy, straightTermReach } from '../assumptions'

export interface DryingWeighing {
  hours: number
  weightG: number
}

export interface DryingFitAnswer {
  model: string
  equation: string
  parameters: Record<string, number>
  targetWeightG: number
  readyAtHours: Spread
  /** fitted weights at even steps, to draw, g */
  curve: { hours: number; weightG: number }[]
}

/** Nothing in a dryer or on a rack takes longer, hours. */
const longestHours = 60 * 24
/** closer together two weighings say nothing of a pace, h */
const closestHours = 1 / 60

/**
 * When a batch in the dryer is done, from its weighings.
 * The first weighing is the fresh weight. Newton, Page and Midilli–Kucuk are fitted, the best by AICc is named, and the
 * spread is taken over all of them by their AICc weights.
 * @throws Refusal `invalid`, `out-of-range`, `not-drying` when the weights do not fall, `stalled` when it never gets there
 */
export function dryingFit(
  weighings: readonly DryingWeighing[],
  freshMoisturePct: number,
  targetMoisturePct: number,
): DryingFitAnswer {
  const sorted = [...weighings].sort((a, b) => a.hours - b.hours)
  if (sorted.length < 2) throw new Refusal('invalid', told('line.twoWeighings'), 'weighings')
  sorted.forEach((w, i) => {
    if (!(w.weightG > 0) || !Number.isFinite(w.hours) || w.hours < 0) {
      throw new Refusal('invalid', told('line.weighingIncomplete'), 'weighings')
    }
    if (i > 0 && w.hours - sorted[i - 1]!.hours < closestHours) {
      const at = Math.round(w.hours * 100) / 100
      throw new Refusal('invalid', told('line.weighingsTooClose', { at }), 'weighings')
    }
  })
  const first = sorted[0]!
  const last = sorted[sorted.length - 1]!
  if (last.hours - first.hours > longestHours) {
    throw new Refusal('out-of-range', told('line.weighingsTooLong'), 'weighings')
  }
  const { targetWeightG } = dryWeight(first.weightG, freshMoisturePct, targetMoisturePct)
  const dryG = first.weightG * (1 - freshMoisturePct / 100)
  const lightest = Math.min(...sorted.map((w) => w.weightG))
  if (lightest < dryG) {
    throw new Refusal(
      'invalid',
      told('line.lighterThanDry', {
        lightest: grams(lightest),
        dry: grams(Math.round(dryG)),
        freshMoisturePct: fieldNamed('freshMoisturePct'),
      }),
      'weighings',
    )
  }
  if (last.weightG > first.weightG * 0.998) {
    throw new Refusal('not-drying', told('line.notFalling'), 'weighings')
  }
  const m0 = dryBasis(freshMoisturePct)
  const hours = sorted.map((w) => w.hours - first.hours)
  const lastHour = hours[hours.length - 1]!
  const moistures = sorted.map((w) => w.weightG / dryG - 1)
  const target = dryBasis(targetMoisturePct)
  const driest = moistures.reduce((a, b) => Math.min(a, b))
  // what it dries towards cannot be read off a few weighings: each that may be is fitted, and counts as far as it fits
  const fits = dryingEquilibria.flatMap(({ moisture: me, weight }) =>
    thinLayers.flatMap((model) => {
      if (me >= driest || me >= m0) return []
      const ratios = moistures.map((m) => (m - me) / (m0 - me))
      const fit = fitThinLayer(model, hours, ratios)
      if (!fit) return []
      const at = target > me ? hoursToRatio(fit, (target - me) / (m0 - me), lastHour) : { hours: Infinity, sdHours: 0 }
      if (fit.model.id === 'midilli-kucuk' && at.hours > lastHour * straightTermReach) return []
      return [{ ...fit, ...at, me, weight }]
    }),
  )
  const best = fits.reduce((a, b) => (b.aicc < a.aicc ? b : a), fits[0]!)
  if (!best || !(best.hours < longestHours)) {
    throw new Refusal('stalled', told('line.tooSlow'), 'weighings')
  }
  const values: number[] = []
  const weights: number[] = []
  for (const fit of fits) {
    const share = fit.weight * Math.exp((best.aicc - fit.aicc) / 2)
    if (!Number.isFinite(fit.hours) || share < 1e-4) continue
    for (const z of points) {
      // what has passed has passed: only the time left is in doubt
      const left = Math.max(0, fit.hours - lastHour)
      values.push(left > 0 ? lastHour + left * Math.exp((z * fit.sdHours) / left) : fit.hours + z * fit.sdHours)
      weights.push(share)
    }
  }
  const spread = weightedSpread(values, weights)
  const ratio = best.model.ratio(best.values)
  const end = Math.min(longestHours, Math.max(hours[hours.length - 1]!, spread.p90) * 1.1)
  return {
    model: best.model.label,
    equation: best.model.equation,
    parameters: Object.fromEntries(best.model.parameters.map((name, i) => [name, best.values[i]!])),
    targetWeightG,
    readyAtHours: {
      p10: spread.p10 + first.hours,
      p50: spread.p50 + first.hours,
      p90: Math.min(spread.p90, longestHours) + first.hours,
    },
    curve: Array.from({ length: 61 }, (_, i) => {
      const t = (end * i) / 60
      return { hours: t + first.hours, weightG: dryG * (1 + best.me + (m0 - best.me) * Math.max(0, ratio(t))) }
    }),
  }
}
const points = normalPoints(15)

/** When the fitted curve reaches a ratio, and how sure that is: the first-order spread of its parameters. */
function hoursToRatio(fit: ThinLayerFit, target: number, lastHour: number): { hours: number; sdHours: number } {
  const solve = (values: readonly number[]) => firstHourBelow(fit.model.ratio(values), target)
  const hours = solve(fit.values)
  if (!Number.isFinite(hours)) return { hours, sdHours: 0 }
  const gradient = fit.values.map((v, j) => {
    const step = Math.max(1e-6, Math.abs(v) * 1e-3)
    const moved = (sign: number) => solve(fit.values.map((x, i) => (i === j ? x + sign * step : x)))
    const slope = (moved(1) - moved(-1)) / (2 * step)
    return Number.isFinite(slope) ? slope : 0
  })
  let variance = 0
  gradient.forEach((a, i) => gradient.forEach((b, j) => (variance += a * b * fit.covariance[i]![j]!)))
  const left = Math.max(0, hours - lastHour)
  const fitted = Math.min(left > 0 ? left : hours, Math.sqrt(Math.max(0, variance)))
  return { hours, sdHours: Math.hypot(fitted, dryerDiscrepancy * left, leastDiscrepancy * hours) }
}

function firstHourBelow(ratio: (hours: number) => number, target: number): number {
  if (ratio(0) <= target) return 0
  let hi = 0.25
  while (hi <= longestHours && ratio(hi) > target) hi *= 1.5
  if (hi > longestHours) return Infinity
  let lo = hi / 1.5
  for (let i = 0; i < 50; i++) {
    const mid = (lo + hi) / 2
    if (ratio(mid) > target) lo = mid
    else hi = mid
  }
  return hi
}
