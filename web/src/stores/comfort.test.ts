import { describe, expect, it } from 'vitest'
import { comfortWords } from './comfort'

const months = ['2026-10', '2026-11', '2026-12', '2027-01', '2027-02'].map((month) => ({ month }))

describe('a row of months in words', () => {
  it.each([
    [['well', 'well', 'well', 'well', 'well'], 'well all year'],
    [['well', 'well', 'will do', 'loses', 'well'], 'well to Nov, then will do'],
    [['loses', 'well', 'well', 'well', 'well'], 'loses to Oct, then well'],
    [[], ''],
  ])('%j', (comforts, words) => expect(comfortWords(comforts, months)).toBe(words))
})
