import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import {
  dateRange,
  exactWeight,
  gramsFrom,
  humidity,
  longDate,
  sentence,
  temperature,
  untilDate,
  weekdayOf,
  weight,
} from './words'

describe('what people type', () => {
  it('comes back as the grams it was shown as', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 2_000_000 }), (g) => {
        expect(gramsFrom(String(g))).toBe(g)
        expect(gramsFrom(`${(g / 1000).toFixed(3)} kg`)).toBe(g)
        expect(gramsFrom((g / 1000).toFixed(3), 'kg')).toBe(g)
        expect(gramsFrom(`${(g / 1000).toFixed(3).replace('.', ',')}kg`)).toBe(g)
      }),
    )
  })
  it('is never a guess: anything odd is nothing', () => {
    for (const odd of ['kg', '1.2.3', '12 stone', '0', '-4', '2 000 000 000', 'NaN', 'Infinity', '1e3', '３']) {
      expect(gramsFrom(odd), odd).toBeNull()
    }
    fc.assert(
      fc.property(fc.string(), (text) => {
        const grams = gramsFrom(text)
        return grams === null || (Number.isInteger(grams) && grams > 0 && grams <= 2_000_000)
      }),
    )
  })
})

describe('what is shown', () => {
  it('carries its unit', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 500_000 }),
        (g) => / (g|kg)$/.test(weight(g)) && / kg$/.test(exactWeight(g)),
      ),
    )
    expect([temperature(-0.84), humidity(61.7)]).toEqual(['−0.8 °C', '62 %'])
  })
  it('names days in the household’s words, whatever zone the browser is in', () => {
    expect([longDate('2026-02-12'), weekdayOf('2026-10-02')]).toEqual(['12 February', 'Fri'])
    expect(untilDate('2027-12-01', true)).toBe('over a year')
    expect(dateRange('2026-10-04', '2026-10-04')).toBe('4 Oct')
  })
  it('begins a sentence with a capital', () => {
    expect([sentence('drying out ends it'), sentence('')]).toEqual(['Drying out ends it', ''])
  })
})
