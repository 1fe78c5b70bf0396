import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  gammaQuantile,
  lnChoose,
  lnGamma,
  normalPoints,
  normalQuantile,
  weightedQuantiles,
  weightedSpread,
} from './index'

describe('distributions', () => {
  it('has the normal quantiles every table prints', () => {
    expect(normalQuantile(0.5)).toBeCloseTo(0, 9)
    expect(normalQuantile(0.9)).toBeCloseTo(1.2815515655, 8)
    expect(normalQuantile(0.975)).toBeCloseTo(1.9599639845, 8)
    expect(normalQuantile(0.001)).toBeCloseTo(-3.0902323062, 7)
  })
  it('is its own mirror', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.0001, max: 0.9999, noNaN: true }),
        (p) => Math.abs(normalQuantile(p) + normalQuantile(1 - p)) < 1e-7,
      ),
    )
  })
  it('stands for the whole distribution with a few points', () => {
    const points = normalPoints(41)
    expect(points.reduce((a, b) => a + b, 0)).toBeCloseTo(0, 8)
    expect(Math.sqrt(points.reduce((a, b) => a + b * b, 0) / 41)).toBeGreaterThan(0.95)
  })
  it('counts ways', () => {
    expect(lnGamma(5)).toBeCloseTo(Math.log(24), 10)
    expect(lnGamma(0.5)).toBeCloseTo(0.5 * Math.log(Math.PI), 10)
    expect(Math.exp(lnChoose(49, 6))).toBeCloseTo(13983816, 0)
  })
  it('has gamma quantiles about their mean: chi-square tables, 10 degrees of freedom', () => {
    // chi-square(10) is gamma of shape 5 and mean 10: 90 % point 15.987, median 9.342
    expect(gammaQuantile(5, 10, 0.9)).toBeCloseTo(15.987, 1)
    expect(gammaQuantile(5, 10, 0.5)).toBeCloseTo(9.342, 1)
  })
})

describe('weighted quantiles', () => {
  it('lie among the values, in order', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.tuple(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.double({ min: 0.01, max: 5, noNaN: true })),
          { minLength: 1, maxLength: 40 },
        ),
        (pairs) => {
          const values = pairs.map(([v]) => v)
          const { p10, p50, p90 } = weightedSpread(
            values,
            pairs.map(([, w]) => w),
          )
          return p10 <= p50 && p50 <= p90 && [p10, p50, p90].every((p) => values.includes(p))
        },
      ),
    )
  })
  it('takes infinity as a value', () => {
    expect(weightedQuantiles([1, Infinity], [1, 3], [0.1, 0.5])).toEqual([1, Infinity])
  })
})
