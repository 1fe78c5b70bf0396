import { describe, expect, it } from 'vitest'
import { normalDeviate, stream } from '../chance'
import { addDays } from '../households'
import { runOut } from './index'

const today = '2026-12-01'
type Next = () => number
/** How a household may use a line: uses a week in its n-th week, and what one use takes. None of these is the model. */
const worlds: Record<string, (week: number) => { pace: number; amount: (next: Next) => number }> = {
  steady: () => ({ pace: 2, amount: () => 300 }),
  varying: () => ({ pace: 2, amount: (next) => 300 * Math.exp(0.5 * normalDeviate(next)) }),
  lumpy: () => ({ pace: 0.8, amount: (next) => (next() < 0.25 ? 1500 : 250) }),
  winter: (week) => ({ pace: 2 * (1 + 0.5 * Math.cos((2 * Math.PI * week) / 52)), amount: () => 300 }),
  fading: (week) => ({ pace: Math.max(0.3, 2.2 * Math.exp(-week / 30)), amount: () => 300 }),
}
function poisson(mean: number, next: Next): number {
  let k = 0
  let p = Math.exp(-mean)
  let sum = p
  for (const u = next(); u > sum && k < 50;) {
    k++
    p *= mean / k
    sum += p
  }
  return k
}

/** Share of simulated lines whose window holds the day they really ran out. */
function held(world: (typeof worlds)[string], weeks: number, lines: number): number {
  let inside = 0
  for (let seed = 1; seed <= lines; seed++) {
    const next = stream(seed * 7919 + weeks)
    const start = addDays(today, -7 * weeks)
    const own = Math.exp(0.4 * normalDeviate(next))
    const eaten = (day: number) => {
      const { pace, amount } = world(day / 7)
      return Array.from({ length: poisson((pace * own) / 7, next) }, () => amount(next)).reduce((a, b) => a + b, 0)
    }
    const uses = [{ date: start, amount: world(0).amount(next) }]
    for (let day = 1; day <= weeks * 7; day++) {
      const amount = eaten(day)
      if (amount > 0) uses.push({ date: addDays(start, day), amount })
    }
    const onHand = 6000 * own * (0.5 + next())
    let left = onHand
    let day = weeks * 7
    while (left > 0 && day < 3000) left -= eaten(++day)
    const { p10, p90 } = runOut(onHand, uses, today).runsOutOn
    const truth = addDays(start, day)
    if (truth >= p10 && truth <= p90) inside++
  }
  return inside / lines
}

describe('windows of running out', () => {
  it.each(Object.keys(worlds).flatMap((name) => [2, 4, 10].map((weeks) => [name, weeks] as const)))(
    'hold about eight in ten where use is %s, after %i weeks',
    (name, weeks) => {
      const share = held(worlds[name]!, weeks, 250)
      expect(share).toBeGreaterThan(0.64)
      expect(share).toBeLessThan(0.94)
    },
  )
})

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
  it('forgets by half in eight weeks', () => {
    const uses = (from: string, count: number) =>
      Array.from({ length: count }, (_, i) => ({ date: addDays(from, 3 * i), amount: 300 }))
    const lately = runOut(6000, uses('2026-10-20', 14), today).perWeek.p50
    const before = runOut(6000, uses('2026-07-20', 14), today).perWeek.p50
    expect(before).toBeLessThan(0.55 * lately)
  })
  it('of a line never used comes from lines like it', () => {
    const { perWeek, runsOutOn } = runOut(4000, [], today, { perWeek: 500 })
    expect(perWeek.p50).toBeGreaterThan(150)
    expect(perWeek.p90).toBeGreaterThan(500)
    expect(runsOutOn.p10 < addDays(today, 56) && runsOutOn.p90 > addDays(today, 56)).toBe(true)
  })
})
