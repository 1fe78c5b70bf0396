import type { LotRow } from '@vadose/contract/lots'
import type { PlaceView } from '@vadose/contract/places'
import { describe, expect, it } from 'vitest'
import { findAmong } from './find'

const lot = (code: string, crop: string, over: Partial<LotRow> = {}): LotRow => ({
  code,
  crop,
  heap: 'sound',
  fate: 'store',
  variety: null,
  bed: null,
  broughtOn: '2026-07-12',
  stage: 'stored',
  placeId: 'c',
  place: 'Cellar',
  weightG: 2000,
  pieces: null,
  form: 'fresh',
  name: null,
  unit: null,
  size: null,
  source: 'grown',
  guessed: { weight: false, pieces: false },
  aside: null,
  ...over,
})
const lots = [
  lot('G26-11', 'garlic-hardneck', { bed: 'Bed 3', variety: 'Quarry Stiff' }),
  lot('G26-1', 'garlic-hardneck', { heap: 'planting', fate: 'plant', place: 'North room', pieces: 40 }),
  lot('Q26-1', 'courgette', { place: 'Kitchen' }),
  lot('A26-3', 'apple-late', { form: 'dried' }),
]
const places = [
  { id: 'n', name: 'North room', kind: 'cool-room' },
  { id: 'c', name: 'Cellar', kind: 'cellar' },
] as unknown as PlaceView[]
const found = (typed: string) => findAmong(lots, places, typed).map((one) => one.key)

describe('finding a lot or a place', () => {
  it('goes by code, and a code typed whole stands before one that only begins so', () => {
    expect(found('g26-1')).toEqual(['G26-1', 'G26-11'])
    expect(found('g26-11')).toEqual(['G26-11'])
  })
  it('goes by crop, any of its names, variety and bed, in any letters', () => {
    expect(found('ZUCCHINI')).toEqual(['Q26-1'])
    expect(found('quarry stiff')).toEqual(['G26-11'])
    expect(found('bed 3')).toEqual(['G26-11'])
    expect(found('dried')).toEqual(['A26-3'])
  })
  it('wants every word, wherever each stands', () => {
    expect(found('garlic planting')).toEqual(['G26-1'])
    expect(found('planting garlic')).toEqual(['G26-1'])
    expect(found('garlic kitchen')).toEqual([])
  })
  it('finds places, and what is in them', () => {
    expect(found('north')).toEqual(['n', 'G26-1'])
    expect(findAmong([], places, 'north room')[0]).toEqual({
      key: 'n',
      title: 'North room',
      detail: 'place',
      to: '/stores?place=n',
    })
  })
  it('says how much and where', () => {
    expect(findAmong(lots, [], 'planting')[0]).toMatchObject({
      title: 'G26-1 Garlic, hardneck · for planting',
      detail: 'North room · 40 heads, 2.00 kg',
      to: '/lots/G26-1',
    })
  })
  it('lists some of all for nothing typed, and nothing for nonsense', () => {
    expect(found('')).toHaveLength(6)
    expect(
      findAmong(
        Array.from({ length: 40 }, (_, i) => lot(`C26-${i}`, 'carrot')),
        places,
        '',
      ),
    ).toHaveLength(9)
    expect(found('xyzzy')).toEqual([])
  })
})
