import { told } from '@vadose/core/message'
import { requireWithin, type Refusal } from '@vadose/core/refusal'
import { afterEach, describe, expect, it } from 'vitest'
import { useUnits } from '../households'
import { sayFact } from '../voice'
import { answerLines } from './answer-words'
import { typedDefaults } from './form'
import { fieldNamesOf, reasonsOf, sheetAsText } from './sheet-words'
import { worksheetNamed } from './worksheets'

afterEach(() => useUnits('metric'))

describe('a refusal on a worksheet', () => {
  const sheet = worksheetNamed('freeze-time')!
  const refusal = () => {
    try {
      requireWithin(3, -80, -2, 'freezerTemperatureC', '°C')
    } catch (error) {
      return (error as Refusal).says
    }
    throw new Error('was not refused')
  }
  const shown = () => sayFact(refusal(), fieldNamesOf(sheet))
  it('names the field as the page does', () => {
    expect(shown()).toBe('“Freezer” must lie between −80 °C and −2 °C.')
  })
  it('and in °F where the page is', () => {
    useUnits('us')
    expect(shown()).toBe('“Freezer” must lie between −112 °F and 28 °F.')
  })
  it('leaves a field that no form asks for as it is called on the wire', () => {
    expect(fieldNamesOf(sheet)('weighings/0/hours')).toBe('weighings/0/hours')
  })
})

describe('reasons', () => {
  it('are the calculator’s own, or what would end it', () => {
    expect(reasonsOf({ reasons: [told('line.weighingsNarrow', { n: 3 })] })).toEqual(['3 weighings narrow the window.'])
    expect(reasonsOf({ hazards: [{ end: 'sprouting', sharePct: 98.3, note: told('keeping.whyGreening') }] })).toEqual([
      'sprouting, 98 % of what is lost: Daylight turns it green.',
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
