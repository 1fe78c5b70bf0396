import { describe, expect, it } from 'vitest'
import { crops } from '../almanac'
import { guessColumns, padLineOf, readPadLine, readSheet, weightUnitOf } from './index'

const house = { crops, places: [{ id: 'f', name: 'Chest freezer', kind: 'freezer' }], today: '2026-11-27' }

describe('a list from another program', () => {
  it('is mapped by its headings, in any order, and read like a pad', () => {
    const names = ['Location', 'Item', 'Qty', 'Container', 'Weight (g)', 'Date', 'Remarks']
    const columns = guessColumns(names)
    expect(columns).toEqual(['place', 'what', 'count', 'unit', 'weight', 'date', 'skip'])
    const row = ['Chest freezer', 'Kale', '5', 'bags', '1500', '14.09.2026', 'lovely']
    const line = padLineOf(row, columns, weightUnitOf(names[4]!))
    expect(line).toBe('5 bags Kale 1500 g in Chest freezer 2026-09-14')
    expect(readPadLine(line, house)).toMatchObject({
      crop: 'kale',
      form: 'frozen',
      unit: 'bag',
      pieces: 5,
      weightG: 1500,
      on: '2026-09-14',
      dated: 'day',
      placeId: 'f',
    })
  })
  it('reads days either way round, kilos where nobody says, and skips rows that name nothing', () => {
    expect(padLineOf(['plums', '9/28/2025'], ['what', 'date'])).toBe('plums 2025-09-28')
    // the twelfth may be a month, the thirteenth is none
    expect(padLineOf(['plums', '3.12.2025'], ['what', 'date'])).toBe('plums 2025-12-03')
    expect(padLineOf(['plums', '12/13/2025'], ['what', 'date'])).toBe('plums 2025-12-13')
    expect([weightUnitOf('grams'), weightUnitOf('weight'), weightUnitOf('Pounds')]).toEqual(['g', 'kg', 'lb'])
    expect(padLineOf(['plums', '2025', '2.5'], ['what', 'date', 'weight'])).toBe('plums 2.5 kg 2025')
    // no day has three figures: it is left as it stands
    expect(padLineOf(['plums', '123.5.2026'], ['what', 'date'])).toBe('plums 123.5.2026')
    expect(padLineOf(['', '3'], ['what', 'count'])).toBe('')
    expect(guessColumns(['Vorrat', 'qty'])).toEqual(['what', 'count'])
    expect(weightUnitOf('weight, lb')).toBe('lb')
  })
  it('is read with commas, semicolons or tabs, quotes and all', () => {
    for (const between of [',', ';', '\t']) {
      const text = [
        ['Item', 'Qty'],
        ['"jam, damson"', '6'],
      ]
        .map((row) => row.join(between))
        .join('\n')
      expect(readSheet(text)).toEqual({ headings: ['Item', 'Qty'], rows: [['jam, damson', '6']] })
    }
    expect(() => readSheet('nothing')).toRefuse(/no list/)
    // a larder has not more lines than this
    const long = ['Item', ...Array.from({ length: 600 }, (_, i) => `jam ${i}`)].join('\n')
    expect(readSheet(long).rows).toHaveLength(500)
  })
})
