import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { aheadOf, lastsTo, reckoningOf, stockOn, weeksOf, type YearMove } from './index'

const moves: YearMove[] = [
  { on: '2026-04-20', kind: 'brought-in', crop: 'onion', weightG: 1000 },
  { on: '2026-05-10', kind: 'used', crop: 'onion', weightG: -400 },
  { on: '2026-08-20', kind: 'brought-in', crop: 'onion', weightG: 20_000 },
  { on: '2026-09-01', kind: 'finished', crop: 'onion', weightG: -3000 },
  { on: '2026-09-20', kind: 'lost', crop: 'onion', weightG: -500, cause: 'neck rot' },
  { on: '2026-09-21', kind: 'lost', crop: 'onion', weightG: -200, cause: 'mice' },
  { on: '2026-09-25', kind: 'split-out', crop: 'onion', weightG: -400 },
  { on: '2026-09-25', kind: 'split-in', crop: 'cabbage', weightG: 400 },
]

describe('the year’s books', () => {
  it('say where every gram went since the season began', () => {
    const [onion, cabbage] = reckoningOf(moves, '2026-05-01')
    expect(onion).toMatchObject({
      startG: 1000,
      putUpG: 20_000,
      eatenG: 400,
      driedG: 3000,
      lostG: 700,
      cookedG: -400,
      leftG: 16_500,
    })
    expect(onion!.causes).toEqual([
      { cause: 'neck rot', weightG: 500 },
      { cause: 'mice', weightG: 200 },
    ])
    expect(cabbage).toMatchObject({ cookedG: 400, leftG: 400 })
  })
  it('property: start, put up, cooked and corrected are what was eaten, given, planted, fed, lost, dried and left', () => {
    const move = fc.record({
      on: fc.constantFrom('2026-04-01', '2026-05-01', '2026-07-01'),
      kind: fc.constantFrom(
        'brought-in',
        'added',
        'used',
        'given',
        'planted',
        'fed',
        'lost',
        'weighed',
        'made',
        'corrected',
        'split-in',
        'split-out',
      ),
      crop: fc.constantFrom('a', 'b'),
      weightG: fc.integer({ min: -500, max: 500 }),
    }) as fc.Arbitrary<YearMove>
    fc.assert(
      fc.property(fc.array(move, { maxLength: 40 }), (all) => {
        for (const r of reckoningOf(all, '2026-05-01')) {
          const into = r.startG + r.putUpG + r.cookedG + r.correctedG
          expect(into).toBe(r.eatenG + r.givenG + r.plantedG + r.fedG + r.lostG + r.driedG + r.leftG)
          expect(r.causes.reduce((sum, c) => sum + c.weightG, 0)).toBe(r.lostG)
        }
      }),
    )
  })
  it('draw what there was week by week', () => {
    const days = weeksOf('2026-05-01', '2026-05-20')
    expect(days).toEqual(['2026-05-01', '2026-05-08', '2026-05-15', '2026-05-20'])
    expect(stockOn(moves, days).get('onion')).toEqual([1000, 1000, 600, 600])
  })
  it('say whether it lasts to the next crop', () => {
    const ahead = aheadOf([1000, 990, 980, 970, 960], { p10: 100, p50: 240, p90: 400 })
    expect(ahead[4]).toEqual({ p10: 0, p50: 0, p90: 560 })
    expect([lastsTo(ahead, 4, 0), lastsTo(ahead, 4, 1), lastsTo(ahead, 1, 0), lastsTo(ahead, null)]).toEqual([
      'short',
      'right',
      'too-much',
      null,
    ])
  })
})
