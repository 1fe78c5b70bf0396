import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById, pantry, unitG } from '../almanac'
import { eventSays, lotHistory } from '../lots'
import { gramsOfSize, stockEvents, usualWeightG, type StockLine } from './index'

const line = (over: Partial<StockLine> = {}): StockLine => ({
  name: null,
  form: 'jarred',
  source: 'grown',
  unit: 'jar',
  pieces: 6,
  weightG: null,
  size: null,
  placeId: 'cellar',
  prepared: null,
  recipe: null,
  processed: null,
  lifeDays: null,
  tasteAfterDays: null,
  ...over,
})
const told = (crop: string, over: Partial<StockLine> = {}) =>
  lotHistory(
    stockEvents(crop === 'pantry' ? pantry : cropById(crop), line(over)).map((e, i) => ({ ...e, atMs: i, id: i + 1 })),
  )

describe('what a size holds', () => {
  it.each([
    ['0.5 L', 500],
    ['0,25 l', 250],
    ['75cl', 750],
    ['500 ml', 500],
    ['1 kg', 1000],
    ['3 dl', 300],
    ['250 g', 250],
    ['1 lb', 454],
    ['12 oz', 340],
    // a US pint is 473 ml, a quart 946 ml; a pound 453.6 g, an ounce 28.35 g: NIST Handbook 44
    ['half-pint', 237],
    ['pint', 473],
    ['quart', 946],
  ])('%s', (size, grams) => expect(gramsOfSize(size)).toBe(grams))
  it.each(['', 'large', '5', '0 L', 'l'])('no size: “%s”', (size) => expect(gramsOfSize(size)).toBeUndefined())
})

describe('a line of stock', () => {
  const plum = cropById('plum')
  it('weighs what its size holds, else what such a jar usually does, and that is a guess', () => {
    expect(usualWeightG(plum, line({ size: '0.25 L' }))).toBe(1500)
    expect(usualWeightG(plum, line())).toBe(3000)
    expect(told('plum')).toMatchObject({ quantity: { weightG: 3000, pieces: 6 }, guessed: { weight: true } })
    expect(told('plum', { weightG: 2900 })).toMatchObject({ quantity: { weightG: 2900 }, guessed: { weight: false } })
  })
  it('stands in store in its form from the first, told where it is from', () => {
    const jam = told('plum', { name: 'Damson jam', recipe: 'Book p. 31', processed: 'as tested' })
    expect(jam).toMatchObject({
      stage: 'stored',
      named: 'Damson jam',
      unit: 'jar',
      made: { form: 'jarred', recipe: 'Book p. 31' },
    })
    const oil = told('pantry', { name: 'Oil', form: 'fresh', unit: 'bottle', source: 'bought', lifeDays: 200 })
    expect(oil).toMatchObject({ stage: 'stored', source: 'bought', made: null, lifeDays: 200 })
    const says = stockEvents(pantry, line({ source: 'bought', form: 'fresh', unit: 'bottle', pieces: 2 }))[0]!
    expect(inPlainWords(eventSays(pantry, says, 'Cellar'))).toBe('bought, 2 bottles, 1,500 g')
  })
  it('is packed as it is counted, where its crop is packed so', () => {
    expect(told('onion-storing', { form: 'fresh', unit: 'net' }).pack).toBe('net')
    expect(told('potato-maincrop', { form: 'fresh', unit: 'crate' }).pack).toBe('box')
  })
  it('weighs what one of its kind usually does, so many times, and never nothing', () => {
    const usual = unitG.jar
    expect(usualWeightG(plum, line({ pieces: 5 }))).toBe(5 * usual)
    expect(usualWeightG(plum, line({ pieces: null }))).toBe(usual)
    expect(usualWeightG(plum, line({ form: 'fresh', unit: null, pieces: 3 }))).toBe(Math.round(3 * plum.pieceG.value))
    expect(usualWeightG(plum, line({ size: '1 g', pieces: 0 }))).toBe(1)
  })
  it('is not kept in a form its crop is never kept in; dried is anything that was', () => {
    expect(() => told('lettuce', { form: 'frozen', unit: 'bag' })).toRefuse(/lettuce/i)
    expect(() => told('pantry', { name: 'Flour', form: 'dried', unit: 'bag' })).not.toThrow()
    expect(told('cabbage-white', { form: 'brined', tasteAfterDays: 10 }).made).toMatchObject({
      form: 'brined',
      tasteAfterDays: 10,
    })
  })
  it('lies in what its crop usually lies in where it is counted otherwise', () => {
    const [first] = cropById('onion-storing').packs
    expect(told('onion-storing', { form: 'fresh', unit: 'head' }).pack).toBe(first!.id)
    expect(told('pantry', { name: 'Eggs', form: 'fresh', unit: null }).pack).toBe(pantry.packs[0]!.id)
  })
  it('says how many or how much', () => {
    expect(() => stockEvents(plum, line({ pieces: null }))).toRefuse(/how many or how much/)
  })
})
