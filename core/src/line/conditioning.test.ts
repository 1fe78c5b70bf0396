import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { conditioningVerdict, driedLifeMonths } from './index'

describe('conditioning and the pantry', () => {
  const look = { day: 3, beads: false, mould: false }
  it('throws out mould, sends beads back, shakes on, and is done after a week (NCHFP, recalled)', () => {
    expect(conditioningVerdict({ ...look, mould: true, beads: true }).verdict).toBe('throw-out')
    expect(conditioningVerdict({ ...look, day: 9, beads: true }).verdict).toBe('back-to-dryer')
    expect(conditioningVerdict({ ...look, jarHumidityPct: 71 }).verdict).toBe('back-to-dryer')
    // the marks themselves: 60 is not below 60, 65 not above 65
    const at = (jarHumidityPct: number) => conditioningVerdict({ ...look, day: 8, jarHumidityPct }).verdict
    expect([59.9, 60, 65, 65.1].map(at)).toEqual(['done', 'shake-on', 'shake-on', 'back-to-dryer'])
    const on = conditioningVerdict(look)
    expect([on.verdict, inPlainWords(on.says)]).toEqual(['shake-on', expect.stringContaining('4 more days')])
    expect(conditioningVerdict({ ...look, day: 7, jarHumidityPct: 52 }).verdict).toBe('done')
    // between what nothing grows at and what sends it back, a week is not enough
    const damp = conditioningVerdict({ ...look, day: 9, jarHumidityPct: 62 })
    expect([damp.verdict, inPlainWords(damp.says)]).toEqual(['shake-on', expect.stringMatching(/^Not yet.*62.*60/)])
  })
  it('fruit 12 months at 60 °F, 6 at 80 °F, vegetables half (NCHFP, recalled)', () => {
    expect(driedLifeMonths('fruit', 15.6)).toBeCloseTo(12, 6)
    expect(driedLifeMonths('fruit', 26.7)).toBeCloseTo(6, 2)
    expect(driedLifeMonths('vegetable', 15.6)).toBeCloseTo(6, 6)
  })
})
