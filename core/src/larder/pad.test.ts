import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { crops } from '../almanac'
import { readPadLine } from './index'

const house = {
  crops,
  places: [
    { id: 'c', name: 'Cellar', kind: 'cellar' },
    { id: 'f', name: 'Chest freezer', kind: 'freezer' },
  ],
  today: '2026-11-27',
}
const read = (text: string) => readPadLine(text, house)!

describe('lines as people write them on a pad', () => {
  it.each([
    [
      '3 nets onions about 4 kg',
      { crop: 'onion-storing', unit: 'net', pieces: 3, weightG: 4000, about: true, form: 'fresh' },
    ],
    [
      '12 jars plums 2025',
      { crop: 'plum', unit: 'jar', pieces: 12, form: 'jarred', on: '2025-09-01', dated: 'year', name: null },
    ],
    [
      'half a bag of peas, March',
      { crop: 'pea', unit: 'bag', pieces: 1, weightG: 200, form: 'frozen', on: '2026-03-15', about: true },
    ],
    [
      '6 x 0.5 l jars tomato sauce',
      { crop: 'tomato', name: 'Tomato sauce', unit: 'jar', pieces: 6, size: '0.5 l', form: 'jarred' },
    ],
    ['two bottles sunflower oil, bought', { crop: 'sunflower', unit: 'bottle', pieces: 2, source: 'bought' }],
    ['40 eggs', { crop: 'pantry', name: 'Eggs', pieces: 40, unit: null, source: 'bought' }],
    ['1 jar of honey from a neighbour', { crop: 'pantry', name: 'Honey', unit: 'jar', pieces: 1, source: 'given' }],
    ['garlic 34 heads', { crop: 'garlic-hardneck', pieces: 34, unit: 'head', form: 'fresh' }],
    ['1.5 kg dried beans', { crop: 'bean-drying', weightG: 1500, pieces: null, form: 'dried' }],
    [
      '2 crates potatoes in the cellar',
      { crop: 'potato-maincrop', unit: 'crate', pieces: 2, placeId: 'c', form: 'fresh' },
    ],
    [
      '5 portions goulash, chest freezer',
      { crop: 'pantry', name: 'Goulash', unit: 'portion', pieces: 5, placeId: 'f' },
    ],
    [
      '8 bags kale, chest freezer, oct 2026',
      { crop: 'kale', unit: 'bag', pieces: 8, form: 'frozen', on: '2026-10-15', dated: 'month' },
    ],
    ['20 lb carrots', { crop: 'carrot', weightG: 9072, pieces: null }],
    ['4 jars fig jam', { crop: 'fig', name: 'Fig jam', unit: 'jar', pieces: 4, form: 'jarred' }],
    ['2 bags onions', { crop: 'onion-storing', unit: 'bag', pieces: 2, form: 'fresh' }],
    ['2 kg raspberries', { crop: 'raspberry', weightG: 2000, form: 'fresh' }],
    ['4 fig jam', { crop: 'fig', unit: 'jar', pieces: 4, form: 'jarred' }],
    ['3 bottles tomato sauce', { crop: 'tomato', unit: 'bottle', pieces: 3, form: 'jarred' }],
    ['6 frozen leeks', { crop: 'leek', unit: 'bag', pieces: 6, form: 'frozen' }],
    ['2 dozen eggs', { name: 'Eggs', pieces: 24 }],
    ['a dozen leeks', { crop: 'leek', pieces: 12 }],
    // what stands dry in a jar is as it grew; what does not lie for months in a bag was frozen in it; a portion is cooked
    ['2 jars wheat', { crop: 'wheat', unit: 'jar', form: 'fresh' }],
    ['2 bags kale', { crop: 'kale', unit: 'bag', form: 'frozen' }],
    ['2 bags carrots', { crop: 'carrot', unit: 'bag', form: 'fresh' }],
    ['3 portions leek', { crop: 'leek', unit: 'portion', form: 'cooked' }],
    ['6 leeks, chest freezer', { crop: 'leek', unit: 'bag', pieces: 6, form: 'frozen', placeId: 'f' }],
    // what is frozen is counted in bags, where it is counted; leeks that are weighed are so many grams
    ['2 kg frozen leeks', { crop: 'leek', unit: null, pieces: null, weightG: 2000, form: 'frozen' }],
    ['3 jars spiced plums', { crop: 'plum', name: 'Spiced plums', form: 'jarred' }],
    ['3 jars green walnut liqueur', { crop: 'walnut', name: 'Green walnut liqueur' }],
    ['3 cans tomatoes', { crop: 'tomato', unit: 'tin', pieces: 3 }],
    ['2 strings onions', { crop: 'onion-storing', unit: 'plait', pieces: 2 }],
    ['3 tubs pesto', { name: 'Pesto', unit: 'box', pieces: 3 }],
    ['¼ kg chilli', { crop: 'chilli', weightG: 250 }],
    ['2 pounds carrots', { crop: 'carrot', weightG: 907 }],
    ['12 oz plums', { crop: 'plum', weightG: 340 }],
    ['500 grams plums', { crop: 'plum', weightG: 500 }],
    ['1½ kg plums'.replace('1½', '1.5'), { crop: 'plum', weightG: 1500, about: false }],
    // three quarters of a net is one net, not full
    ['¾ net onions', { crop: 'onion-storing', unit: 'net', pieces: 1, about: true }],
  ])('%s', (text, is) => expect(read(text)).toMatchObject({ text, ...is }))

  it('knows a place by its whole name, whichever was set up first', () => {
    const places = [
      { id: 's', name: 'Freezer', kind: 'freezer' },
      { id: 'l', name: 'Long freezer', kind: 'freezer' },
    ]
    for (const own of [places, [...places].reverse()]) {
      const line = (text: string) => readPadLine(text, { ...house, places: own })!
      expect(line('8 bags kale, long freezer')).toMatchObject({ crop: 'kale', placeId: 'l', pieces: 8, doubts: [] })
      expect(line('8 bags kale, freezer')).toMatchObject({ crop: 'kale', placeId: 's' })
    }
  })

  it('counts in words', () => {
    const words = 'one two three four five six seven eight nine ten eleven twelve'.split(' ')
    expect(words.map((word) => read(`${word} jars plums`).pieces)).toEqual(words.map((_, i) => i + 1))
    expect(read('an apple').pieces).toBe(1)
    expect(read('half a net of onions')).toMatchObject({ pieces: 1, about: true })
    const [half, quarter] = ['half a bag of peas', '¼ bag peas'].map((text) => read(text).weightG!)
    expect(half).toBe(2 * quarter!)
  })
  it('says what it could not make out, and never drops a line that says something', () => {
    expect(read('onions').doubts.map(inPlainWords)).toEqual([expect.stringMatching(/how much/i)])
    expect(read('7').doubts.map(inPlainWords)).toContainEqual(expect.stringMatching(/Nothing was named/))
    expect(read('3 jars zzyzx').doubts.map(inPlainWords)).toContainEqual(expect.stringMatching(/“zzyzx” is no crop/))
    expect(readPadLine('   ', house)).toBeUndefined()
  })
  it('a month still to come is last year’s, and no date lies ahead', () => {
    expect(read('3 jars plums december')).toMatchObject({ on: '2025-12-15' })
    expect(read('3 jars plums 2026-12-24')).toMatchObject({ on: '2026-11-27' })
    expect(read('3 jars plums november')).toMatchObject({ on: '2026-11-15' })
    expect(read('3 jars plums nov 2024')).toMatchObject({ on: '2024-11-15', dated: 'month' })
    const months = ['january', 'feb', 'march', 'apr', 'may', 'june', 'jul', 'august', 'sept.', 'october']
    expect(months.map((month) => read(`3 jars plums ${month}`.replace('sept.', 'sep')).on.slice(0, 7))).toEqual(
      months.map((_, i) => `2026-${String(i + 1).padStart(2, '0')}`),
    )
    // what is put by is put by in late summer; a year to come is today
    expect(read('3 jars plums (2024)')).toMatchObject({ on: '2024-09-01', dated: 'year' })
    expect(read('3 jars plums 2027')).toMatchObject({ on: '2026-11-27' })
    expect(read('3 jars plums 2025-10-03')).toMatchObject({ on: '2025-10-03', dated: 'day' })
    expect(read('3 jars plums')).toMatchObject({ on: '2026-11-27', dated: 'today' })
  })
})
