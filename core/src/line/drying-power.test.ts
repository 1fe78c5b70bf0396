import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { airflowFactor, curingCapKPa } from '../assumptions'
import { airSeries, hourMs, steadyAir, vapourPressureDeficitKPa } from '../air'
import { cropById } from '../almanac'
import {
  airflowAt,
  atInstant,
  curingOf,
  curingPosterior,
  expectedWeightG,
  instantReaching,
  pullKPa,
  spentPower,
  splitSeries,
  weightShare,
} from './index'

const curing = curingOf(cropById('garlic-hardneck'))

describe('drying power', () => {
  it('is a limit in humidity, not in vapour pressure: warm damp air dries no skin', () => {
    const at = (t: number, rh: number) => pullKPa(vapourPressureDeficitKPa(t, rh), rh)
    expect(at(20, 60)).toBeCloseTo(0.865, 2)
    expect(at(27, 70)).toBeCloseTo(0.963, 2)
    // half way up the ramp: 2.339 kPa of saturation, 0.97 − 0.83, half
    expect(at(20, 83)).toBeCloseTo(0.164, 2)
    expect([at(25, 90), at(9, 86), at(35, 99)]).toEqual([0, 0, 0])
    expect(at(38, 20)).toBe(curingCapKPa)
  })
  it('of a crop dried to a moisture ends where the air would hold it wetter', () => {
    expect(pullKPa(vapourPressureDeficitKPa(15, 80), 80, 75)).toBe(0)
    expect(pullKPa(vapourPressureDeficitKPa(15, 60), 60, 75)).toBeGreaterThan(0.5)
  })
  it('grows with the air that moves, and with what meets it', () => {
    const air = steadyAir(20, 60, 1)
    const one = (change: object) => spentPower(air, curing, [{ atMs: 0, airflow: 'breezy', ...change }])[1]!
    expect(one({ airflow: 'fan' }) / one({})).toBeCloseTo(airflowFactor.fan)
    expect(one({ airflow: 'still' }) / one({})).toBeCloseTo(airflowFactor.still)
    expect(one({ gain: 1.3 }) / one({})).toBeCloseTo(1.3)
  })
  it('adds up hour by hour and never falls', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: 20, max: 98, noNaN: true }), { minLength: 1, maxLength: 200 }), (rh) => {
        const air = airSeries(0, new Float64Array(rh.length).fill(18), Float64Array.from(rh))
        const spent = spentPower(air, curing, [{ atMs: 0, airflow: 'breezy' }])
        return spent.length === rh.length + 1 && spent.every((x, i) => i === 0 || x >= spent[i - 1]!)
      }),
    )
  })
  it('counts a fan from the hour it is on', () => {
    const air = steadyAir(20, 60, 48)
    const plain = spentPower(air, curing, [{ atMs: 0, airflow: 'still' }])
    const fanned = spentPower(air, curing, [
      { atMs: 0, airflow: 'still' },
      { atMs: 24 * hourMs, airflow: 'fan' },
    ])
    expect(fanned[24]).toBeCloseTo(plain[24]!)
    expect((fanned[48]! - fanned[24]!) / (plain[48]! - plain[24]!)).toBeCloseTo(airflowFactor.fan / airflowFactor.still)
  })
  it('knows which airflow is in force', () => {
    const changes = [
      { atMs: 10, airflow: 'fan' as const },
      { atMs: 20, airflow: 'still' as const },
    ]
    expect([5, 10, 15, 20, 99].map((ms) => airflowAt(changes, ms))).toEqual(['fan', 'fan', 'fan', 'still', 'still'])
    expect(airflowAt([], 5)).toBe('breezy')
  })
  it('finds the instant a sum is reached, and the sum at an instant, each the other’s inverse', () => {
    const air = steadyAir(20, 60, 240)
    const spent = spentPower(air, curing, [{ atMs: 0, airflow: 'breezy' }])
    fc.assert(
      fc.property(fc.double({ min: 0.5, max: 150, noNaN: true }), (target) => {
        const at = instantReaching(air, spent, target)
        return Math.abs(atInstant(air, spent, at) - target) < 1e-6
      }),
    )
    expect(instantReaching(air, spent, 1e9)).toBe(Infinity)
    expect(instantReaching(air, spent, 0)).toBe(air.startMs)
    expect(atInstant(air, spent, -5)).toBe(0)
    expect(atInstant(air, spent, 1e15)).toBe(spent[240])
  })
  it('cuts a series in two without losing an hour', () => {
    const [a, b] = splitSeries(steadyAir(20, 60, 48), 20 * hourMs)
    expect([a.hours, b.hours, b.startMs]).toEqual([20, 28, 20 * hourMs])
    expect(splitSeries(steadyAir(20, 60, 48), -1)[0].hours).toBe(0)
    // wherever it begins
    const [before, after] = splitSeries(steadyAir(20, 60, 48, 100 * hourMs), 130 * hourMs)
    expect([before.hours, after.hours, after.startMs]).toEqual([30, 18, 130 * hourMs])
    expect(splitSeries(steadyAir(20, 60, 48), 1e12)[1].hours).toBe(0)
  })
})

describe('what weighings say', () => {
  it('starts at the whole weight and ends at the dry share', () => {
    expect(weightShare(0, 400, 0.7)).toBe(1)
    expect(weightShare(1e6, 400, 0.7)).toBeCloseTo(0.7)
    // 95 % of the losable water is gone at the budget
    expect((1 - weightShare(400, 400, 0.7)) / 0.3).toBeCloseTo(0.95)
  })
  it('is a belief: weights sum to one, and one weighing alone leaves the prior', () => {
    const prior = curingPosterior(curing, [], [])
    const one = curingPosterior(curing, [{ powerKPaH: 40, weightG: 600 }], [])
    expect(prior.weight.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 9)
    expect([...one.weight]).toEqual([...prior.weight])
  })
  it('does not compare a bunch with the lot', () => {
    const mixed = curingPosterior(
      curing,
      [
        { powerKPaH: 0, weightG: 600, basis: 'bunch' },
        { powerKPaH: 100, weightG: 4500, basis: 'lot' },
      ],
      [],
    )
    expect([...mixed.weight]).toEqual([...curingPosterior(curing, [], []).weight])
  })
  it('believes a faster budget when weight falls fast, a slower one when it hardly falls', () => {
    const mean = (later: number) => {
      const p = curingPosterior(
        curing,
        [
          { powerKPaH: 0, weightG: 600 },
          { powerKPaH: 100, weightG: later },
          { powerKPaH: 200, weightG: later - (600 - later) * 0.4 },
        ],
        [],
      )
      return p.weight.reduce((sum, w, i) => sum + w * p.budgetKPaH[i]!, 0)
    }
    expect(mean(500)).toBeLessThan(mean(540))
  })
  it('expects less the more the air has pulled, and the same where it has not', () => {
    const p = curingPosterior(curing, [], [])
    expect(expectedWeightG(p, 600, 50, 50)).toBeCloseTo(600)
    expect(expectedWeightG(p, 600, 50, 150)).toBeLessThan(expectedWeightG(p, 600, 50, 100))
  })
  it('takes each end test as evidence, and forgives one wrong thumb', () => {
    const later = (passed: boolean, test = 'neck') => {
      const p = curingPosterior(curing, [], [{ powerKPaH: 380, test, passed }])
      return p.weight.reduce((sum, w, i) => sum + w * p.budgetKPaH[i]!, 0)
    }
    expect(later(false)).toBeGreaterThan(later(true))
    expect(later(false, 'no-such-test')).toBeCloseTo(later(true, 'no-such-test'))
  })
})
