import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { behindWall, likelyNoises, observed, stateFor, type Observed } from './filter'

const days = 120
const x = Float64Array.from({ length: days }, (_, d) => 8 * Math.sin(d / 20) + 2 * Math.sin(d * 1.7))
const prior = { level: 10, levelSd: 2, gain: 0.5, gainSd: 0.2 }

/** Gauss–Jordan, for the few unknowns of a test. */
function inverse(matrix: number[][]): number[][] {
  const n = matrix.length
  const m = matrix.map((row, i) => [...row, ...Array.from({ length: n }, (_, j) => (i === j ? 1 : 0))])
  for (let i = 0; i < n; i++) {
    const pivot = m[i]![i]!
    m[i] = m[i]!.map((v) => v / pivot)
    for (let k = 0; k < n; k++) {
      if (k === i) continue
      const by = m[k]![i]!
      m[k] = m[k]!.map((v, j) => v - by * m[i]![j]!)
    }
  }
  return m.map((row) => row.slice(n))
}

/**
 * The same question answered at once: generalised least squares with a normal prior, all covariances written out.
 * @source textbook: β = (P⁻¹ + XᵀV⁻¹X)⁻¹ (P⁻¹β₀ + XᵀV⁻¹y), V = stray² e^(−|Δ|/5) + hour² I
 */
function atOnce(seen: readonly Observed[], noise: { stray: number; hour: number }) {
  const v = seen.map((a, i) =>
    seen.map(
      (b, j) => noise.stray ** 2 * Math.exp(-Math.abs(a.d - b.d) / 5) + (i === j ? noise.hour ** 2 / a.hours : 0),
    ),
  )
  const w = inverse(v)
  const rows = seen.map(({ d }) => [1, x[d]!])
  const p = [
    [1 / prior.levelSd ** 2, 0],
    [0, 1 / prior.gainSd ** 2],
  ]
  const q = [p[0]![0]! * prior.level, p[1]![1]! * prior.gain]
  seen.forEach((_, i) =>
    seen.forEach(({ y }, j) => {
      for (let a = 0; a < 2; a++) {
        q[a]! += rows[i]![a]! * w[i]![j]! * y
        for (let b = 0; b < 2; b++) p[a]![b]! += rows[i]![a]! * w[i]![j]! * rows[j]![b]!
      }
    }),
  )
  const cov = inverse(p)
  return { level: cov[0]![0]! * q[0]! + cov[0]![1]! * q[1]!, gain: cov[1]![0]! * q[0]! + cov[1]![1]! * q[1]!, cov }
}

const readings = fc.uniqueArray(fc.integer({ min: 0, max: days - 1 }), { minLength: 1, maxLength: 12 }).chain((on) =>
  fc.tuple(
    ...on
      .sort((a, b) => a - b)
      .map((d) =>
        fc.record({
          d: fc.constant(d),
          y: fc.double({ min: -5, max: 25, noNaN: true }),
          hours: fc.integer({ min: 1, max: 8 }),
        }),
      ),
  ),
)

describe('level and gain behind a wall', () => {
  it('day by day, are what generalised least squares finds at once', () => {
    fc.assert(
      fc.property(readings, fc.double({ min: 0.1, max: 2, noNaN: true }), (seen, stray) => {
        const noise = { stray, hour: 0.5 }
        const { level, gain, cov } = stateFor(x, 3, prior, noise, seen as Observed[])
        const gls = atOnce(seen as Observed[], noise)
        expect(level).toBeCloseTo(gls.level, 6)
        expect(gain).toBeCloseTo(gls.gain, 6)
        expect(cov[0]).toBeCloseTo(gls.cov[0]![0]!, 6)
        expect(cov[1]).toBeCloseTo(gls.cov[0]![1]!, 6)
        expect(cov[2]).toBeCloseTo(gls.cov[1]![1]!, 6)
      }),
      { numRuns: 60 },
    )
  })
  it('are the prior where nothing was read, and believed more the more was', () => {
    const none = stateFor(x, 3, prior, { stray: 0.5, hour: 0.5 }, [])
    expect([none.level, none.gain, none.logWeight]).toEqual([10, 0.5, 0])
    const some = (n: number) =>
      stateFor(
        x,
        3,
        prior,
        { stray: 0.5, hour: 0.5 },
        Array.from({ length: n }, (_, i) => ({ d: i * 4, y: 12 + 0.3 * x[i * 4]!, hours: 8 })),
      )
    expect(some(20).cov[0]).toBeLessThan(some(3).cov[0])
    expect(some(25).gain).toBeCloseTo(0.3, 1)
    expect(some(25).level).toBeCloseTo(12, 0)
  })
  it('steady readings are told from straying ones', () => {
    const noises = [0.1, 2].map((stray) => ({ stray, hour: 0.2 }))
    const made = (off: (i: number) => number) =>
      Array.from({ length: 25 }, (_, i) => ({ d: i * 4, y: 12 + 0.5 * x[i * 4]! + off(i), hours: 8 }))
    expect(
      likelyNoises(
        x,
        prior,
        made(() => 0),
        noises,
      ),
    ).toEqual([noises[0]])
    expect(
      likelyNoises(
        x,
        prior,
        made((i) => 3 * Math.sin(i * 1.3)),
        noises,
      )[0],
    ).toEqual(noises[1])
    expect(likelyNoises(x, prior, [], noises)).toEqual([noises[0]])
  })
})

describe('what passes a wall', () => {
  it('keeps the mean, comes late and less: the first-order lag of a sine (textbook)', () => {
    const tau = 20
    const period = 365
    const out = Float64Array.from({ length: 5 * period }, (_, d) => 10 + 8 * Math.sin((2 * Math.PI * d) / period))
    const inside = behindWall(out, tau).subarray(4 * period)
    const mean = inside.reduce((a, b) => a + b, 0) / inside.length
    expect(mean).toBeCloseTo(10, 1)
    const through = 1 / Math.hypot(1, (2 * Math.PI * tau) / period)
    expect((Math.max(...inside) - Math.min(...inside)) / 16).toBeCloseTo(through, 2)
    const late = (Math.atan((2 * Math.PI * tau) / period) * period) / (2 * Math.PI)
    expect(inside.indexOf(Math.max(...inside)) - period / 4).toBeGreaterThan(late - 2)
    expect(inside.indexOf(Math.max(...inside)) - period / 4).toBeLessThan(late + 2)
  })
})

describe('days that were read', () => {
  it('every one of the last weeks, fewer of the years before; none outside what is known', () => {
    const values = new Float64Array(400).fill(10)
    const hours = new Float64Array(400).fill(24)
    const seen = observed(values, hours, 0, 400)
    expect(seen.filter(({ d }) => d >= 340)).toHaveLength(60)
    expect(seen.length).toBeLessThan(60 + 340 / 2)
    expect(seen.every(({ hours: h }) => h === 8)).toBe(true)
    expect(observed(values, hours, -390, 400).every(({ d }) => d >= 0)).toBe(true)
    expect(observed(values, new Float64Array(400), 0, 400)).toEqual([])
  })
})
