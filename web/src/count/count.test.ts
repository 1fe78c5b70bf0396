import type { CountLine, CountView } from '@vadose/contract/count'
import { describe, expect, it } from 'vitest'
import { isFarOff, nextAfter, offWords, saidOf, tallyOf } from './count'

const line = (code: string, off: number | null): CountLine =>
  ({
    code,
    pieces: 10,
    weightG: 5000,
    counted: off === null ? null : { offPieces: off, offG: off * 500, typed: '', proposals: [] },
  }) as unknown as CountLine
const view = {
  shelves: [
    { placeId: 'a', place: 'Pantry', lines: [line('J1', 0), line('J2', -2), line('J3', null)] },
    { placeId: 'b', place: 'Cellar', lines: [line('P1', null), line('P2', 1)] },
  ],
} as unknown as CountView

describe('a count typed line by line', () => {
  it('reads nothing as expected, rows and loose as a count, bowls as a weight', () => {
    expect(saidOf('', false)).toEqual({ same: true })
    expect(saidOf('3x4+2', false)).toEqual({ pieces: 14, typed: '3x4+2' })
    expect(saidOf('0', false)).toEqual({ pieces: 0, typed: '0' })
    expect(saidOf('2.5+1.25', true)).toEqual({ weightG: 3750, typed: '2.5+1.25' })
    expect(saidOf('0', true)).toEqual({ weightG: 0, typed: '0' })
    expect(saidOf('3x', false)).toBeUndefined()
    expect(saidOf('some', true)).toBeUndefined()
  })
  it('goes on to the next line of the shelf, then to the next shelf, then back to what was left', () => {
    expect(nextAfter(view, 'J1')).toBe('J3')
    expect(nextAfter(view, 'J3')).toBe('P1')
    expect(nextAfter(view, 'P1')).toBe('J3')
    expect(nextAfter(view, undefined)).toBe('J3')
  })
  it('says how far off it is, and asks when it is two or more', () => {
    const piece = { one: 'jar', many: 'jars' }
    expect(offWords(line('J', -2), piece)).toBe('2 jars fewer')
    expect(offWords(line('J', 1), piece)).toBe('1 jar more')
    expect(offWords(line('J', 0), piece)).toBe('as expected')
    expect([line('J', -2), line('J', 1), line('J', null)].map(isFarOff)).toEqual([true, false, false])
    expect(tallyOf(view)).toEqual({ lines: 5, counted: 3, asExpected: 1, fewer: 2, more: 1, lessG: 0 })
  })
})
