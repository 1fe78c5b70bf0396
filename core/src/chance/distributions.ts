/**
 * Inverse of the standard normal distribution.
 * @param p probability, 0 < p < 1
 * @source Acklam's rational approximation (recalled); relative error under 1.2e-9
 */
export function normalQuantile(p: number): number {
  const a = [
    -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
  ]
  const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572, 1]
  const c = [
    -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
    2.938163982698783,
  ]
  const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416, 1]
  const poly = (k: number[], x: number) => k.reduce((sum, ki) => sum * x + ki, 0)
  if (p < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(p))
    return poly(c, q) / poly(d, q)
  }
  if (p > 1 - 0.02425) return -normalQuantile(1 - p)
  const q = p - 0.5
  const r = q * q
  return (poly(a, r) * q) / poly(b, r)
}

/**
 * Standard normal distribution function.
 * @source power series near 0, Laplace's continued fraction in the tails (Abramowitz & Stegun ch. 26, recalled)
 */
export function normalShare(z: number): number {
  if (z > 0) return 1 - normalShare(-z)
  if (z < -38) return 0
  if (z > -3) {
    let term = z
    let sum = z
    for (let i = 1; i < 80; i++) {
      term *= (z * z) / (2 * i + 1)
      sum += term
    }
    return 0.5 + (sum * Math.exp((-z * z) / 2)) / Math.sqrt(2 * Math.PI)
  }
  let fraction = 0
  for (let k = 80; k > 0; k--) fraction = k / (-z + fraction)
  return Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI) / (-z + fraction)
}

/** Density of the standard normal distribution. */
export const normalDensity = (z: number): number => Math.exp((-z * z) / 2) / Math.sqrt(2 * Math.PI)

/** n standard normal deviates of equal weight, standing for the whole distribution. */
export const normalPoints = (n: number): number[] => Array.from({ length: n }, (_, i) => normalQuantile((i + 0.5) / n))

const lanczos = [
  0.99999999999980993, 676.5203681218851, -1259.1392167224028, 771.32342877765313, -176.61502916214059,
  12.507343278686905, -0.13857109526572012, 9.9843695780195716e-6, 1.5056327351493116e-7,
]

/** Natural logarithm of the gamma function. @source Lanczos approximation, g = 7, n = 9 (recalled) */
export function lnGamma(x: number): number {
  if (x < 0.5) return Math.log(Math.PI / Math.sin(Math.PI * x)) - lnGamma(1 - x)
  const y = x - 1
  let sum = lanczos[0]!
  for (let i = 1; i < lanczos.length; i++) sum += lanczos[i]! / (y + i)
  const t = y + 7.5
  return 0.5 * Math.log(2 * Math.PI) + (y + 0.5) * Math.log(t) - t + Math.log(sum)
}

/** Logarithm of the number of ways to choose k of n. */
export const lnChoose = (n: number, k: number): number => lnGamma(n + 1) - lnGamma(k + 1) - lnGamma(n - k + 1)

/** ln(x (x + 1) … (x + k − 1)), which is ln Γ(x + k) − ln Γ(x). */
function lnRising(x: number, k: number): number {
  if (k > 8) return lnGamma(x + k) - lnGamma(x)
  let product = 1
  for (let i = 0; i < k; i++) product *= x + i
  return Math.log(product)
}

/**
 * Log chance of k of n under a beta-binomial: a binomial whose draws hang together.
 * @param correlation between draws, 0 ≤ ρ < 1; 0 is the binomial
 * @returns the log chance by the mean share p, 0 < p < 1: what is seen once is asked of many states
 */
export function lnBetaBinomial(n: number, k: number, correlation: number): (p: number) => number {
  const ways = lnChoose(n, k)
  if (correlation <= 0) return (p) => ways + k * Math.log(p) + (n - k) * Math.log(1 - p)
  const size = 1 / correlation - 1
  const rest = ways - lnRising(size, n)
  return (p) => rest + lnRising(p * size, k) + lnRising((1 - p) * size, n - k)
}

/** Quantile of a gamma distribution of the given shape and mean. @source Wilson & Hilferty 1931, cube-root normal */
export function gammaQuantile(shape: number, mean: number, p: number): number {
  const v = 1 / (9 * shape)
  return mean * Math.max(0, 1 - v + normalQuantile(p) * Math.sqrt(v)) ** 3
}
