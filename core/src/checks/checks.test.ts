import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { airSeries } from '../air'
import { lnBetaBinomial } from '../chance'
import { foundByLooking, lookBeforeLost, looksCorrelation, spreadPerWeek } from '../assumptions'
import { lotLife, noneBad, sameUntil, stand, meanSoundShare, priorWeights, steadyLife } from '../stores'
import {
  beliefAfterChecks,
  bearableHarm,
  checkSize,
  checkUpdate,
  daysUntilLost,
  nextCheckInDays,
  nextLookInDays,
  soundNow,
  type Check,
} from './index'

describe('how many to look at', () => {
  /** The definition, by counting: chance of missing every bad one, one draw after another. */
  const byCounting = (lot: number, fraction: number, confidence: number) => {
    const bad = Math.ceil(lot * fraction - 1e-9)
    let miss = 1
    for (let n = 1; n <= lot; n++) {
      miss *= Math.max(0, lot - bad - n + 1) / (lot - n + 1)
      if (1 - miss >= confidence - 1e-12) return n
    }
    return lot
  }
  it('is exactly the hypergeometric answer', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 400 }),
        fc.integer({ min: 1, max: 100 }),
        fc.integer({ min: 50, max: 99 }),
        (lot, pct, conf) => checkSize(lot, pct / 100, conf / 100) === byCounting(lot, pct / 100, conf / 100),
      ),
    )
  })
  it('matches Cannon & Roe 1982, sample sizes for detecting disease (recalled): 95 % sure, herd of 100', () => {
    expect(checkSize(100, 0.1, 0.95)).toBe(25)
    expect(checkSize(100, 0.05, 0.95)).toBe(45)
    expect(checkSize(50, 0.1, 0.95)).toBe(22)
  })
  it('refuses what no lot can be', () => {
    expect(() => checkSize(0, 0.1, 0.9)).toRefuse(/lotSize/)
    expect(() => checkSize(10, 0, 0.9)).toRefuse(/badFraction/)
    expect(() => checkSize(10, 0.1, 1)).toRefuse(/confidence/)
  })
})

describe('what looking teaches', () => {
  const lifeDays = { p10: 100, p50: 180, p90: 300 }
  it('bad ones shorten the life, clean looks lengthen it, no look changes nothing', () => {
    const none = checkUpdate({ lifeDays }, [])
    const clean = checkUpdate({ lifeDays }, [{ day: 90, lookedAt: 30, bad: 0 }])
    const bad = checkUpdate({ lifeDays }, [{ day: 40, lookedAt: 30, bad: 5 }])
    expect(none.lifeDays.p50).toBeCloseTo(180, 0)
    expect(clean.lifeDays.p50).toBeGreaterThan(none.lifeDays.p50)
    expect(bad.lifeDays.p50).toBeLessThan(none.lifeDays.p50 * 0.8)
    expect(bad.nextCheckInDays).toBeLessThan(clean.nextCheckInDays)
  })
  it('believes a surprising look: five bad of thirty long before their time are not explained away', () => {
    const { soundFractionNow, lifeDays: life } = checkUpdate({ lifeDays }, [{ day: 40, lookedAt: 30, bad: 5 }])
    expect(soundFractionNow).toBeLessThan(0.95)
    expect(life.p50).toBeLessThan(100)
  })
  it('knows that removed bad ones are gone', () => {
    const { model } = steadyLife(cropById('garlic-hardneck'), 12, 60, 'net')
    const all = beliefAfterChecks(model, [{ day: 100, lookedAt: 96, bad: 6, lotSize: 96 }], 100)
    const few = beliefAfterChecks(model, [{ day: 100, lookedAt: 96, bad: 6 }], 100)
    // one bad one in twenty is not noticed
    expect(soundNow(all)).toBeGreaterThan(0.995)
    expect(soundNow(few)).toBeLessThan(0.97)
  })
  it('never tightens on no evidence', () => {
    const { model } = steadyLife(cropById('onion-storing'), 12, 60, 'net')
    beliefAfterChecks(model, [], 50).weights.forEach((w, j) => expect(w).toBeCloseTo(priorWeights(model)[j]!, 12))
    const zero = beliefAfterChecks(model, [{ day: 20, lookedAt: 0, bad: 0 }], 50).weights
    zero.forEach((w, j) => expect(w).toBeCloseTo(priorWeights(model)[j]!, 9))
  })
  it('looks again sooner the more will rot: the later it is, and while the hurt ones go', () => {
    const at = (id: string, day: number) => {
      const { model } =
        id === 'apple-late' ? steadyLife(cropById(id), 8, 90, 'box') : steadyLife(cropById(id), 12, 60, 'net')
      return nextCheckInDays(model, beliefAfterChecks(model, [], day, 0.3), day, 90, 0.3, 1.8)
    }
    expect(at('apple-late', 10)).toBeGreaterThan(at('apple-late', 80))
    expect(at('apple-late', 80)).toBeGreaterThan(at('apple-late', 150))
    // garlic sprouts in the end, which harms no neighbour: only what came in hurt does, in the first weeks
    expect(at('garlic-hardneck', 10)).toBeLessThan(at('garlic-hardneck', 80))
  })
  it('of a lot half of which has gone, only the other half can yet go and run', () => {
    const { model } = steadyLife(cropById('apple-late'), 8, 90, 'box')
    const due = (spent: number, bearable: number) => {
      const bad = Array.from(model.prior, () => ({ running: 0, spent, quiet: 0 }))
      return nextCheckInDays(model, { weights: model.prior, bad }, 80, 90, 0.3, bearable)
    }
    expect(due(0.5, 0.9)).toBe(due(0, 1.8))
    expect(due(0.5, 0.9)).toBeGreaterThan(due(0, 0.9))
  })
  it('reckons with bad ones that spoil others in turn until they have dried up, by hand', () => {
    // nothing goes by itself in a shut jar: only what a look missed does harm. A running one spoils `daily` others a day and
    // runs for twelve days, so what runs grows by g = daily − 1/12, and the harm by day d is pieces · missed · daily · (e^(g d) − 1) / g
    const { model } = steadyLife(cropById('bean-drying'), 10, 50, 'jar')
    const due = (daily: number, missed: number, bearable: number) => {
      const bad = model.prior.map(() => missed)
      const belief = { weights: model.prior, bad: Array.from(bad, (running) => ({ running, spent: 0, quiet: 0 })) }
      return nextCheckInDays(model, belief, 1, 100, 7 * daily, bearable)
    }
    const by = (daily: number, missed: number, bearable: number) => {
      const g = daily - 1 / 12
      return Math.ceil(Math.log(1 + (bearable * g) / (100 * missed * daily)) / g)
    }
    expect([due(0.15, 0.04, 9), by(0.15, 0.04, 9)]).toEqual([11, 11])
    expect([due(0.02, 0.5, 7.9), by(0.02, 0.5, 7.9)]).toEqual([11, 11])
    // where as many dry up as are spoilt, in a straight line
    expect([due(1 / 12, 0.1, 9.5), Math.ceil(9.5 / (100 * 0.1 * (1 / 12)))]).toEqual([12, 12])
  })
  it('comes after two weeks and after four, and a late first look counts for both', () => {
    const { model } = steadyLife(cropById('carrot'), 3, 95, 'damp-sand')
    const bearing = { bearableBadPct: 2, longestLookGapDays: 56 }
    const after = (looks: number, day: number) => {
      const checks = Array.from({ length: looks }, () => ({ day, lookedAt: 30, bad: 0, lotSize: 200 }))
      const belief = beliefAfterChecks(model, checks, day)
      return nextLookInDays(model, belief, day, looks, 200, spreadPerWeek['damp-sand'], bearing)
    }
    expect(after(0, 0)).toBe(14)
    expect(after(1, 14)).toBe(14)
    expect(after(1, 20)).toBe(8)
    // whoever looks for the first time after five weeks is not asked again tomorrow
    expect(after(1, 36)).toBeGreaterThan(14)
  })
  // common practice, no source: somebody goes through fruit every fortnight or so, through garlic and squash once a month
  it.each([
    ['apple-late', 6, 88, 'box', 100, 12, 20],
    ['pear', 3, 90, 'box', 60, 9, 16],
    ['beetroot', 5, 92, 'box', 60, 12, 24],
    ['potato-maincrop', 8, 90, 'sack', 150, 20, 56],
    ['onion-storing', 10, 65, 'net', 120, 22, 56],
    ['garlic-hardneck', 14, 60, 'net', 90, 22, 56],
    ['squash-butternut', 14, 60, 'bare', 12, 30, 56],
  ] as const)(
    'of %s comes within 10 to 14 days, again within four weeks, and then while nothing is found as people do it',
    (id, temperatureC, humidityPct, packing, pieces, shortest, longest) => {
      const { model } = steadyLife(cropById(id), temperatureC, humidityPct, packing)
      const spread = spreadPerWeek[packing]
      const checks: Check[] = []
      let day = 0
      const gaps = Array.from({ length: 6 }, (_, looks) => {
        const days = nextLookInDays(model, beliefAfterChecks(model, checks, day, spread), day, looks, pieces, spread)
        day += days
        checks.push({ day, lookedAt: pieces, bad: 0, lotSize: pieces })
        return days
      })
      expect(gaps[0]).toBeGreaterThanOrEqual(10)
      expect(gaps[0]).toBeLessThanOrEqual(14)
      expect(gaps[0]! + gaps[1]!).toBeLessThanOrEqual(28)
      for (const gap of gaps.slice(2)) {
        expect(gap).toBeGreaterThanOrEqual(shortest)
        expect(gap).toBeLessThanOrEqual(longest)
      }
    },
  )
  it('of four times as many pieces bears twice as much', () => {
    expect(bearableHarm(100, 0.5)).toBeCloseTo(0.5, 12)
    expect(bearableHarm(400, 0.5)).toBeCloseTo(1, 12)
    expect(bearableHarm(25, 0.5)).toBeCloseTo(0.25, 12)
  })
  it('looks before a fifth of it is gone, whatever ends it: carrots lying in a warm kitchen', () => {
    const { model } = steadyLife(cropById('carrot'), 22, 60, 'bare')
    const belief = beliefAfterChecks(model, [], 0)
    // they shrivel, and a wrinkle spoils no neighbour
    expect(nextCheckInDays(model, belief, 0, 150, spreadPerWeek.bare)).toBeGreaterThan(20)
    const look = nextLookInDays(model, belief, 0, 2, 150, spreadPerWeek.bare)
    expect(look).toBeLessThan(12)
    expect(meanSoundShare(model, belief.weights, look - 1)).toBeGreaterThan(0.8)
    expect(meanSoundShare(model, belief.weights, look)).toBeLessThanOrEqual(0.8)
  })
  it('is never later than the one look or the other, at any age', () => {
    const { model } = steadyLife(cropById('potato-maincrop'), 9, 85, 'sack')
    for (const day of [0, 20, 60, 120, 200, 300]) {
      const belief = beliefAfterChecks(model, [], day)
      const look = nextLookInDays(model, belief, day, 2, 240, spreadPerWeek.sack)
      expect(look).toBe(
        Math.min(
          nextCheckInDays(model, belief, day, 240, spreadPerWeek.sack),
          daysUntilLost(model, belief, day, lookBeforeLost),
        ),
      )
      expect(look).toBeGreaterThanOrEqual(1)
    }
  })
  it('finds the day on which a share is gone, a larger share later', () => {
    const { model } = steadyLife(cropById('potato-maincrop'), 9, 85, 'sack')
    const belief = beliefAfterChecks(model, [], 0)
    const days = [0.05, 0.1, 0.3, 0.6].map((share) => {
      const day = daysUntilLost(model, belief, 0, share)
      expect(meanSoundShare(model, belief.weights, day)).toBeLessThanOrEqual(1 - share)
      expect(meanSoundShare(model, belief.weights, day - 1)).toBeGreaterThan(1 - share)
      return day
    })
    expect(new Set(days).size).toBe(4)
    expect(days).toEqual([...days].sort((a, b) => a - b))
  })
  it('refuses more bad than looked at', () => {
    expect(() => checkUpdate({ lifeDays }, [{ day: 3, lookedAt: 2, bad: 3 }])).toRefuse(/more bad/)
  })
})

it('what looks taught stands where only the air to come is another', () => {
  const carrot = cropById('carrot')
  /** Forty days at 4 °C, and so many at another temperature. */
  const life = (then: number) => {
    const days = Float64Array.from({ length: 24 * 200 }, (_, hour) => (hour < 24 * 40 ? 4 : then))
    return lotLife(carrot, airSeries(0, days, new Float64Array(days.length).fill(95)), 'damp-sand').model
  }
  const [mild, milder] = [life(5), life(5.05)]
  const looks = [
    { day: 12, lookedAt: 20, bad: 0, lotSize: 200 },
    { day: 35, lookedAt: 30, bad: 3, running: 2, lotSize: 190 },
  ]
  const spread = spreadPerWeek['damp-sand']
  expect(sameUntil(mild, milder, 35)).toBe(true)
  expect(beliefAfterChecks(milder, looks, 35, spread)).toEqual(beliefAfterChecks(mild, looks, 35, spread))
  expect(sameUntil(mild, milder, 60)).toBe(false)
  expect(beliefAfterChecks(milder, looks, 60, spread)).not.toEqual(beliefAfterChecks(mild, looks, 60, spread))
})

it('a look speaks by cause: what runs first, and what is quiet among the rest, as draws one after another', () => {
  const { model } = steadyLife(cropById('carrot'), 8, 92, 'damp-sand')
  const look = { day: 30, lookedAt: 40, bad: 7, running: 2 }
  const { weights } = beliefAfterChecks(model, [look], look.day)
  const prior = priorWeights(model)
  // Johnson, Kotz & Kemp 1992, beta-binomial (recalled); of what does not run, the share that is quiet
  const runs = lnBetaBinomial(40, 2, looksCorrelation)
  const quiet = lnBetaBinomial(38, 5, looksCorrelation)
  const said = Array.from(prior, (believed, j) => {
    const bad = stand(model, j, noneBad, 0, look.day, 0)
    const running = foundByLooking * (bad.running + bad.spent)
    return believed * Math.exp(runs(running) + quiet((foundByLooking * bad.quiet) / (1 - running)))
  })
  const total = said.reduce((a, b) => a + b, 0)
  said.forEach((one, j) => expect(weights[j]).toBeCloseTo(one / total, 9))
})
