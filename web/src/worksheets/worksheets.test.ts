import { calculatorInputs } from '@vadose/contract/worksheets'
import { calculators, runCalculator, type CalculatorName } from '@vadose/core/worksheets'
import { cropById } from '@vadose/core/almanac'
import Ajv from 'ajv'
import addFormats from 'ajv-formats'
import { afterEach, describe, expect, it } from 'vitest'
import { useUnits } from '../households'
import { answerLines } from './answer-words'
import type { Drawing } from './drawing'
import { drawResult } from './drawings'
import { columnsOf, linkQuery, readForm, typedDefaults } from './form'
import { axisTitle, onAxis, says, toModel, toShown, unitName } from './units'
import type { Worksheet } from './field'
import { worksheetNamed, worksheets } from './worksheets'

const ajv = new Ajv({ strict: true, allowUnionTypes: true })
addFormats(ajv)
afterEach(() => useUnits('metric'))

const inputOf = (sheet: Worksheet, typed = typedDefaults(sheet)) => {
  const read = readForm(sheet, typed)
  if ('message' in read) throw new Error(read.message)
  return read.input
}
/** Every number a drawing holds. */
function numbers(drawing: Drawing): number[] {
  const found: number[] = []
  const walk = (node: unknown) => {
    if (typeof node === 'number') found.push(node)
    else if (typeof node === 'object' && node !== null) Object.values(node).forEach(walk)
  }
  walk(drawing)
  return found
}
// the policy simulation takes seconds; it is small here
const quick = (sheet: Worksheet) =>
  sheet.name === 'check-policy' ? { ...typedDefaults(sheet), pieces: '12', everyWeeks: '8' } : typedDefaults(sheet)

describe('the bench', () => {
  it('has a worksheet for every calculator, each once', () => {
    expect(
      worksheets()
        .map((w) => w.name)
        .sort(),
    ).toEqual(Object.keys(calculators).sort())
  })

  describe.each(worksheets().map((w) => [w.name, w] as const))('%s', (name, sheet) => {
    const input = inputOf(sheet, quick(sheet))
    const answer = runCalculator(name, input, cropById) as Record<string, unknown>

    it('asks what the wire asks: its own values pass the schema', () => {
      const check = ajv.compile(calculatorInputs[name]!)
      expect(check(input), JSON.stringify(check.errors)).toBe(true)
    })
    it('says something for every line it promises that the answer has', () => {
      const lines = answerLines(sheet, answer)
      expect(lines.length).toBeGreaterThan(0)
      for (const line of lines) {
        expect(line.text).not.toMatch(/undefined|NaN|null|\[object/)
        expect(line.label.length).toBeGreaterThan(1)
      }
      for (const line of sheet.says.filter((s) => answer[s.path] === undefined)) {
        // only what was not asked for may be missing
        expect(['relativeHumidityThenPct', 'cropSweats']).toContain(line.path)
      }
    })
    it('draws its answer in finite numbers', () => {
      const drawing = drawResult(name, input, answer, cropById)
      const all = numbers(drawing)
      expect(all.length).toBeGreaterThan(1)
      expect(all.every(Number.isFinite)).toBe(true)
      if (drawing.kind === 'plot') for (const l of drawing.lines) expect(l.points.length, l.label).toBeGreaterThan(1)
      if (drawing.kind === 'plane') expect(drawing.values.flat()).toHaveLength(drawing.xs.length * drawing.ys.length)
    })
    it('says how, from where and for what', () => {
      for (const text of [sheet.equation, sheet.source, sheet.range, sheet.asks]) expect(text.length).toBeGreaterThan(3)
    })
    it('reads the same in pounds and Fahrenheit', () => {
      useUnits('us')
      const back = inputOf(
        sheet,
        sheet.name === 'check-policy'
          ? { ...typedDefaults(sheet), pieces: '12', everyWeeks: '8' }
          : typedDefaults(sheet),
      )
      const compare = (a: unknown, b: unknown) => {
        if (typeof a === 'number') expect(b as number).toBeCloseTo(a, Math.abs(a) > 100 ? 0 : 1)
        else if (typeof a === 'object' && a !== null)
          for (const key of Object.keys(a)) compare(a[key as never], (b as never)[key as never])
        else expect(b).toEqual(a)
      }
      compare(input, back)
    })
    it('comes back from its link', () => {
      const typed = { ...typedDefaults(sheet) }
      const field = sheet.fields.find((f) => f.kind === 'number')
      if (!field) return expect(linkQuery(sheet, typed, false)).toEqual({})
      typed[field.id] = '7'
      const query = linkQuery(sheet, typed, false)
      expect(query).toEqual({ [field.id]: '7' })
      expect(inputOf(sheet, { ...typedDefaults(sheet), ...query })[field.id]).toBe(7)
    })
  })
})

describe('what is typed', () => {
  const sheet = worksheetNamed('drying-fit')!
  const read = (weighings: string) => readForm(sheet, { ...typedDefaults(sheet), weighings })
  it('takes commas, semicolons or tabs between, blank lines, and a minus of any kind', () => {
    expect(read('0; 1000\n\n2\t700\n')).toMatchObject({
      input: {
        weighings: [
          { hours: 0, weightG: 1000 },
          { hours: 2, weightG: 700 },
        ],
      },
    })
    const air = worksheetNamed('air')!
    expect(readForm(air, { ...typedDefaults(air), temperatureC: '−4' })).toMatchObject({ input: { temperatureC: -4 } })
  })
  it.each([
    ['', 'weighings', /wanted/],
    ['0, 1000\n3', 'weighings', /line 2/],
    ['0, heavy', 'weighings', /“heavy” is no number/],
    ['\n\n', 'weighings', /wanted|at least one/],
  ])('%j is named, not guessed', (text, field, message) => {
    expect(read(text)).toEqual({ field, message: expect.stringMatching(message) })
  })
  it('leaves out what is not known, and wants what must be', () => {
    const blanch = worksheetNamed('blanch')!
    expect(inputOf(blanch, { ...typedDefaults(blanch), cut: '' })).not.toHaveProperty('cut')
    expect(readForm(blanch, { ...typedDefaults(blanch), altitudeM: '' })).toMatchObject({ field: 'altitudeM' })
  })
  it('names a line’s columns in the household’s units', () => {
    expect(columnsOf(sheet.fields[0]!)).toBe('hours, weight g')
    useUnits('us')
    expect(columnsOf(sheet.fields[0]!)).toBe('hours, weight oz')
  })
})

describe('units', () => {
  it.each([
    ['temperature', 20, 68, '°F'],
    ['g', 28.349523125, 1, 'oz'],
    ['kg', 0.45359237, 1, 'lb'],
    ['litres', 0.946352946, 1, 'qt'],
    ['mm', 25.4, 1, 'in'],
    ['metres', 0.3048, 1, 'ft'],
  ] as const)('%s: %f is %f %s (NIST SP 811, recalled)', (unit, model, shown, name) => {
    useUnits('us')
    expect(toShown(model, unit)).toBeCloseTo(shown, 9)
    expect(toModel(shown, unit)).toBeCloseTo(model, 9)
    expect(unitName(unit)).toBe(name)
    useUnits('metric')
    expect(toShown(model, unit)).toBe(model)
  })
  it('stand on axes and in answers', () => {
    const axis = { label: 'Temperature', quantity: 'temperatureC' } as const
    expect(axisTitle(axis)).toBe('Temperature, °C')
    expect(says(-4.25, 'temperature', '', 1)).toBe('−4.3 °C')
    expect(says(2500, 'g')).toBe('2.50 kg')
    expect(says(3.14159, undefined, 'hours', 1)).toBe('3.1 hours')
    useUnits('us')
    expect(onAxis(axis, 0)).toBe(32)
    expect(axisTitle(axis)).toBe('Temperature, °F')
    expect(says(453.59237, 'g')).toBe('1.00 lb')
  })
})

describe('names', () => {
  it('unknown ones have no sheet', () => {
    expect(worksheetNamed('horoscope')).toBeUndefined()
    expect(worksheetNamed('air' satisfies CalculatorName)!.title).toBeTruthy()
  })
})
