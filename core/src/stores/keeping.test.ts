import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { airSeries, hoursOf, steadyAir } from '../air'
import { cropById, crops } from '../almanac'
import { Refusal } from '../refusal'
import {
  exposureOver,
  keepAt,
  keepingForecast,
  lossPctPerHourPerKPa,
  lotLife,
  respirationWPerKg,
  unitLife,
  priorWeights,
  lifeModelFromSpread,
} from './index'

const garlic = cropById('garlic-hardneck')
const onion = cropById('onion-storing')

describe('against the books', () => {
  it('gives the tabulated heat of respiration for onion (ASHRAE Refrigeration ch. 19, recalled, agreed)', () => {
    expect(respirationWPerKg(onion, 0)).toBeCloseTo(0.0072, 4)
    expect(respirationWPerKg(onion, 10)).toBeCloseTo(0.02236, 4)
  })
  it('loses weight at the published rate: cured onion 44 ng/(kg·s·Pa) (Sastry 1978, recalled, agreed)', () => {
    // bare in moving air would be factor 1; 1 kPa for a day: 44e-12 · 1000 · 86400 · 100 = 0.380 %
    expect((lossPctPerHourPerKPa(onion, 'bare') * 24) / 0.6).toBeCloseTo(0.38, 3)
  })
  it('lets garlic reach eight months in a cool basement (common practice, no source)', () => {
    expect(keepAt(garlic, 12, 60).lifeDays.p90).toBeGreaterThan(240)
  })
  it('begins to lose garlic within 3 to 5 months at 16–18 °C (extension, recalled, unsure)', () => {
    const { p10, p90 } = keepAt(garlic, 17, 58).lifeDays
    expect(p10).toBeGreaterThan(80)
    expect(p10).toBeLessThan(110)
    expect(p90).toBeGreaterThan(150)
  })
  it('roots onions in a damp cellar long before they would sprout (common practice, no source)', () => {
    const cellar = keepAt(onion, 9, 90)
    expect(cellar.endedBy).toBe('rooting')
    expect(cellar.lifeDays.p50).toBeLessThan(keepAt(onion, 9, 62).lifeDays.p50 / 2)
  })
  it('sprouts garlic sooner in a fridge than near freezing (common practice, no source)', () => {
    expect(keepAt(garlic, 5, 68).lifeDays.p50).toBeLessThan(keepAt(garlic, 0, 68).lifeDays.p50 * 0.75)
  })
})

/** Neither sprouting nor chilling nor healing curves: warmth only ever shortens these. */
const calm = crops.filter((c) => !c.keeping.sproutingDays && !c.keeping.chillsBelowC)

describe('behaves', () => {
  it('lives shorter the warmer it is, sprouting and chilling curves apart', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...calm),
        fc.double({ min: 1, max: 34, noNaN: true }),
        fc.double({ min: 20, max: 70, noNaN: true }),
        (crop, t, rh) => keepAt(crop, t + 2, rh).lifeDays.p50 <= keepAt(crop, t, rh).lifeDays.p50 + 0.1,
      ),
      { numRuns: 150 },
    )
  })
  it('is over within days in hard frost', () => {
    expect(keepAt(garlic, -6, 80).lifeDays.p90).toBeLessThan(5)
    expect(keepAt(garlic, -6, 80).endedBy).toBe('frost')
  })
  it('answers any air in its range with rising finite quantiles, and refuses the rest', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -10, max: 40, noNaN: true }),
        fc.double({ min: 10, max: 100, noNaN: true }),
        (t, rh) => {
          const { p10, p50, p90 } = keepAt(onion, t, rh).lifeDays
          return p10 <= p50 && p50 <= p90 && Number.isFinite(p90)
        },
      ),
      { numRuns: 60 },
    )
    expect(() => keepAt(onion, 60, 50)).toThrow(Refusal)
    expect(() => keepAt(onion, 10, 5)).toThrow(Refusal)
  })
  it('reproduces a life given as a spread', () => {
    const model = lifeModelFromSpread({ p10: 90, p50: 160, p90: 260 }, 1500)
    const life = unitLife(model, priorWeights(model))
    expect(life.p10).toBeGreaterThan(85)
    expect(life.p10).toBeLessThan(95)
    expect(life.p50).toBeCloseTo(160, 0)
    expect(life.p90).toBeGreaterThan(245)
    expect(life.p90).toBeLessThan(275)
  })
  it('adds up hours in one stretch or in several, broken within a day too', () => {
    const crop = cropById('potato-maincrop')
    const hours = 24 * 40 + 7
    const air = airSeries(
      0,
      Float64Array.from({ length: hours }, (_, i) => 6 + 5 * Math.sin(i / 9)),
      Float64Array.from({ length: hours }, (_, i) => 85 + 10 * Math.sin(i / 31)),
    )
    const whole = exposureOver(crop, air)
    expect(whole.days).toBe(40)
    const cuts = [0, 17, 24 * 9, 24 * 9 + 1, hours]
    expect(
      exposureOver(
        crop,
        cuts.slice(1).map((to, i) => hoursOf(air, cuts[i]!, to)),
      ),
    ).toEqual(whole)
    // and continued from where it stood
    const before = exposureOver(crop, hoursOf(air, 0, 24 * 12))
    expect(exposureOver(crop, [hoursOf(air, 24 * 12, 300), hoursOf(air, 300, hours)], before)).toEqual(whole)
  })
  it('an hourly year and the steady answer agree', () => {
    const { model, lossPct } = lotLife(garlic, steadyAir(12, 60, 24 * 700), 'net')
    const life = unitLife(model, priorWeights(model))
    expect(life.p50).toBeCloseTo(keepAt(garlic, 12, 60).lifeDays.p50, 0)
    const forecast = keepingForecast(model, lossPct, 0)
    expect(forecast.weightLossPctPerMonth).toBeCloseTo(keepAt(garlic, 12, 60).weightLossPctPerMonth, 3)
    expect(forecast.nineInTenDay.p10).toBeLessThan(forecast.nineInTenDay.p50)
    expect(forecast.nineInTenDay.p50).toBeLessThan(forecast.halfDay.p50)
    expect(forecast.endedBy.reduce((sum, e) => sum + e.share, 0)).toBeCloseTo(1, 6)
  })
})
