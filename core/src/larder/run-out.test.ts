import { describe, expect, it } from 'vitest'
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
