import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { gramsPerOunce, gramsPerPound, weightWords } from './index'

describe('weights in words', () => {
  it('use the international avoirdupois pound of 1959, 0.45359237 kg, and its sixteenth', () => {
    expect(gramsPerPound).toBe(453.59237)
    expect(gramsPerOunce).toBe(28.349523125)
  })
  it('are rounded as a household says them', () => {
    for (const [g, metric, us] of [
      [0, '0 g', '0.0 oz'],
      [40, '40 g', '1.4 oz'],
      [250, '250 g', '9 oz'],
      [999, '999 g', '2.20 lb'],
      [1000, '1.00 kg', '2.20 lb'],
      [9990, '9.99 kg', '22.0 lb'],
      [21_900, '21.9 kg', '48.3 lb'],
      [1_250_000, '1,250.0 kg', '2,755.8 lb'],
      [-600, '−600 g', '−1.32 lb'],
    ] as const) {
      expect([weightWords(g, 'metric'), weightWords(g, 'us')]).toEqual([metric, us])
    }
  })
  it('never mislead by more than their last figure', () => {
    const grams: Record<string, number> = { g: 1, kg: 1000, oz: gramsPerOunce, lb: gramsPerPound }
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 2_000_000 }),
        fc.constantFrom('metric' as const, 'us' as const),
        (g, units) => {
          const [figure, unit] = weightWords(g, units).split(' ') as [string, string]
          const said = Number(figure.replaceAll(',', '')) * grams[unit]!
          const digits = figure.split('.')[1]?.length ?? 0
          return Math.abs(said - g) <= 0.5001 * 10 ** -digits * grams[unit]!
        },
      ),
    )
  })
})
