import type { PlaceView } from '@vadose/contract/places'
import { likeOf } from '@vadose/core/places'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { cropOf } from '../almanac'
import { useUnits } from '../households'
import { emptyHeaps, heapsToSend, markOf, proposedPlace, sumHarvest, type HeapEntry } from './harvest'

const garlic = cropOf('garlic-hardneck')
const unmeasured = { at: null, temperatureC: null, relativeHumidityPct: null }
const place = (id: string, kind: PlaceView['kind']): PlaceView => ({
  id,
  kind,
  name: id,
  within: null,
  ...likeOf({ kind }),
  air: unmeasured,
  recent: [],
})
const places = [place('cellar-1', 'cellar'), place('porch', 'veranda'), place('kitchen', 'room')]

/** Heaps of garlic with what is given typed into them. */
function typed(given: Record<string, Partial<HeapEntry>>): Map<string, HeapEntry> {
  const heaps = new Map(emptyHeaps(garlic, places))
  for (const [id, part] of Object.entries(given)) {
    expect(heaps.has(id)).toBe(true)
    heaps.set(id, { ...heaps.get(id)!, ...part })
  }
  return heaps
}
const sum = (total: string, given: Record<string, Partial<HeapEntry>> = {}) => sumHarvest(garlic, total, typed(given))

describe('where a heap goes', () => {
  it('is what the almanac proposes of the places there are', () => {
    const [sound, nicked] = ['sound', 'nicked'].map((id) => garlic.heaps.find((h) => h.id === id)!)
    expect(proposedPlace(garlic, sound!, places)).toBe('porch')
    expect(proposedPlace(garlic, nicked!, places)).toBe('kitchen')
    expect(proposedPlace(cropOf('carrot'), cropOf('carrot').heaps[0]!, places)).toBe('cellar-1')
    expect(proposedPlace(garlic, sound!, [])).toBe('')
  })
  it('is proposed for every heap of the crop', () => {
    const heaps = emptyHeaps(garlic, places)
    expect(heaps.map(([id]) => id)).toEqual(garlic.heaps.map((h) => h.id))
    for (const [id, entry] of heaps) {
      const { hangs, useWithinDays } = garlic.heaps.find((h) => h.id === id)!
      if (hangs || useWithinDays) expect(entry.placeId).toBe(hangs ? 'porch' : 'kitchen')
      expect(entry).toMatchObject({ kilos: '', pieces: '', addTo: '', hungIn: garlic.curing!.hangs[0] })
    }
  })
})

describe('a harvest as typed', () => {
  it('is all sound where nothing else is said', () => {
    expect(sum('6')).toMatchObject({ totalG: 6000, adds: true, restIsSound: true, leftG: 6000 })
    expect(sum('6').heaps).toEqual([{ heap: 'sound', weightG: 6000 }])
  })
  it('gives the sound heap what is left, and the first code', () => {
    const { heaps, adds } = sum('6.0', { nicked: { kilos: '0.7' }, planting: { kilos: '0.4' } })
    expect(adds).toBe(true)
    expect(heaps[0]).toEqual({ heap: 'sound', weightG: 4900 })
    expect(heaps.reduce((g, h) => g + h.weightG, 0)).toBe(6000)
  })
  it('makes no sound heap of nothing where the other heaps are all of it', () => {
    const { adds, restIsSound, heaps } = sum('2', { nicked: { kilos: '1.5' }, planting: { kilos: '0.5' } })
    expect([adds, restIsSound]).toEqual([true, false])
    expect(heaps.map((h) => h.heap)).toEqual(
      garlic.heaps.map((h) => h.id).filter((id) => ['nicked', 'planting'].includes(id)),
    )
  })
  it('does not add up while some is on no heap, or the heaps are the heavier', () => {
    expect(sum('6', { sound: { kilos: '5' } })).toMatchObject({ leftG: 1000, restIsSound: false, adds: false })
    expect(sum('6', { sound: { kilos: '7' } })).toMatchObject({ leftG: -1000, adds: false })
    expect(sum('1', { nicked: { kilos: '2' } })).toMatchObject({ leftG: -1000, restIsSound: false, adds: false })
  })
  it('is what the heaps come to where all of it was not weighed', () => {
    expect(sum('', { sound: { kilos: '2' }, nicked: { kilos: '0.3 + 0.2' } })).toMatchObject({
      typedTotalG: null,
      totalG: 2500,
      adds: true,
    })
  })
  it('is nothing before anything is typed', () => {
    expect(sum('')).toMatchObject({ totalG: null, adds: false, heaps: [] })
    expect(sum('', { sound: { kilos: '0' } })).toMatchObject({ totalG: null, adds: false })
  })
  it('waits for what cannot be read', () => {
    expect(sum('six')).toMatchObject({ typedTotalG: null, totalG: null, adds: false })
    expect(sum('6', { nicked: { kilos: 'some' } })).toMatchObject({ unreadable: true, adds: false })
  })
  it('reckons a count where nothing was weighed, and only then', () => {
    const pieceG = garlic.pieceG.value
    expect(sum('', { sound: { pieces: '60' } })).toMatchObject({ totalG: 60 * pieceG, adds: true })
    expect(sum('3', { nicked: { pieces: '10' } }).heaps).toEqual([{ heap: 'sound', weightG: 3000 }])
    expect(sum('', { sound: { kilos: '2', pieces: '60' } }).totalG).toBe(2000)
  })
  it('reads pounds where the household does', () => {
    useUnits('us')
    expect(sum('2').totalG).toBe(907)
    useUnits('metric')
  })
  it('never sends a heap that the weights do not bear out', () => {
    const grams = fc.integer({ min: 1, max: 200_000 })
    fc.assert(
      fc.property(grams, fc.dictionary(fc.constantFrom('nicked', 'planting', 'diseased'), grams), (total, others) => {
        const entries = typed(Object.fromEntries(Object.entries(others).map(([id, g]) => [id, { kilos: `${g} g` }])))
        const result = sumHarvest(garlic, `${total} g`, entries)
        const sent = heapsToSend(garlic, result, entries).reduce((g, h) => g + h.weightG, 0)
        const put = Object.values(others).reduce((a, b) => a + b, 0)
        return result.adds ? sent === total && put <= total : put > total
      }),
    )
  })
})

describe('heaps as they are sent', () => {
  it('carry count, place and way of hanging, where they are said', () => {
    const entries = typed({ nicked: { kilos: '1', pieces: '12' } })
    const heaps = heapsToSend(garlic, sumHarvest(garlic, '6', entries), entries)
    expect(heaps[0]).toEqual({
      heap: 'sound',
      weightG: 5000,
      placeId: 'porch',
      hungIn: garlic.curing!.hangs[0],
    })
    expect(heaps[1]).toEqual({ heap: 'nicked', weightG: 1000, pieces: 12, placeId: 'kitchen' })
  })
  it('put to an earlier lot say no place: it lies where that one lies', () => {
    const entries = typed({ sound: { kilos: '1', addTo: 'G26-1' } })
    expect(heapsToSend(garlic, sumHarvest(garlic, '', entries), entries)).toEqual([
      { heap: 'sound', weightG: 1000, addTo: 'G26-1' },
    ])
  })
})

describe('a bed marked for disease', () => {
  const marks = [{ bed: 'Long bed', on: '2025-08-01', crop: 'onion-storing' }] as Parameters<typeof markOf>[2]
  const family = (id: string) => cropOf(id).family
  it('warns of the same family in the same bed, whatever the letters', () => {
    expect(markOf(' LONG bed', garlic.family, marks, family)?.on).toBe('2025-08-01')
    expect(markOf('Long bed', cropOf('carrot').family, marks, family)).toBeUndefined()
    expect(markOf('Short bed', garlic.family, marks, family)).toBeUndefined()
  })
})
