import { inPlainWords } from '@vadose/words'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { brine, saltPctOf, weekList } from './index'

describe('salt', () => {
  it('600 g of vegetables in 400 g of water at 2.5 % of all want 25.0 g (arithmetic)', () => {
    expect(brine('of-total', 400, 600, 2.5).saltG).toBeCloseTo(25, 9)
  })
  it('reads back the strength from the salt that went in, both ways round', () => {
    for (const method of ['of-total', 'of-water'] as const)
      for (const pct of [1, 2.5, 8])
        expect(saltPctOf(method, 400, 600, brine(method, 400, 600, pct).saltG)).toBeCloseTo(pct, 9)
    expect(() => saltPctOf('of-water', 0, 600, 10)).toRefuse(/nothing to salt/)
  })
  it('1000 g of cabbage at 2 % wants 20 g; a litre of water at 3.5 % of the water 35 g (arithmetic)', () => {
    expect(brine('of-total', 0, 1000, 2).saltG).toBeCloseTo(20, 9)
    expect(brine('of-water', 1000, 500, 3.5).saltG).toBeCloseTo(35, 9)
  })
  it('sauerkraut lies within 2.25–2.5 % (NCHFP, recalled): nothing to warn of', () => {
    expect(inPlainWords(brine('of-total', 0, 1000, 2.4).note)).toMatch(/Within what household ferments use/)
    expect(inPlainWords(brine('of-water', 1000, 2000, 2).note)).toMatch(/weak/)
  })
  it('refuses nothing to salt, and strengths beyond brine', () => {
    expect(() => brine('of-water', 0, 500, 3)).toRefuse(/nothing to salt/)
    expect(() => brine('of-total', 100, 500, 60)).toRefuse(/saltPct/)
    expect(() => brine('of-total', -1, 500, 3)).toRefuse(/waterG/)
  })
})

describe('so that nothing is lost this week', () => {
  const lines = [
    { id: 'sweet onions', onHandG: 2000, savedPerG: 0.3, mostG: 800 },
    { id: 'storing onions', onHandG: 9000, savedPerG: 0.02, mostG: 800 },
    { id: 'garlic', onHandG: 300, savedPerG: 0.1, mostG: 150 },
    { id: 'jam', onHandG: 900, savedPerG: 0, mostG: 500 },
  ]
  it('takes what would be lost first, as far as it is wanted', () => {
    expect(weekList(lines, 1000).map((l) => [l.id, l.useG])).toEqual([
      ['sweet onions', 800],
      ['garlic', 150],
      ['storing onions', 50],
    ])
  })
  it('never more than the week, the shelf or the appetite', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (appetite) => {
        const list = weekList(lines, appetite)
        return (
          list.reduce((sum, l) => sum + l.useG, 0) <= appetite + 1e-9 &&
          list.every((l) => {
            const line = lines.find((x) => x.id === l.id)!
            return l.useG <= Math.min(line.onHandG, line.mostG)
          })
        )
      }),
    )
  })
})
