import { leastRatioSd } from '../assumptions'
import { levenbergMarquardt } from 'ml-levenberg-marquardt'

/** A thin-layer model: moisture ratio over time in hours, MR(0) = 1 or nearly. */
export interface ThinLayer {
  id: 'newton' | 'page' | 'midilli-kucuk'
  label: string
  equation: string
  parameters: string[]
  start: (k: number) => number[]
  lo: number[]
  hi: number[]
  ratio: (p: readonly number[]) => (hours: number) => number
}

/**
 * The models tried, simplest first.
 * @source Lewis 1921 (Newton); Page 1949; Midilli, Kucuk & Yapar 2002 (forms recalled, not re-read)
 */
export const thinLayers: readonly ThinLayer[] = [
  {
    id: 'newton',
    label: 'Newton',
    equation: 'MR = exp(−k·t)',
    parameters: ['k'],
    start: (k) => [k],
    lo: [1e-6],
    hi: [20],
    ratio:
      ([k]) =>
      (t) =>
        Math.exp(-k! * t),
  },
  {
    id: 'page',
    label: 'Page',
    equation: 'MR = exp(−k·tⁿ)',
    parameters: ['k', 'n'],
    start: (k) => [k, 1],
    lo: [1e-6, 0.3],
    hi: [20, 2.5],
    ratio:
      ([k, n]) =>
      (t) =>
        Math.exp(-k! * t ** n!),
  },
  {
    id: 'midilli-kucuk',
    label: 'Midilli–Kucuk',
    equation: 'MR = a·exp(−k·tⁿ) + b·t',
    parameters: ['a', 'k', 'n', 'b'],
    start: (k) => [1, k, 1, 0],
    lo: [0.8, 1e-6, 0.3, -0.02],
    hi: [1.2, 20, 2.5, 0.02],
    ratio:
      ([a, k, n, b]) =>
      (t) =>
        a! * Math.exp(-k! * t ** n!) + b! * t,
  },
]

export interface ThinLayerFit {
  model: ThinLayer
  values: number[]
  /** residual standard deviation of the moisture ratio */
  sd: number
  /** corrected Akaike criterion; smaller is better */
  aicc: number
  /** covariance of the values */
  covariance: number[][]
}

/**
 * Least-squares fit of one model; undefined with too few points for its parameters.
 * @param hours since the first weighing
 * @param ratios moisture ratio at each
 */
export function fitThinLayer(model: ThinLayer, hours: number[], ratios: number[]): ThinLayerFit | undefined {
  const n = hours.length
  const p = model.parameters.length
  // AICc needs n > p + 2 with the variance counted; the simplest model makes do with less
  if (n < (p === 1 ? 2 : p + 3)) return undefined
  const last = hours[n - 1]!
  const k = Math.max(1e-5, -Math.log(Math.min(0.999, Math.max(0.005, ratios[n - 1]!))) / last)
  const fitted = levenbergMarquardt({ x: hours, y: ratios }, model.ratio, {
    initialValues: model.start(k),
    minValues: model.lo,
    maxValues: model.hi,
    damping: 0.01,
    maxIterations: 120,
    gradientDifference: 1e-4,
    errorTolerance: 1e-9,
  })
  const values = fitted.parameterValues
  if (!values.every(Number.isFinite)) return undefined
  const f = model.ratio(values)
  const rss = hours.reduce((sum, t, i) => sum + (ratios[i]! - f(t)) ** 2, 0)
  const sd = Math.max(leastRatioSd, Math.sqrt(rss / Math.max(1, n - p)))
  const q = p + 1
  const penalty = n > q + 1 ? (2 * q * (q + 1)) / (n - q - 1) : 2 * q * (q + 1)
  const aicc = n * Math.log(Math.max(rss / n, leastRatioSd ** 2 / 4)) + 2 * q + penalty
  return { model, values, sd, aicc, covariance: covariance(model, values, hours, sd) }
}

/** sd² (JᵀJ)⁻¹, a little ridge against parameters the data does not see. */
function covariance(model: ThinLayer, values: number[], hours: number[], sd: number): number[][] {
  const p = values.length
  const steps = values.map((v) => Math.max(1e-6, Math.abs(v) * 1e-4))
  const jacobian = hours.map((t) =>
    values.map((_, j) => {
      const up = values.map((v, i) => (i === j ? v + steps[j]! : v))
      const down = values.map((v, i) => (i === j ? v - steps[j]! : v))
      return (model.ratio(up)(t) - model.ratio(down)(t)) / (2 * steps[j]!)
    }),
  )
  const normal = Array.from({ length: p }, (_, a) =>
    Array.from(
      { length: p },
      (_, b) => jacobian.reduce((sum, row) => sum + row[a]! * row[b]!, 0) + (a === b ? 1e-9 : 0),
    ),
  )
  return inverse(normal).map((row) => row.map((x) => x * sd * sd))
}

/** Inverse by Gauss–Jordan; for the handful of parameters here. */
function inverse(matrix: number[][]): number[][] {
  const n = matrix.length
  const a = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0))])
  for (let i = 0; i < n; i++) {
    let pivot = i
    for (let r = i + 1; r < n; r++) if (Math.abs(a[r]![i]!) > Math.abs(a[pivot]![i]!)) pivot = r
    ;[a[i], a[pivot]] = [a[pivot]!, a[i]!]
    const d = a[i]![i]! || 1e-12
    for (let c = 0; c < 2 * n; c++) a[i]![c]! /= d
    for (let r = 0; r < n; r++) {
      if (r === i) continue
      const f = a[r]![i]!
      for (let c = 0; c < 2 * n; c++) a[r]![c]! -= f * a[i]![c]!
    }
  }
  return a.map((row) => row.slice(n))
}
