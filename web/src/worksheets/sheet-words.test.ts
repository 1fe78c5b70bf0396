import { afterEach, describe, expect, it } from 'vitest'
import { useUnits } from '../households'
import { answerLines } from './answer-words'
import { typedDefaults } from './form'
import { reasonsOf, refusalWords, sheetAsText } from './sheet-words'
import { worksheetNamed } from './worksheets'

afterEach(() => useUnits('metric'))

describe('a refusal on a worksheet', () => {
  const sheet = worksheetNamed('freeze-time')!
  it('names the field as the page does', () => {
    expect(refusalWords(sheet, 'freezerTemperatureC must lie between −80 and −2 °C.')).toBe(
      '“Freezer” must lie between −80 and −2 °C.',
    )
    expect(refusalWords(worksheetNamed('drying-fit')!, 'weightG must not rise.')).toContain('“')
  })
  it('and in °F where the page is', () => {
    useUnits('us')
    expect(refusalWords(sheet, 'freezerTemperatureC must lie between −80 and −2 °C.')).toBe(
      '“Freezer” must lie between −112 and 28 °F.',
    )
  })
  it('leaves plain words that are also a field’s name', () => {
    expect(refusalWords(worksheetNamed('keep')!, 'This crop is unknown.')).toBe('This crop is unknown.')
  })
})

describe('reasons', () => {
  it('are the calculator’s own, or what would end it', () => {
    expect(reasonsOf({ reasons: ['The air is damp.'] })).toEqual(['The air is damp.'])
    expect(reasonsOf({ hazards: [{ end: 'sprouting', sharePct: 98.3, note: 'It sits at 3 °C.' }] })).toEqual([
      'sprouting, 98 % of what is lost: It sits at 3 °C.',
    ])
    expect(reasonsOf({ lookAt: 21 })).toEqual([])
  })
})

describe('a worksheet as text', () => {
  it('says what was asked with units, the answer, how and from where', () => {
    const sheet = worksheetNamed('brine')!
    const typed = { ...typedDefaults(sheet), saltPct: '5' }
    const lines = answerLines(sheet, { saltG: 50, note: 'Weigh it.', source: 'arithmetic' })
    const text = sheetAsText(sheet, typed, lines, ['a reason'], 'http://127.0.0.1/bench/brine?saltPct=5').split('\n')
    expect(text[0]).toBe(sheet.title)
    expect(text).toContain('Salt: 5 %')
    expect(text).toContain('Salt: 50 g')
    expect(text).toContain('a reason')
    expect(text.filter((line) => /^(How|Source): ./.test(line))).toHaveLength(2)
    expect(text.at(-1)).toMatch(/saltPct=5$/)
  })
})
