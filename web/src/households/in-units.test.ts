import { afterEach, describe, expect, it } from 'vitest'
import { ApiError } from '../call'
import { inUnits } from './in-units'
import { refused } from './refused'
import { useUnits } from './words'

afterEach(() => useUnits('metric'))

describe('a sentence in the household’s units', () => {
  it('is left alone where the household weighs in grams', () => {
    expect(inUnits('lot weighed 2,190 g at 40 °C')).toBe('lot weighed 2,190 g at 40 °C')
  })
  it('has its weights in ounces and pounds', () => {
    useUnits('us')
    expect(inUnits('marked bunch weighed 620 g; 35 g of water gone')).toBe(
      'marked bunch weighed 1.37 lb; 1.2 oz of water gone',
    )
    expect(inUnits('brought in, 6,000 g, 120 heads')).toBe('brought in, 13.2 lb, 120 heads')
    expect(inUnits('between 1 and 2 kg')).toBe('between 2.20 lb and 4.41 lb')
    expect(inUnits('−40 g')).toBe('−1.4 oz')
  })
  it('has its temperatures and ranges in °F, the freezing point too', () => {
    useUnits('us')
    expect(inUnits('It sits at 3 °C; sprouting is quickest near 4 °C.')).toBe(
      'It sits at 37 °F; sprouting is quickest near 39 °F.',
    )
    expect(inUnits('0–4 °C, 90–95 % best')).toBe('32–39 °F, 90–95 % best')
    expect(inUnits('must lie between −60 and −5 °C')).toBe('must lie between −76 and 23 °F')
    expect(inUnits('at −18 °C')).toBe('at 0 °F')
  })
  it('keeps what only looks like one', () => {
    useUnits('us')
    for (const text of [
      '584 kPa·h of drying',
      '1000 kg/m³',
      '3 good ones of 20',
      '40 % lost',
      'G26-1',
      '12 mm of rain',
    ])
      expect(inUnits(text)).toBe(text)
  })
})

describe('a refusal', () => {
  it('keeps its code and field, and speaks in the household’s units', () => {
    useUnits('us')
    const error = refused(new ApiError('surprise', '9000 g is more than it can well be.', 'weightG'))
    expect(error).toMatchObject({ code: 'surprise', field: 'weightG', message: '19.8 lb is more than it can well be.' })
  })
  it('is made of anything else that failed', () => {
    expect(refused(new TypeError('no such thing'))).toMatchObject({
      code: 'internal',
      message: 'TypeError: no such thing',
    })
  })
})
