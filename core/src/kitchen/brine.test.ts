import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { brine, saltPctOf } from './index'

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
