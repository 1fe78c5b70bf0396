import type { LarderLot } from '@vadose/contract/larder'
import { describe, expect, it } from 'vitest'
import { containerOf, maskOf, shapeOf } from './shapes'
import { shelvesOf, type Wanted } from './shelves'

const lot = (code: string, over: Partial<LarderLot> = {}): LarderLot =>
  ({
    code,
    crop: 'plum',
    heap: 'sound',
    form: 'jarred',
    name: null,
    unit: 'jar',
    source: 'grown',
    place: 'Pantry',
    aside: null,
    note: null,
    broughtOn: '2025-09-12',
    ...over,
  }) as LarderLot
const lots = [
  lot('F25-1', { name: 'Damson jam', note: 'birthday' }),
  lot('N26-1', { crop: 'onion-storing', form: 'fresh', unit: null, place: 'Cellar', broughtOn: '2026-08-01' }),
  lot('V25-1', { crop: 'pantry', name: 'Honey', form: 'fresh', source: 'given' }),
  lot('E26-1', {
    crop: 'pea',
    form: 'frozen',
    unit: null,
    place: 'Freezer',
    aside: { why: 'opened', until: '2026-10-04' },
  }),
]
const wanted = (over: Partial<Wanted> = {}) =>
  shelvesOf(lots, ['Cellar', 'Pantry'], {
    order: 'shelves',
    typed: '',
    container: undefined,
    source: undefined,
    ...over,
  }).map(({ place, lots: own }) => [place, own.map(({ code }) => code)])

describe('shelves', () => {
  it('stand in the order they are walked, what is set aside before them', () => {
    expect(wanted()).toEqual([
      ['Set aside, to be used soon', ['E26-1']],
      ['Cellar', ['N26-1']],
      ['Pantry', ['F25-1', 'V25-1']],
    ])
  })
  it('are found by crop, dish, note and month, by what they stand in and where they are from', () => {
    expect(wanted({ typed: 'plum' })).toEqual([['Pantry', ['F25-1']]])
    expect(wanted({ typed: 'birthday' })).toEqual([['Pantry', ['F25-1']]])
    expect(wanted({ typed: 'september 2025 jam' })).toEqual([['Pantry', ['F25-1']]])
    expect(wanted({ container: 'loose' })).toEqual([['Cellar', ['N26-1']]])
    expect(wanted({ source: 'bought' })).toEqual([['Pantry', ['V25-1']]])
    expect(wanted({ source: 'noted' })).toEqual([['Pantry', ['F25-1']]])
    expect(wanted({ typed: 'goulash', order: 'eat-first' })).toEqual([])
  })
})

describe('what stands on a shelf', () => {
  it('has the shape of what it is in and the mark of its crop: an apple is not an onion', () => {
    expect(lots.map(containerOf)).toEqual(['jar', 'loose', 'jar', 'bag'])
    const apple = { crop: 'apple-late', form: 'fresh', unit: null } as const
    const onion = { crop: 'onion-storing', form: 'fresh', unit: null } as const
    expect(maskOf(shapeOf(apple), true)).not.toBe(maskOf(shapeOf(onion), true))
    expect(maskOf(shapeOf({ ...apple, form: 'jarred' }), true)).not.toBe(
      maskOf(shapeOf({ ...onion, form: 'jarred' }), true),
    )
    expect(maskOf(shapeOf(apple), true)).not.toBe(maskOf(shapeOf(apple), false))
  })
})
