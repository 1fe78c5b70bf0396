import type { PlaceView } from '@vadose/contract/places'
import { describe, expect, it } from 'vitest'
import { asStock, isWhole, readPad } from './stock'

const places = [
  { id: 'n', name: 'North room', kind: 'cool-room' },
  { id: 'c', name: 'Cellar', kind: 'cellar' },
  { id: 'f', name: 'Chest freezer', kind: 'freezer' },
] as PlaceView[]
const read = (text: string, shelf?: string) => readPad(text, places, shelf, '2026-11-27')

describe('a pad before it is kept', () => {
  it('puts each line where it belongs, unless a shelf is named or chosen for all', () => {
    const of = (text: string, shelf?: string) => read(text, shelf).map(({ placeId }) => placeId)
    expect(of('3 jars plums\n2 kg carrots\n5 bags kale, frozen')).toEqual(['n', 'c', 'f'])
    expect(of('3 jars plums in cellar')).toEqual(['c'])
    // what is frozen is in a freezer, whatever shelf the pad lay on
    expect(of('3 jars plums\n5 bags kale, frozen', 'c')).toEqual(['c', 'f'])
  })
  it('asks where there is no place for it yet', () => {
    const [kale] = readPad('5 bags kale, frozen', places.slice(0, 2), undefined, '2026-11-27')
    expect(kale!.placeId).toBeNull()
    expect(kale!.doubts).toContainEqual(expect.stringMatching(/no place for it yet/))
    expect(isWhole(kale!)).toBe(false)
  })
  it('is kept line by line once each says enough, and sends what was said alone', () => {
    const [plums, nothing] = read('12 jars plums 2025\nzzyzx\n\n')
    expect([isWhole(plums!), isWhole(nothing!)]).toEqual([true, false])
    expect(asStock(plums!)).toEqual({
      crop: 'plum',
      form: 'jarred',
      source: 'grown',
      placeId: 'n',
      on: '2025-09-01',
      unit: 'jar',
      pieces: 12,
    })
  })
})
