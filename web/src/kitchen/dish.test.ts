import type { RecipeView } from '@vadose/contract/kitchen'
import type { LotRow } from '@vadose/contract/lots'
import { describe, expect, it } from 'vitest'
import { balanceOf, gramsOf, ingredientsFor, unitsFor } from './dish'

const lot = (code: string, crop: string, over: Partial<LotRow> = {}): LotRow => ({
  code,
  crop,
  heap: 'sound',
  fate: 'store',
  variety: null,
  bed: null,
  broughtOn: '2026-09-12',
  stage: 'stored',
  placeId: 'c',
  place: 'Cellar',
  weightG: 3000,
  pieces: 10,
  form: 'fresh',
  name: null,
  unit: null,
  size: null,
  source: 'grown',
  guessed: { weight: false, pieces: false },
  aside: null,
  ...over,
})
const recipe = {
  takes: [
    { crop: 'onion-storing', weightG: 2000 },
    { crop: 'apple-late', weightG: 500 },
  ],
} as RecipeView

describe('a dish on the table', () => {
  it('weighs what goes in by count, by weight, or all of it', () => {
    expect(gramsOf({ lot: lot('O', 'onion-storing'), pieces: 3 })).toBe(900)
    expect(gramsOf({ lot: lot('O', 'onion-storing'), weightG: 250 })).toBe(250)
    expect(gramsOf({ lot: lot('O', 'onion-storing'), all: true })).toBe(3000)
  })
  it('adds up: in is out, water and trimmings', () => {
    const takes = [{ lot: lot('O', 'onion-storing'), pieces: 3 }]
    expect(balanceOf(takes, [{ weightG: 100 }], 700, 120)).toEqual({ inG: 1000, outG: 700, wasteG: 120, waterG: 180 })
    expect(balanceOf(takes, [], undefined, 100)).toEqual({ inG: 900, outG: 800, wasteG: 100, waterG: 0 })
  })
  it('takes a recipe’s share from what is set aside, then the oldest, never from what is kept for planting or frozen', () => {
    const lots = [
      lot('O1', 'onion-storing', { broughtOn: '2026-08-01' }),
      lot('O2', 'onion-storing', { weightG: 400, aside: { why: 'eat-first', until: '2026-10-01' } }),
      lot('O3', 'onion-storing', { fate: 'plant', broughtOn: '2026-01-01' }),
      lot('O4', 'onion-storing', { form: 'frozen', broughtOn: '2026-01-01' }),
    ]
    const { takes, short } = ingredientsFor(recipe, lots, 1)
    expect(takes.map((one) => [one.lot.code, gramsOf(one)])).toEqual([
      ['O2', 400],
      ['O1', 1600],
    ])
    expect(short).toEqual(['apple-late'])
  })
  it('is counted in what it is put into', () => {
    expect(unitsFor('jarred')[0]).toEqual({ id: 'jar', label: 'jars' })
    expect(unitsFor('frozen').map(({ id }) => id)).toContain('roll')
  })
})
