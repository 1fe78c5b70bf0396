import { describe, expect, it } from 'vitest'
import { longerWords, onRuler, seenWords, timesBand } from './learnt-words'

describe('what a house has learnt, in words', () => {
  it.each([
    [1.02, 'as long'],
    [0.97, 'as long'],
    [1.1, 'about a tenth longer'],
    [1.24, 'about a quarter longer'],
    [1.45, 'half as long again'],
    [2.1, 'twice as long'],
    [2.44, '2.4 times as long'],
    [0.79, 'about a fifth less long'],
    [0.67, 'about a third less long'],
    [0.45, 'half as long'],
  ])('says × %d as “%s”', (times, says) => {
    expect(longerWords(times)).toBe(says)
  })
  it('says how sure, and by how many lots', () => {
    expect(timesBand({ p10: 0.94, p50: 1.2, p90: 1.52 })).toBe('× 0.9–1.5')
    expect(seenWords({ lots: 1, years: 1 })).toBe('1 lot, 1 year')
    expect(seenWords({ lots: 6, years: 3 })).toBe('6 lots, 3 years')
  })
  it('stands the books’ own life in the middle of the ruler, and nothing outside it', () => {
    expect(onRuler(1)).toBeCloseTo(0.5, 10)
    expect(onRuler(0.1)).toBe(0)
    expect(onRuler(9)).toBe(1)
  })
})
