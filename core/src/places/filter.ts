import { floats, passingFloats } from '../rows'
import { strayDays } from '../assumptions'

export interface State {
  lagDays: number
  logWeight: number
  /** level and gain, and their covariance */
  level: number
  gain: number
  cov: [number, number, number]
  /** how far it strayed on the last day that was read, and that day */
  strays: number
  lastDay: number
  x: Float64Array
}

/** What passes a wall with a time constant: each day a share of the difference. */
export function behindWall(out: Float64Array, tauDays: number): Float64Array {
  const share = 1 - Math.exp(-1 / tauDays)
  const x = passingFloats(out.length)
  const start = Math.min(out.length, Math.ceil(tauDays) + 1)
  let level = out.subarray(0, start).reduce((a, b) => a + b, 0) / Math.max(1, start)
  for (let d = 0; d < out.length; d++) {
    level += share * (out[d]! - level)
    x[d] = level
  }
  return x
}

export interface Observed {
  d: number
  y: number
  /** hours of the day that were read, eight of them as good as all */
  hours: number
}

export interface Prior {
  level: number
  levelSd: number
  gain: number
  gainSd: number
}

/** How a day's mean strays for days on end, and a reading from its day's mean: standard deviations. */
export interface Noise {
  stray: number
  hour: number
}

/**
 * Level and gain for one lag and one noise, and how well the two explain what was read: a Kalman filter over the days, with
 * what strays as a first-order autoregression.
 */
export function stateFor(
  x: Float64Array,
  lagDays: number,
  prior: Prior,
  noise: Noise,
  seen: readonly Observed[],
): State {
  let [level, gain, strays] = [prior.level, prior.gain, 0]
  // covariance: level, level–gain, level–stray, gain, gain–stray, stray
  let [p00, p01, p02, p11, p12, p22] = [prior.levelSd ** 2, 0, 0, prior.gainSd ** 2, 0, noise.stray ** 2]
  let logWeight = 0
  let last = seen[0]?.d ?? 0
  for (const { d, y, hours } of seen) {
    const stays = Math.exp((last - d) / strayDays)
    last = d
    strays *= stays
    p02 *= stays
    p12 *= stays
    p22 = stays * stays * p22 + noise.stray ** 2 * (1 - stays * stays)
    const at = x[d]!
    const h0 = p00 + at * p01 + p02
    const h1 = p01 + at * p11 + p12
    const h2 = p02 + at * p12 + p22
    const s = h0 + at * h1 + h2 + noise.hour ** 2 / hours
    const off = y - level - gain * at - strays
    logWeight -= 0.5 * (Math.log(s) + (off * off) / s)
    level += (h0 / s) * off
    gain += (h1 / s) * off
    strays += (h2 / s) * off
    p00 -= (h0 * h0) / s
    p01 -= (h0 * h1) / s
    p02 -= (h0 * h2) / s
    p11 -= (h1 * h1) / s
    p12 -= (h1 * h2) / s
    p22 -= (h2 * h2) / s
  }
  return { lagDays, logWeight, level, gain, cov: [p00, p01, p11], strays, lastDay: last, x }
}

/** readings older than this say what the season does, not the week: every so many days is enough of them, days */
const everyDayFor = 60
const thenEvery = 3

export function observed(values: Float64Array, hours: Float64Array, offset: number, days: number): Observed[] {
  const seen: Observed[] = []
  const all = values.length
  for (let i = 0; i < all; i++) {
    if (i < all - everyDayFor && all > 2 * everyDayFor && i % thenEvery !== 0) continue
    const d = i + offset
    if (hours[i]! > 0 && d >= 0 && d < days) seen.push({ d, y: values[i]!, hours: Math.min(8, hours[i]!) })
  }
  return seen
}

/** Noises that explain what was read about as well as any, at one lag. */
export function likelyNoises(
  x: Float64Array,
  prior: Prior,
  seen: readonly Observed[],
  possible: readonly Noise[],
): Noise[] {
  if (seen.length === 0) return [possible[0]!]
  const tried = possible.map((noise) => ({ noise, logWeight: stateFor(x, 0, prior, noise, seen).logWeight }))
  const best = Math.max(...tried.map(({ logWeight }) => logWeight))
  return tried
    .filter(({ logWeight }) => logWeight > best - 2)
    .sort((a, b) => b.logWeight - a.logWeight)
    .slice(0, 4)
    .map(({ noise }) => noise)
}

export function blended(states: readonly State[], spreadOut: (state: State) => number, own: number, known: Uint8Array) {
  const most = Math.max(...states.map(({ logWeight }) => logWeight))
  const likely = states
    .map((state) => ({ ...state, weight: Math.exp(state.logWeight - most) }))
    .filter(({ weight }) => weight > 1e-4)
  const total = likely.reduce((sum, { weight }) => sum + weight, 0)
  const days = states[0]!.x.length
  const mean = floats(days)
  const sd = floats(days)
  for (let d = 0; d < days; d++) {
    let [first, second] = [0, 0]
    for (const state of likely) {
      const w = state.weight / total
      const at = state.x[d]!
      // what it strays by on the last day that was read is forgotten within weeks
      const y =
        state.level +
        state.gain * at +
        (d < state.lastDay ? 0 : state.strays * Math.exp((state.lastDay - d) / strayDays))
      const [v0, v01, v1] = state.cov
      first += w * y
      second += w * (y * y + v0 + 2 * at * v01 + at * at * v1 + (known[d] ? 0 : spreadOut(state) ** 2))
    }
    mean[d] = first
    sd[d] = Math.sqrt(Math.max(0, second - first * first) + own ** 2)
  }
  const middle = (of: (state: State) => number) => likely.reduce((sum, s) => sum + (s.weight / total) * of(s), 0)
  return { mean, sd, gain: middle(({ gain }) => gain), lagDays: middle(({ lagDays }) => lagDays) }
}
