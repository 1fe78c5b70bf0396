import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { planting } from './index'

describe('how much to plant', () => {
  it('works back from the table: 120 heads, a fifth kept back, a tenth lost (arithmetic)', () => {
    const plan = planting(120, 1, 0.2, 0.1)
    // 120 / (0.8 · 0.9) = 166.7
    expect([plan.toLift, plan.toPlant, plan.toKeepBack]).toEqual([167, 167, 33])
  })
  it('shallots that give six each want a sixth planted', () => {
    expect(planting(300, 6).toPlant).toBe(50)
  })
  it('keeping back two fifths of a threefold crop holds at the need, a tenth runs down (common practice, no source)', () => {
    const years = (keep: number) => planting(100, 3, keep).years.map((y) => y.planted)
    expect(years(0.42)).toEqual([58, 58, 58, 58, 58])
    expect(years(0.1)[4]!).toBeLessThan(years(0.1)[0]! / 3)
  })
  it('what is kept back goes bad in store like the rest', () => {
    // 200 / (0.6 · 0.75) = 444.4; a third of them planted, 148 of which 75 % live
    const [first, second] = planting(200, 3, 0.4, 0.25).years
    expect([first!.planted, first!.keptBack]).toEqual([149, 179])
    expect(second!.planted).toBe(134)
  })
  it('always puts what is wanted on the table in the first year', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 5000 }),
        fc.double({ min: 0.5, max: 20, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        fc.double({ min: 0, max: 0.8, noNaN: true }),
        (wanted, gives, keep, lost) => {
          const { toLift, toPlant } = planting(wanted, gives, keep, lost)
          return toLift * (1 - keep) * (1 - lost) >= wanted - 1e-6 && toPlant * gives >= toLift - 1e-6
        },
      ),
    )
  })
  it('refuses shares and yields that cannot be', () => {
    expect(() => planting(10, 0)).toRefuse(/unitsPerPlanted/)
    expect(() => planting(10, 1, 1)).toRefuse(/keepBackFraction/)
    expect(() => planting(-1, 1)).toRefuse(/wantedUnits/)
  })
})
