import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { airflowFactor, curingCapKPa } from '../assumptions'
import { airSeries, hourMs, steadyAir } from '../air'
import { cropById } from '../almanac'
import {
  airflowAt,
  atInstant,
  curingOf,
  curingPosterior,
  expectedWeightG,
  hourlyPower,
  instantReaching,
  spentPower,
  splitSeries,
  weightShare,
} from './index'

const curing = curingOf(cropById('garlic-hardneck'))

describe('drying power', () => {
  it('is nothing below the stall, and no more than the layers let through', () => {
    expect(hourlyPower(0.1, 0.15, 'breezy')).toBe(0)
    expect(hourlyPower(0.65, 0.15, 'breezy')).toBeCloseTo(0.5)
    expect(hourlyPower(9, 0.15, 'breezy')).toBe(curingCapKPa)
  })
  it('grows with the air that moves', () => {
    const [still, breezy, fan] = (['still', 'breezy', 'fan'] as const).map((a) => hourlyPower(1, 0.15, a))
    expect(still! < breezy! && breezy! < fan!).toBe(true)
    expect(fan! / breezy!).toBeCloseTo(airflowFactor.fan)
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
