import { describe, expect, it } from 'vitest'
import { eatFirst, ranked, runOut, useWithinShare } from './index'

describe('run-out', () => {
  const weekly = Array.from({ length: 8 }, (_, i) => ({
    date: `2026-08-${String(1 + i * 3).padStart(2, '0')}`,
    amount: 300,
  }))
  it('lies where steady use puts it', () => {
    const answer = runOut(6000, weekly, '2026-08-25')
    expect(answer.perWeek.p50).toBeGreaterThan(520)
    expect(answer.perWeek.p50).toBeLessThan(850)
    expect(answer.runsOutOn.p10 < answer.runsOutOn.p50 && answer.runsOutOn.p50 < answer.runsOutOn.p90).toBe(true)
    // 6 kg at about 700 g a week is 8 to 9 weeks
    expect(answer.runsOutOn.p50 > '2026-10-10' && answer.runsOutOn.p50 < '2026-11-15').toBe(true)
  })
  it('is today when nothing is on hand, and refuses to guess without a use', () => {
    expect(runOut(0, weekly, '2026-08-25').runsOutOn.p50).toBe('2026-08-25')
    expect(() => runOut(100, [], '2026-08-25')).toRefuse(/no use/)
    expect(() => runOut(100, [{ date: '2026-09-01', amount: 1 }], '2026-08-25')).toRefuse(/after today/)
    expect(() => runOut(100, [{ date: '2026-02-30', amount: 1 }], '2026-08-25')).toRefuse(/not a day/)
  })
})

describe('eat first', () => {
  it('goes by loss avoided, not by age: a new soft lot before an old firm one', () => {
    const lots = [
      { code: 'N25-1', weightG: 2000, soundNow: 0.9, soundInFortnight: 0.88 },
      { code: 'N26-4', weightG: 2000, soundNow: 1, soundInFortnight: 0.6 },
      { code: 'N26-0', weightG: 0, soundNow: 1, soundInFortnight: 0.1 },
      { code: 'J26-10', weightG: 300, soundNow: 1, soundInFortnight: 1 },
      { code: 'J26-2', weightG: 300, soundNow: 1, soundInFortnight: 1 },
      { code: 'J26-3', weightG: 250, soundNow: 1, soundInFortnight: 1 },
    ].map(ranked)
    const order = eatFirst(lots)
    expect(order.map((l) => l.code)).toEqual(['N26-4', 'N25-1', 'J26-3', 'J26-2', 'J26-10'])
    expect(order[0]!.lossAvoidedPerKg).toBeCloseTo(0.4)
    // of 90 sound in a hundred two go: 2/90 of what is there now
    expect(order[1]!.lossAvoidedPerKg).toBeCloseTo(2 / 90, 9)
    // whatever order they come in
    expect(eatFirst([...lots].reverse())).toEqual(order)
  })
  it('takes half of a heap as gone when its days are over', () => {
    expect(useWithinShare(21, 21)).toBeCloseTo(0.5)
    expect(useWithinShare(0, 21)).toBe(1)
  })
})
