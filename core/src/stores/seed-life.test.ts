import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { seedLife, seedSpecies } from './index'

describe('seed viability (Ellis & Roberts 1980 and later constants, recalled; points computed from them)', () => {
  it.each([
    ['onion', 6, 5, 11590.8],
    ['onion', 8, 10, 2503.1],
    ['onion', 10, 20, 341.8],
    ['barley', 8, 10, 16427.9],
    ['barley', 10, 20, 1305.6],
    ['soybean', 8, 10, 3997.7],
    ['soybean', 10, 20, 414.8],
    ['chickpea', 10, 20, 1627.0],
    ['cowpea', 10, 20, 1802.2],
    ['lettuce', 8, 10, 2292.9],
    ['lettuce', 10, 20, 198.2],
    ['maize', 10, 20, 660.4],
    ['pea', 10, 20, 4157.2],
    ['rice', 8, 10, 5606.1],
    ['sugar-beet', 8, 10, 19994.3],
    ['sorghum', 8, 10, 27997.4],
    ['oilseed-rape', 8, 10, 1742.5],
    ['sunflower', 8, 10, 404.0],
  ])('%s at %i pct and %i °C loses a probit in %f days', (species, m, t, sigma) => {
    expect(seedLife(species, t, m, 95, {}).sigmaDays / sigma).toBeCloseTo(1, 3)
  })
  it('onion, 8 %, 10 °C, from 95 %: 82.0 % after five years', () => {
    expect(seedLife('onion', 10, 8, 95, { days: 5 * 365.25 }).viabilityPct).toBeCloseTo(82.0, 1)
  })
  it('lettuce, 6 %, 20 °C, from 98 %: 94.26 % after three years', () => {
    expect(seedLife('lettuce', 20, 6, 98, { days: 3 * 365.25 }).viabilityPct).toBeCloseTo(94.26, 1)
  })
  it('half of onion seed from 95 % is dead after 1.54 years at 10 % and 20 °C', () => {
    expect(seedLife('onion', 20, 10, 95, { targetViabilityPct: 50 }).daysToTarget / 365.25).toBeCloseTo(1.539, 2)
    // where nobody says what to wait for: half of what came up to begin with
    expect(seedLife('onion', 20, 10, 60, {}).targetViabilityPct).toBe(30)
    expect(seedLife('onion', 20, 10, 60, {}).viabilityPct).toBeCloseTo(30, 6)
  })
  it('never gains by waiting, by damp or by warmth', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...Object.keys(seedSpecies)),
        fc.double({ min: 0, max: 28, noNaN: true }),
        fc.double({ min: 5, max: 13, noNaN: true }),
        (species, t, m) => {
          const at = (temp: number, moist: number) => seedLife(species, temp, moist, 90, { days: 700 }).viabilityPct
          return at(t + 3, m) <= at(t, m) + 1e-9 && at(t, m + 1) <= at(t, m) + 1e-9
        },
      ),
    )
  })
  it('two points drier and 10 °C cooler live some 16 times as long (Harrington 1972, recalled)', () => {
    for (const species of Object.keys(seedSpecies)) {
      const sigma = (temperatureC: number, moisturePct: number) =>
        seedLife(species, temperatureC, moisturePct, 95, {}).sigmaDays
      const times = sigma(10, 8) / sigma(20, 10)
      expect(times, species).toBeGreaterThan(16 / 2.3)
      expect(times, species).toBeLessThan(16 * 2.3)
    }
  })
  it('refuses seed it has no constants for, wet seed, and a target above the start', () => {
    expect(() => seedLife('tomato', 20, 8, 95, {})).toRefuse(/constants/)
    expect(() => seedLife('onion', 20, 22, 95, {})).toRefuse(/moisture/)
    expect(() => seedLife('onion', 20, 8, 100, {})).toRefuse(/initial/)
    expect(() => seedLife('onion', 20, 8, 60, { targetViabilityPct: 90 })).toRefuse(/above/)
  })
})
