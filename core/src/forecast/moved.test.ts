import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { draft } from '../lots'
import { alarmsOf, movedSince, type LotState } from './index'
import { houseOn, lot, stored } from './made-up-house'

describe('why a date moved since last week', () => {
  const began = '2026-10-10'
  const now = '2026-11-20'
  const looked = (bad: number): LotState =>
    lot('P26-1', 'potato-maincrop', [
      [began, draft('brought-in', { weightG: 30_000, pieces: 200 })],
      [began, draft('finished', { placeId: 'cellar', details: { pack: 'sack' } })],
      ['2026-11-18', draft('checked', { details: { lookedAt: 60, bad, lotSize: 200 } })],
    ])
  it('is nothing where nobody touched it and the air came as expected', () => {
    const untouched = stored('P26-1', 'potato-maincrop', began, 'cellar', 30_000, 200)
    expect(movedSince(houseOn(now, [untouched]), untouched)).toBeNull()
  })
  it('is the look that found bad ones, or none', () => {
    const bad = looked(12)
    const worse = movedSince(houseOn(now, [bad]), bad)!
    expect(worse.days).toBeLessThan(-3)
    expect(inPlainWords(worse.says)).toBe('the look of 18 November found 12 of 60 bad')
    const alarm = alarmsOf(houseOn(now, [bad])).find(({ kind }) => kind === 'worse')
    expect(alarm).toMatchObject({ codes: ['P26-1'], on: now })
    const fine = looked(0)
    const better = movedSince(houseOn(now, [fine]), fine)
    expect(better === null || better.days > 0).toBe(true)
    expect(alarmsOf(houseOn(now, [fine])).filter(({ kind }) => kind === 'worse')).toEqual([])
  })
  it('is the place it was carried to', () => {
    const carried = lot('C26-1', 'carrot', [
      [began, draft('brought-in', { weightG: 10_000 })],
      [began, draft('finished', { placeId: 'cellar', details: { pack: 'damp-sand' } })],
      ['2026-11-18', draft('moved', { placeId: 'room' })],
    ])
    const moved = movedSince(houseOn(now, [carried]), carried)!
    expect(moved.days).toBeLessThan(0)
    expect(inPlainWords(moved.says)).toBe('it was carried to room')
  })
})

describe('alarms', () => {
  it('ring for frost where it is tender and not where it is frost-safe', () => {
    const squash = stored('Q26-1', 'squash-butternut', '2027-01-05', 'veranda', 12_000, 6)
    const [frost] = alarmsOf(houseOn('2027-01-12', [squash]))
    expect(frost).toMatchObject({ kind: 'frost', codes: ['Q26-1'] })
    expect(inPlainWords(frost!.todo)).toMatch(/^Carry it to/)
    const inside = stored('Q26-1', 'squash-butternut', '2027-01-05', 'room', 12_000, 6)
    expect(alarmsOf(houseOn('2027-01-12', [inside]))).toEqual([])
  })
})
