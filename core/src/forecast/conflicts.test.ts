import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { draft } from '../lots'
import { notDescribed, type Described } from '../places'
import { conflictsIn, House, type LotState } from './index'
import { houseOn, lot, stored } from './made-up-house'

const on = '2026-10-05'
const began = '2026-10-01'

/** What is said of a place of the made-up house, described as it is here. */
function said(place: string, lots: LotState[], like: Partial<Described> = {}, day = on) {
  const plain = houseOn(day, lots)
  const places = plain.places.map((one) => (one.id === place ? { ...one, ...notDescribed, ...like } : one))
  const { household, almanac, nowMs } = plain
  const house = new House({ household, places, lots, almanac, nowMs, rainMm: new Map(), stands: [], lessons: [] })
  return conflictsIn(house, house.place(place)!)
}
const kinds = (found: ReturnType<typeof said>, code: string) =>
  found.filter(({ codes }) => codes.includes(code)).map(({ kind }) => kind)
const packed = (code: string, crop: string, placeId: string, pack: string) =>
  lot(code, crop, [
    [began, draft('brought-in', { weightG: 8000, pieces: 80 })],
    [began, draft('finished', { placeId, details: { pack } })],
  ])

describe('what does not go together in a place (common practice, no source)', () => {
  it('nothing is said of an empty place, or of roots alone in the dark', () => {
    expect(said('cellar', [])).toEqual([])
    expect(said('cellar', [packed('C26-1', 'carrot', 'cellar', 'damp-sand')])).toEqual([])
  })
  it('a crate of apples and carrots: the carrots turn bitter; one apple does nothing', () => {
    const carrots = stored('C26-1', 'carrot', began, 'cellar')
    const crate = said('cellar', [carrots, stored('A26-1', 'apple-late', began, 'cellar', 60_000, 400)])
    expect(kinds(crate, 'C26-1')).toContain('gas')
    expect(inPlainWords(crate.find(({ kind }) => kind === 'gas')!.says)).toMatch(/apples reaches the carrots/)
    const one = said('cellar', [carrots, stored('A26-1', 'apple-late', began, 'cellar', 150, 1)])
    expect(kinds(one, 'C26-1')).not.toContain('gas')
  })
  it('apples do not harm one another', () => {
    const apples = ['A26-1', 'A26-2'].map((code) => stored(code, 'apple-late', began, 'cellar', 40_000, 260))
    expect(said('cellar', apples).filter(({ kind }) => kind === 'gas')).toEqual([])
  })
  it('potatoes in a bright room want the dark, in a sack they have it', () => {
    expect(kinds(said('room', [packed('P26-1', 'potato-maincrop', 'room', 'box')]), 'P26-1')).toContain('light')
    expect(kinds(said('room', [packed('P26-1', 'potato-maincrop', 'room', 'sack')]), 'P26-1')).not.toContain('light')
    const dark = said('room', [packed('P26-1', 'potato-maincrop', 'room', 'box')], { dark: true })
    expect(kinds(dark, 'P26-1')).not.toContain('light')
  })
  it('onions in a damp cellar root, in a dry room they do not', () => {
    expect(kinds(said('cellar', [stored('N26-1', 'onion-storing', began, 'cellar')]), 'N26-1')).toContain('damp')
    expect(kinds(said('cool-room', [stored('N26-1', 'onion-storing', began, 'cool-room')]), 'N26-1')).toEqual([])
  })
  it('apples take on the smell of what smells, and it of nothing', () => {
    const both = [stored('A26-1', 'apple-late', began, 'cellar'), stored('P26-1', 'potato-maincrop', began, 'cellar')]
    const found = said('cellar', both).filter(({ kind }) => kind === 'smell')
    for (const { codes } of found) expect(codes).toEqual(['A26-1'])
  })
  it('mice are told of where they get in, and not of jars', () => {
    const box = packed('C26-1', 'carrot', 'cellar', 'box')
    expect(kinds(said('cellar', [box], { mice: true }), 'C26-1')).toContain('mice')
    expect(kinds(said('cellar', [box]), 'C26-1')).not.toContain('mice')
    const jar = packed('B26-1', 'bean-drying', 'cellar', 'jar')
    expect(kinds(said('cellar', [jar], { mice: true }), 'B26-1')).not.toContain('mice')
  })
  it('squash on a veranda will freeze this winter, in a room it will not', () => {
    const outside = said('veranda', [stored('Q26-1', 'squash-butternut', began, 'veranda', 12_000, 6)])
    expect(kinds(outside, 'Q26-1')).toContain('frost')
    expect(inPlainWords(outside.find(({ kind }) => kind === 'frost')!.says)).toMatch(
      /nights? below freezing .* from \w+ on/,
    )
    expect(kinds(said('room', [stored('Q26-1', 'squash-butternut', began, 'room', 12_000, 6)]), 'Q26-1')).toEqual([])
  })
})
