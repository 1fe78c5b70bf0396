import fc from 'fast-check'
import { quantileSorted } from 'simple-statistics'
import { describe, expect, it } from 'vitest'
import { normalQuantile } from '../chance'
import { keepBack } from './index'

describe('keeping back for planting', () => {
  it('twenty of a hundred garlic heads, six heads from each: the largest cost more now and give more later', () => {
    const [largest, smallest] = keepBack(4500, 100, 20, 6)
    expect(largest!.nextPieces).toBe(120)
    expect(largest!.weightG).toBeGreaterThan(900)
    expect(smallest!.weightG).toBeLessThan(900)
    expect(largest!.nextG).toBeGreaterThan(smallest!.nextG)
    expect(largest!.leftG + largest!.weightG).toBe(4500)
  })
  it('weighs the largest fifth as sorting a normal harvest does (simple-statistics as the sorter)', () => {
    // 1,000 pieces at the normal quantiles, spread 28 % about 50 g
    const sizes = Array.from({ length: 1000 }, (_, i) => 50 * (1 + 0.28 * normalQuantile((i + 0.5) / 1000))).sort(
      (a, b) => a - b,
    )
    const bound = quantileSorted(sizes, 0.8)
    const sorted = sizes.filter((g) => g > bound).reduce((a, b) => a + b, 0)
    const [largest] = keepBack(50_000, 1000, 200, 1)
    expect(largest!.weightG / sorted).toBeGreaterThan(0.995)
    expect(largest!.weightG / sorted).toBeLessThan(1.005)
  })
  it('never keeps more than there is, whatever is asked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 10, max: 900_000 }),
        fc.integer({ min: 2, max: 2000 }),
        fc.double({ min: 0, max: 1, noNaN: true }),
        (g, n, share) => {
          const keep = Math.min(n - 1, Math.max(1, Math.round(n * share)))
          for (const kept of keepBack(g, n, keep, 6)) {
            expect(kept.leftG).toBeGreaterThan(0)
            expect(kept.leftG + kept.weightG).toBe(g)
            expect(kept.leftPieces + kept.pieces).toBe(n)
          }
        },
      ),
    )
    expect(() => keepBack(1000, 10, 10, 6)).toRefuse(/between 1 and 9/)
    expect(() => keepBack(1000, 10, 2.5, 6)).toThrow()
  })
})
