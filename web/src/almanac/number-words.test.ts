import { crops, noChanges } from '@vadose/core/almanac'
import { afterEach, describe, expect, it } from 'vitest'
import { useUnits } from '../households'
import { cropColour, cropOf, heapLabel, lotName, schoolOf, useChanges } from './almanac'
import { numberRows, readNumber } from './number-words'

afterEach(() => {
  useUnits('metric')
  useChanges(noChanges)
})

describe('a crop’s numbers in words', () => {
  it('are named, with a unit where they have one, and with their source', () => {
    for (const crop of crops) {
      const rows = numberRows(crop.id)
      expect(rows.length, crop.id).toBeGreaterThan(7)
      for (const row of rows) {
        expect(row.shown).not.toMatch(/NaN|undefined/)
        expect(row.sourceText.length).toBeGreaterThan(5)
        expect(row.ours).toBe(false)
      }
    }
  })
  it('are marked when the household set them, and read in its degrees', () => {
    useChanges({
      ...noChanges,
      overrides: [{ crop: 'carrot', path: 'keeping/bestTemperatureC', value: [1, 3], why: '' }],
    })
    const row = () => numberRows('carrot').find((r) => r.path === 'keeping/bestTemperatureC')!
    expect([row().shown, row().unit, row().ours, row().sourceShort]).toEqual(['1 to 3', '°C', true, 'our house'])
    useUnits('us')
    expect([row().shown, row().unit]).toEqual(['33.8 to 37.4', '°F'])
  })
  it('say healing in hours and drying in kPa·h', () => {
    const unit = (crop: string) => numberRows(crop).find((r) => r.path === 'curing/budget')!.unit
    expect([unit('garlic-hardneck'), unit('potato-maincrop')]).toEqual(['kPa·h', 'hours'])
  })
  it('are nothing for a crop that is not there', () => expect(numberRows('moon-melon')).toEqual([]))
})

describe('a number that is typed', () => {
  it.each([
    ['12', 5, '%', 12],
    ['12,5', 5, '%', 12.5],
    ['−1.4', -1, '°C', -1.4],
    ['4 to 7', [1, 2], '°C', [4, 7]],
    ['4–7', [1, 2], 'days', [4, 7]],
    ['5', [1, 2], 'days', [5, 5]],
    ['41', 5, '°F', 5],
  ] as const)('%s for %j in %s is %j', (text, like, unit, value) => {
    if (unit === '°F') useUnits('us')
    expect(readNumber(text, like as never, unit)).toEqual(value)
  })
  it.each(['', 'lots', '4 to', 'to 7', '1 to 2 to 3'])('“%s” is not guessed', (text) => {
    expect(readNumber(text, [1, 2], 'days')).toBeUndefined()
  })
  it('is one number where one is wanted', () => expect(readNumber('4 to 7', 5, '%')).toBeUndefined())
})

describe('crops on the screens', () => {
  it('have a colour of the theme, a heap’s name, and the household’s school', () => {
    for (const crop of crops) expect(cropColour(crop.id)).toMatch(/^var\(--crop-[a-z]+\)$/)
    const garlic = cropOf('garlic-hardneck')
    expect(heapLabel(garlic, 'nicked')).toBe('Nicked or torn')
    expect([lotName({ crop: 'garlic-hardneck' }), lotName({ crop: 'garlic-hardneck', heap: 'opened' })]).toEqual([
      'Garlic, hardneck',
      'Garlic, hardneck · opened',
    ])
    expect(schoolOf(garlic, 'Neck')).toBe('long')
    useChanges({ ...noChanges, choices: [{ crop: 'garlic-hardneck', topic: 'Neck', choice: 'short' }] })
    expect(schoolOf(cropOf('garlic-hardneck'), 'Neck')).toBe('short')
  })
})
