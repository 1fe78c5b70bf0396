import { describe, expect, it } from 'vitest'
import { gammaQuantile } from '../chance'
import { addDays } from '../households'
import { runOut } from './index'

const today = '2026-12-01'

describe('a pace', () => {
  it('does not count the use that opens the line as a gap', () => {
    // opened a week ago, nothing since: slow, but the opening alone is no evidence of one a week
    const opened = runOut(3000, [{ date: '2026-11-24', amount: 300 }], today)
    const watched = runOut(
      3000,
      [
        { date: '2026-11-24', amount: 300 },
        { date: '2026-11-28', amount: 300 },
      ],
      today,
    )
    expect(watched.perWeek.p50).toBeGreaterThan(1.2 * opened.perWeek.p50)
  })
  it('is as unsure as its terms say, by hand: two uses of 300 g on two days', () => {
    const uses = [
      { date: '2026-11-30', amount: 300 },
      { date: '2026-12-01', amount: 300 },
    ]
    // one use counted in 0.142 weeks beside 1.05 in 0.7; spread of the time left, squared: of ten uses to come 0.108, of the
    // rate 0.488, of the amounts 0.038, of so few 0.3125; by drift 0.096 of the logarithm
    expect(runOut(3000, uses, today).runsOutOn).toEqual({ p10: '2026-12-11', p50: '2026-12-31', p90: '2027-02-26' })
    expect(runOut(12_000, uses, today).runsOutOn).toEqual({ p10: '2027-01-16', p50: '2027-04-07', p90: '2028-02-27' })
  })
  it('of a week is as unsure, by hand; what like lines use says nothing once it is used', () => {
    const uses = [
      { date: '2026-11-30', amount: 300 },
      { date: '2026-12-01', amount: 300 },
    ]
    const { perWeek } = runOut(3000, uses, today)
    // 2.05 uses in 0.842 weeks; squared: of the rate 0.4878, of the amounts 0.0752, and half of what a season drifts, 0.045
    const by = (p: number) => gammaQuantile(1 / 0.608, (300 * 2.05) / 0.842, p)
    for (const [is, p] of [
      [perWeek.p10, 0.1],
      [perWeek.p50, 0.5],
      [perWeek.p90, 0.9],
    ] as const)
      expect(Math.abs(is / by(p) - 1)).toBeLessThan(0.002)
    expect(runOut(3000, uses, today, { perWeek: 50 })).toEqual(runOut(3000, uses, today))
  })
  it('forgets by half in eight weeks', () => {
    const uses = (from: string, count: number) =>
      Array.from({ length: count }, (_, i) => ({ date: addDays(from, 3 * i), amount: 300 }))
    const lately = runOut(6000, uses('2026-10-20', 14), today).perWeek.p50
    const before = runOut(6000, uses('2026-07-20', 14), today).perWeek.p50
    expect(before).toBeLessThan(0.55 * lately)
  })
  it('counts a use of eight weeks ago for half of one today, by hand', () => {
    const uses = [
      { date: '2026-10-06', amount: 200 },
      { date: '2026-12-01', amount: 400 },
    ]
    const { perWeek } = runOut(6000, uses, today)
    // a use is (100 + 400) / 1.5 g; 2.05 uses in 5.771 + 0.7 weeks; squared: of the rate 0.4878, of the amounts 0.12, by drift 0.045
    const median = gammaQuantile(1 / 0.6528, ((500 / 1.5) * 2.05) / 6.471, 0.5)
    expect(Math.abs(perWeek.p50 / median - 1)).toBeLessThan(0.002)
  })
  it('of a line never used comes from lines like it', () => {
    const { perWeek, runsOutOn } = runOut(4000, [], today, { perWeek: 500 })
    expect(perWeek.p50).toBeGreaterThan(150)
    expect(perWeek.p90).toBeGreaterThan(500)
    expect(runsOutOn.p10 < addDays(today, 56) && runsOutOn.p90 > addDays(today, 56)).toBe(true)
  })
  it('of what like lines use is as unsure, by hand; what is hardly used is looked ahead for a hundred years', () => {
    // one use a week of what like lines use in one: shape 1, squared 1 + 0.15 + 0.045
    const { perWeek, runsOutOn } = runOut(4000, [], today, { perWeek: 500 })
    for (const [is, p] of [
      [perWeek.p10, 0.1],
      [perWeek.p50, 0.5],
      [perWeek.p90, 0.9],
    ] as const)
      expect(Math.abs(is / gammaQuantile(1 / 1.195, 500, p) - 1)).toBeLessThan(0.002)
    // 56 days: of eight uses 1.15 / 8, of the rate 1, of the amounts 0.15, of so few 1.25; a drift of 0.3 · 56 / 90
    const logSd = Math.sqrt(Math.log1p(1.15 / 8 + 1 + 0.15 + 1.25))
    const falls = (0.3 * 56) / 90
    const days = (z: number, sd: number) => Math.round(56 * Math.exp(falls / 3 + z * sd))
    expect(runsOutOn).toEqual({
      p10: addDays(today, days(-1.2815516, logSd)),
      p50: addDays(today, days(0, logSd)),
      p90: addDays(today, days(1.2815516, Math.hypot(logSd, 2 * falls))),
    })
    expect(runOut(1e9, [], today, { perWeek: 1 }).runsOutOn.p50).toBe(addDays(today, 36_500))
  })
  it('of a line on its last use is as unsure as of one use, by hand', () => {
    const uses = [{ date: today, amount: 300 }]
    // one use today opens the line: 1.05 uses in 0.7 weeks; 100 g are less than one use
    const meanDays = (7 * 100) / (300 * 1.5)
    const known = 1.15 + 1 / 1.05 + 0.15 + 1.25
    const falls = 0.3 * (meanDays / 90)
    // a use alone: its spread squared is (0 + 2 · 0.15) / 3
    const cv2 = 0.1
    const own = known - 0.15 - 0.15 + 2 * cv2
    const days = meanDays * Math.exp(falls / 3 + 1.2815516 * Math.hypot(Math.sqrt(Math.log1p(own)), 2 * falls))
    expect(runOut(100, uses, today).runsOutOn.p90).toBe(addDays(today, Math.round(days)))
  })
})
