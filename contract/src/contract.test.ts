import Ajv from 'ajv'
import addFormats from 'ajv-formats'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { calculatorInputs } from './worksheets'
import { moveClock, newHousehold } from './households'
import { newHarvest } from './intake'
import { acts } from './acts'
import { newPlace, newReading } from './places'

const ajv = new Ajv({ strict: true, allowUnionTypes: true })
addFormats(ajv)
const id = '123e4567-e89b-42d3-a456-426614174000'

/** A sample the schema takes, and changes of it that it must not. */
const cases: Record<string, { schema: object; good: Record<string, unknown>; bad: Record<string, unknown>[] }> = {
  household: {
    schema: newHousehold,
    good: { name: 'A house', clock: 'practice', startsOn: '2026-07-12' },
    bad: [{ name: '' }, { name: '   ' }, { name: 'x'.repeat(61) }, { clock: 'sundial' }, { startsOn: '12 July' }],
  },
  clock: { schema: moveClock, good: { to: 'next-week' }, bad: [{ to: 'yesterday' }, { to: 7 }] },
  place: { schema: newPlace, good: { name: 'Loft', kind: 'loft' }, bad: [{ kind: 'moon' }, { name: ' ' }] },
  reading: {
    schema: newReading,
    good: { temperatureC: 9.5, relativeHumidityPct: 88 },
    bad: [{ temperatureC: 91 }, { temperatureC: '9' }, { relativeHumidityPct: -1 }, { relativeHumidityPct: 100.1 }],
  },
  harvest: {
    schema: newHarvest,
    good: {
      requestId: id,
      crop: 'onion-storing',
      harvestedOn: '2026-08-02',
      totalG: 1000,
      heaps: [{ heap: 'sound', weightG: 1000 }],
    },
    bad: [
      { totalG: 0 },
      { totalG: 1.5 },
      { totalG: 2_000_001 },
      { harvestedOn: '2026-02-31' },
      { requestId: 'one' },
      { heaps: [] },
      { heaps: [{ heap: 'sound' }] },
      { heaps: [{ heap: 'sound', weightG: 5, pieces: 0 }] },
      { signShare: 1.1 },
    ],
  },
  weigh: {
    schema: acts.weigh,
    good: { requestId: id, act: 'weigh', weightG: 2190, basis: 'bunch' },
    bad: [{ weightG: -1 }, { weightG: 1e9 }, { basis: 'barrow' }, { act: 'test' }],
  },
  finish: {
    schema: acts.finish,
    good: { requestId: id, act: 'finish', neck: 'long', pack: 'net', placeId: id, weightG: 3450, pieces: 96 },
    bad: [{ placeId: 'loft' }, { pieces: 0 }, { pieces: 9.5 }, { small: { weightG: 5 } }],
  },
  check: {
    schema: acts.check,
    good: { requestId: id, act: 'check', lookedAt: 20, faults: [{ fault: 'dry-rot', pieces: 1, action: 'bin' }] },
    bad: [{ lookedAt: 0 }, { faults: [{ fault: 'dry-rot', pieces: 0, action: 'bin' }] }, { faults: 'none' }],
  },
  lose: {
    schema: acts.lose,
    good: { requestId: id, act: 'lose', pieces: 2, cause: 'mice' },
    bad: [{ cause: '' }, { cause: ' ' }, { pieces: -2 }, { cause: 'x'.repeat(501) }],
  },
  correct: {
    schema: acts.correct,
    good: { requestId: id, act: 'correct', weightG: 0, why: 'all gone' },
    bad: [{ weightG: -1 }, { why: '' }],
  },
  note: { schema: acts.note, good: { requestId: id, act: 'note', text: 'by the door' }, bad: [{ text: '\n' }] },
}

describe.each(Object.entries(cases))('what crosses the wire: %s', (_name, { schema, good, bad }) => {
  const valid = ajv.compile(schema)
  it('takes a sample', () => {
    expect(valid(good), JSON.stringify(valid.errors)).toBe(true)
  })
  it('refuses each wrong change of it', () => {
    for (const change of bad) expect(valid({ ...good, ...change }), JSON.stringify(change)).toBe(false)
  })
  it('refuses it with a required field left out, or an unknown one put in', () => {
    for (const key of (schema as { required: string[] }).required) {
      const rest = Object.fromEntries(Object.entries(good).filter(([name]) => name !== key))
      expect(valid(rest), key).toBe(false)
    }
    expect(valid({ ...good, surprise: true })).toBe(false)
  })
})

describe('the calculators’ inputs', () => {
  it('are objects that take no unknown field', () => {
    for (const schema of Object.values(calculatorInputs)) {
      expect(schema).toMatchObject({ type: 'object', additionalProperties: false })
      expect(ajv.compile(schema)({ surprise: 1 })).toBe(false)
    }
  })
  it('refuse what is no object', () => {
    const validators = Object.values(calculatorInputs).map((schema) => ajv.compile(schema))
    fc.assert(
      fc.property(fc.oneof(fc.integer(), fc.string(), fc.constant(null), fc.array(fc.integer())), (input) =>
        validators.every((valid) => !valid(input)),
      ),
    )
  })
})
