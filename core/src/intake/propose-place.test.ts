import { describe, expect, it } from 'vitest'
import { cropById, crops } from '../almanac'
import { proposePlace, type PlaceNow } from './index'

const unmeasured = (kind: PlaceNow['kind']): PlaceNow => ({
  id: kind,
  kind,
  temperatureC: null,
  relativeHumidityPct: null,
})
const house = (
  ['outdoors', 'veranda', 'loft', 'room', 'cool-room', 'shed', 'cellar', 'fridge', 'freezer'] as const
).map(unmeasured)
const sound = (id: string, places: readonly PlaceNow[] = house) =>
  proposePlace(cropById(id), cropById(id).heaps[0]!, places)

// common practice, no source: where a household puts things
describe('where a heap is put', () => {
  it('hangs alliums, herbs and seed in moving air', () => {
    for (const id of ['garlic-hardneck', 'onion-storing', 'herb-woody', 'bean-drying'])
      expect(sound(id)).toBe('veranda')
  })
  it('keeps roots, cabbage and potatoes in the cellar', () => {
    for (const id of ['carrot', 'beetroot', 'celeriac', 'cabbage-white', 'potato-maincrop', 'apple-late'])
      expect(sound(id), id).toBe('cellar')
  })
  it('hardens squash and sweet potato in the warm', () => {
    expect(sound('squash-butternut')).toBe('room')
    expect(sound('sweet-potato')).toBe('room')
  })
  it('puts soft fruit and leaves in the fridge, where there is one', () => {
    for (const id of ['raspberry', 'spinach']) {
      expect(sound(id), id).toBe('fridge')
      expect(
        sound(
          id,
          house.filter((p) => p.kind !== 'fridge'),
        ),
        id,
      ).toBe('cellar')
    }
  })
  it('takes what is eaten soon to the kitchen', () => {
    for (const crop of crops) {
      for (const heap of crop.heaps.filter((h) => !h.hangs && h.useWithinDays))
        expect(proposePlace(crop, heap, house), `${crop.id} ${heap.id}`).toBe('room')
    }
  })
  it('keeps potatoes out of the light, though it were a little warmer in the dark', () => {
    const air = { temperatureC: 7, relativeHumidityPct: 90 }
    const two: PlaceNow[] = [
      { id: 'pantry', kind: 'cool-room', ...air },
      { id: 'under', kind: 'cellar', ...air, temperatureC: 10 },
    ]
    expect(sound('potato-early', two)).toBe('under')
    expect(proposePlace(cropById('beetroot'), cropById('beetroot').heaps[0]!, two)).toBe('pantry')
  })
  it('goes by what was measured rather than by what such places usually are', () => {
    const warmCellar = house.map((p) => (p.kind === 'cellar' ? { ...p, temperatureC: 24, relativeHumidityPct: 40 } : p))
    expect(sound('carrot', warmCellar)).toBe('shed')
  })
  it('minds the winter: on a mild day in October roots still go to the cellar, not to a veranda that will freeze', () => {
    const october = house.map((p) =>
      p.kind === 'veranda'
        ? { ...p, temperatureC: 8.5, relativeHumidityPct: 81 }
        : p.kind === 'cellar'
          ? { ...p, temperatureC: 13.5, relativeHumidityPct: 86 }
          : p,
    )
    expect(sound('carrot', october)).toBe('cellar')
  })
  it('is some place of the house for every heap, never out of doors or in the freezer, and none in a house of none', () => {
    for (const crop of crops) {
      for (const heap of crop.heaps) {
        const place = proposePlace(crop, heap, house)
        expect(house.map((p) => p.id)).toContain(place)
        expect(['outdoors', 'freezer']).not.toContain(place)
      }
    }
    expect(sound('carrot', [])).toBeUndefined()
    expect(sound('garlic-hardneck', [unmeasured('outdoors')])).toBeUndefined()
    expect(sound('garlic-hardneck', [unmeasured('fridge')])).toBe('fridge')
  })
})
