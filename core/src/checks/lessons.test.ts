import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { lifeVariance, lotLifeLogSd } from '../assumptions'
import { steadyLife } from '../stores'
import {
  beliefAfterChecks,
  houseTimes,
  learntFrom,
  learntPrior,
  placeTimes,
  timesAsLong,
  toldBy,
  varietyTimes,
  type Lesson,
} from './index'

const lesson = (over: Partial<Lesson>): Lesson => ({
  crop: 'onion-storing',
  variety: 'Red',
  placeId: 'cellar',
  year: 2025,
  logMean: 0.3,
  logSd: 0.12,
  ...over,
})
const variance = lotLifeLogSd ** 2

describe('what looks at a lot taught', () => {
  const { model } = steadyLife(cropById('onion-storing'), 5, 65, 'net')
  const after = (bad: number, day: number) =>
    toldBy(model, beliefAfterChecks(model, [{ day, lookedAt: 30, bad, running: 0, lotSize: 120 }], day))
  it('is a long life where hardly any had gone late, and a short one where many had early', () => {
    expect(after(0, 260)!.logMean).toBeGreaterThan(0.15)
    expect(after(15, 120)!.logMean).toBeLessThan(-0.4)
    expect(after(15, 120)!.logSd).toBeLessThan(after(0, 260)!.logSd)
  })
  it('is nothing where a look came long before any could have gone', () => {
    expect(after(0, 20)).toBeUndefined()
  })
})

describe('what a house learns from lot to lot', () => {
  it('thinks what the books do before anything was learnt', () => {
    const { logMean, logSd } = learntPrior(learntFrom([]), 'Red', 'cellar')
    expect(logMean).toBe(0)
    expect(logSd).toBeCloseTo(lotLifeLogSd, 12)
  })
  it('moves by one lot as far as the shares of the variance say', () => {
    // normal theory by hand: what is shared, over all the variance of what was seen
    const prior = learntPrior(learntFrom([lesson({ logMean: 0.2 })]), 'red ', 'cellar')
    const shared = (lifeVariance.house + lifeVariance.variety + lifeVariance.place) * variance
    const seen = variance + 0.12 ** 2
    expect(prior.logMean).toBeCloseTo((shared / seen) * 0.2, 12)
    expect(prior.logSd ** 2).toBeCloseTo(variance - shared ** 2 / seen, 12)
  })
  it('moves the less by a lot the further off it lies', () => {
    // by hand: beyond one and a half standard deviations its variance is (off / 1.5)², so that it moves by 1.5² · shared / off
    const shared = (lifeVariance.house + lifeVariance.variety + lifeVariance.place) * variance
    for (const off of [1.6, -2.4]) {
      expect(Math.abs(off)).toBeGreaterThan(1.5 * Math.sqrt(variance + 0.12 ** 2))
      const prior = learntPrior(learntFrom([lesson({ logMean: off })]), 'Red', 'cellar')
      expect(prior.logMean).toBeCloseTo((1.5 ** 2 * shared) / off, 12)
    }
  })
  it('carries to another variety and place only what is the house’s', () => {
    const learnt = learntFrom([2023, 2024, 2025].map((year) => lesson({ year })))
    const [same, other, elsewhere] = [
      learntPrior(learnt, 'Red', 'cellar'),
      learntPrior(learnt, 'White', 'cellar'),
      learntPrior(learnt, 'White', 'loft'),
    ]
    expect(same.logMean).toBeGreaterThan(0.18)
    expect(other.logMean).toBeLessThan(0.7 * same.logMean)
    expect(elsewhere.logMean).toBeLessThan(other.logMean)
    expect(elsewhere.logMean).toBeGreaterThan(0.02)
    expect(same.logSd).toBeLessThan(other.logSd)
    expect(placeTimes(learnt, 'cellar')!.p50).toBeGreaterThan(1)
    expect(placeTimes(learnt, 'loft')).toBeUndefined()
  })
  it('tells two varieties apart once each was seen some winters', () => {
    const winters = (n: number) =>
      Array.from({ length: n }, (_, i) => [
        lesson({ year: 2020 + i, logMean: 0.22 }),
        lesson({ year: 2020 + i, variety: 'White', logMean: -0.12 }),
      ]).flat()
    const [one, four] = [1, 4].map((n) => timesAsLong(learntFrom(winters(n)), 'Red', 'White')!)
    expect(one!.p10).toBeLessThan(1)
    expect(four!.p10).toBeGreaterThan(1)
    expect(four!.p50).toBeGreaterThan(1.15)
    expect(four!.p50).toBeLessThan(Math.exp(0.34))
    expect(timesAsLong(learntFrom(winters(4)), 'Red', 'Blue')).toBeUndefined()
    // what both share is known of neither apart: the variance of a difference, 0.04 + 0.09 − 2 · 0.03, by hand
    const learnt = {
      mean: [0, 0.3, 0.1],
      covariance: [
        [0.01, 0, 0],
        [0, 0.04, 0.03],
        [0, 0.03, 0.09],
      ],
      varieties: new Map([
        ['red', 1],
        ['white', 2],
      ]),
      places: new Map(),
    }
    const { p10, p50, p90 } = timesAsLong(learnt, ' Red', 'white')!
    expect(p50).toBeCloseTo(Math.exp(0.2), 9)
    expect(p90).toBeCloseTo(Math.exp(0.2 + 1.2816 * Math.sqrt(0.07)), 9)
    expect(p10).toBeCloseTo(Math.exp(0.2 - 1.2816 * Math.sqrt(0.07)), 9)
  })
  it('begins a variety at what is said of it, and learns the rest', () => {
    const said = [{ crop: 'onion-storing', variety: 'red', keeps: 'longer' }] as const
    expect(varietyTimes(learntFrom([], said), 'Red').p50).toBeCloseTo(1.4, 12)
    expect(learntPrior(learntFrom([], said), 'Red', null).logSd).toBeLessThan(lotLifeLogSd)
    const short = Array.from({ length: 6 }, (_, i) => lesson({ year: 2018 + i, logMean: -0.3 }))
    expect(varietyTimes(learntFrom(short, said), 'Red').p50).toBeLessThan(1)
  })
  it('is not carried off by one wet sack', () => {
    const usual = Array.from({ length: 4 }, (_, i) => lesson({ year: 2020 + i, logMean: 0 }))
    const with1 = learntPrior(learntFrom([...usual, lesson({ year: 2025, logMean: -1.1 })]), 'Red', 'cellar')
    expect(with1.logMean).toBeGreaterThan(-0.1)
    expect(with1.logMean).toBeLessThan(-0.01)
  })
  it('comes to the same in whatever order lots went, where none is far off', () => {
    fc.assert(
      fc.property(
        fc.array(
          fc.record({
            variety: fc.constantFrom('Red', 'White', null),
            placeId: fc.constantFrom('cellar', 'loft'),
            logMean: fc.double({ min: -0.12, max: 0.12, noNaN: true }),
            logSd: fc.double({ min: 0.1, max: 0.6, noNaN: true }),
          }),
          { minLength: 1, maxLength: 12 },
        ),
        (some) => {
          const lessons = some.map((over) => lesson(over))
          const [a, b] = [learntFrom(lessons), learntFrom([...lessons].reverse())]
          expect(houseTimes(b).p50).toBeCloseTo(houseTimes(a).p50, 9)
          const [one, other] = [learntPrior(a, 'Red', 'loft'), learntPrior(b, 'Red', 'loft')]
          expect(other.logMean).toBeCloseTo(one.logMean, 9)
          expect(one.logSd).toBeGreaterThan(0)
          expect(one.logSd).toBeLessThanOrEqual(lotLifeLogSd + 1e-12)
        },
      ),
    )
  })
})
