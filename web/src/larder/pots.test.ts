import type { LarderLot, LarderView } from '@vadose/contract/larder'
import { describe, expect, it } from 'vitest'
import { dishesFor } from './pots'

const lot = (code: string, crop: string, name: string | null = null) => ({ code, crop, name }) as LarderLot
const view = (...lots: LarderLot[]) => ({
  lots,
  week: {
    savedG: 0,
    atRiskG: 0,
    pots: lots.map(({ code }, i) => ({ on: `2026-10-0${i + 1}`, code, useG: 500, savesG: 100 })),
  } satisfies LarderView['week'],
})
const recipes = [
  {
    name: 'Potato and onion soup',
    takes: [
      { crop: 'onion-storing', weightG: 500 },
      { crop: 'potato-maincrop', weightG: 900 },
    ],
  },
]

describe('the pots of a week', () => {
  it('are dishes, the household’s own first, and none twice', () => {
    const dishes = dishesFor(view(lot('N26-1', 'onion-storing'), lot('P26-1', 'potato-maincrop')), recipes, 0)
    expect(dishes[0]!.dish).toBe('Potato and onion soup')
    expect(dishes[1]!.dish).not.toBe('Potato and onion soup')
    expect(dishes[1]!.ways[0]).toBe('Potato and onion soup')
  })
  it('are others when others are asked for, round and round', () => {
    const of = (turn: number) => dishesFor(view(lot('N26-1', 'onion-storing')), recipes, turn)[0]!
    const { ways } = of(0)
    expect(ways.length).toBeGreaterThan(2)
    expect(ways.map((_, turn) => of(turn).dish)).toEqual(ways)
    expect(of(ways.length).dish).toBe(ways[0])
  })
  it('what is cooked already is eaten as it is; a lot that is gone is left out', () => {
    const week = view(lot('C26-1', 'courgette', 'Courgette soup'))
    expect(dishesFor(week, recipes, 0)[0]!.dish).toBeUndefined()
    expect(dishesFor({ ...week, lots: [] }, recipes, 0)).toEqual([])
  })
})
