import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { refusalBody } from '../refusals'
import { Refusal } from '@vadose/core/refusal'
import { calculate, calculatorNamed } from './calculate'
import { serveFresh, type Client, type Served } from '../testing/fresh'

let served: Served
let client: Client
beforeAll(async () => {
  served = await serveFresh()
  client = served.client()
})
afterAll(() => served.close())

const hours = (n: number, temperatureC: number, relativeHumidityPct: number) =>
  Array.from({ length: n }, (_, i) => ({
    at: new Date(Date.UTC(2026, 6, 12) + i * 3_600_000).toISOString(),
    temperatureC,
    relativeHumidityPct,
  }))

const good: Record<string, object> = {
  air: { temperatureC: 20, relativeHumidityPct: 60 },
  cure: { crop: 'garlic-hardneck', startedAt: '2026-07-12T00:00:00Z', air: hours(48, 20, 60), airflow: 'breezy' },
  keep: { crop: 'onion-storing', temperatureC: 12, relativeHumidityPct: 62 },
  'check-size': { lotSize: 180, badFraction: 0.1, confidence: 0.9 },
  'check-update': { crop: 'garlic-hardneck', checks: [{ day: 30, lookedAt: 20, bad: 1 }] },
  'run-out': { onHand: 6000, uses: [{ date: '2026-09-01', amount: 300 }], today: '2026-10-02' },
  'dry-weight': { freshWeightG: 10_000, freshMoisturePct: 85.56, targetMoisturePct: 20 },
  'drying-fit': {
    weighings: [
      { hours: 0, weightG: 1000 },
      { hours: 2, weightG: 640 },
      { hours: 4, weightG: 420 },
    ],
    freshMoisturePct: 85,
    targetMoisturePct: 20,
  },
  'dried-life': { kind: 'fruit', temperatureC: 18 },
  'equilibrium-moisture': { grain: 'bean', temperatureC: 20, relativeHumidityPct: 60 },
  'seed-life': { species: 'onion', temperatureC: 10, moistureWetBasisPct: 8, initialViabilityPct: 95, days: 1826 },
  blanch: { crop: 'bean-green', altitudeM: 430 },
  'freeze-time': {
    shape: 'sphere',
    thicknessMm: 70,
    freezerTemperatureC: -40,
    densityKgPerM3: 1000,
    frozenConductivityWPerMK: 1.2,
    latentHeatKJPerKg: 250,
    initialFreezingPointC: -1.25,
    surfaceCoefficientWPerM2K: 50,
  },
  'freezer-load': { freezerLitres: 200, produceKg: 18 },
  'frozen-life': { crop: 'pea', temperatures: [{ temperatureC: -18, days: 90 }] },
  'power-cut': { freezerLitres: 300, fillFraction: 1, hoursOff: 30, roomTemperatureC: 21 },
  glut: {
    heaps: [{ crop: 'sweetcorn', kg: 4, hoursSincePicking: 2 }],
    evenings: [{ inHours: 1, hours: 3 }],
    panLitres: 8,
    trays: 4,
    kgPerTray: 1.2,
    freezerLitres: 250,
  },
  'check-policy': { crop: 'garlic-hardneck', temperatureC: 10, relativeHumidityPct: 60, pieces: 12, everyWeeks: 6 },
  planting: { crop: 'garlic-hardneck', wantedUnits: 120, unitsPerPlanted: 1, keepBackFraction: 0.2, lossFraction: 0.1 },
  brine: { method: 'of-total', waterG: 400, produceG: 600, saltPct: 2.5 },
}

describe('calculators over HTTP', () => {
  it.each(Object.entries(good))('%s answers one, and an array with an array', async (name, input) => {
    const one = await client.post(`/bench/${name}`, input)
    expect(one.status).toBe(200)
    expect(JSON.stringify(one.body)).not.toMatch(/null|NaN/)
    const many = await client.post(`/bench/${name}`, [input, { nonsense: true }, input])
    expect(many.body[0]).toEqual(one.body)
    expect(many.body[1].error.code).toBe('invalid')
    expect(many.body).toHaveLength(3)
  })

  it('gives the fields the contract names', async () => {
    const fields: Record<string, string[]> = {
      air: [
        'saturationVapourPressureKPa',
        'vapourPressureKPa',
        'vapourPressureDeficitKPa',
        'dewPointC',
        'wetBulbC',
        'absoluteHumidityGPerM3',
      ],
      cure: ['progress', 'readyAt', 'stalledHours', 'mouldRiskHours', 'reasons'],
      keep: ['lifeDays', 'endedBy', 'weightLossPctPerMonth', 'respirationWPerKg', 'hazards'],
      'check-size': ['lookAt'],
      'check-update': ['lifeDays', 'soundFractionNow', 'nextCheckInDays'],
      'run-out': ['perWeek', 'runsOutOn'],
      'dry-weight': ['targetWeightG', 'waterToLoseG', 'dryingRatio'],
      'drying-fit': ['model', 'parameters', 'targetWeightG', 'readyAtHours'],
      'equilibrium-moisture': ['moistureWetBasisPct', 'moistureDryBasisPct', 'equation', 'source'],
      'seed-life': ['viabilityPct', 'daysToTarget', 'source'],
      blanch: ['waterMinutes', 'steamMinutes', 'note', 'source'],
      'freeze-time': ['hours', 'method', 'source'],
      'freezer-load': ['maxKgPerDay', 'days'],
      'power-cut': ['safeHours', 'outcome', 'advice'],
      planting: ['toPlant', 'toLift', 'toKeepBack', 'years'],
      brine: ['saltG', 'note', 'source'],
    }
    for (const [name, wanted] of Object.entries(fields)) {
      const { body } = await client.post(`/bench/${name}`, good[name])
      expect(Object.keys(body)).toEqual(expect.arrayContaining(wanted))
    }
  })

  it.each([
    ['air', { temperatureC: 900, relativeHumidityPct: 50 }, 'out-of-range'],
    ['air', { temperatureC: '20', relativeHumidityPct: 50 }, 'invalid'],
    ['keep', { crop: 'moon-melon', temperatureC: 5, relativeHumidityPct: 80 }, 'unknown-crop'],
    ['keep', { crop: 'onion-storing', temperatureC: 90, relativeHumidityPct: 80 }, 'out-of-range'],
    ['cure', { ...good['cure'], air: hours(48, 5, 99) }, 'stalled'],
    ['cure', { ...good['cure'], air: [] }, 'invalid'],
    ['cure', { ...good['cure'], startedAt: 'yesterday' }, 'invalid'],
    ['check-update', { checks: [] }, 'invalid'],
    ['check-update', { lifeDays: { p10: 9, p50: 5, p90: 7 }, checks: [] }, 'invalid'],
    ['run-out', { onHand: 5, uses: [], today: '2026-10-02' }, 'invalid'],
    ['cure', { ...good['cure'], crop: 'carrot' }, 'not-cured'],
    ['dry-weight', { freshWeightG: 100, freshMoisturePct: 20, targetMoisturePct: 30 }, 'invalid'],
    ['equilibrium-moisture', { grain: 'bean', temperatureC: 20, relativeHumidityPct: 98 }, 'out-of-range'],
    ['equilibrium-moisture', { grain: 'moonstone', temperatureC: 20, relativeHumidityPct: 60 }, 'unknown-grain'],
    ['seed-life', { ...good['seed-life'], moistureWetBasisPct: 40 }, 'out-of-range'],
    ['seed-life', { ...good['seed-life'], species: 'rock' }, 'unknown-species'],
    ['blanch', { crop: 'carrot', cut: 'origami' }, 'unknown-cut'],
    ['blanch', { crop: 'cucumber' }, 'not-frozen'],
    ['blanch', { crop: 'beetroot' }, 'cook-instead'],
    ['freeze-time', { ...good['freeze-time'], thicknessMm: -4 }, 'out-of-range'],
    ['freezer-load', { freezerLitres: 0, produceKg: 4 }, 'out-of-range'],
    ['frozen-life', { crop: 'pea', temperatures: [{ temperatureC: 3, days: 1 }] }, 'out-of-range'],
    ['power-cut', { ...good['power-cut'], fillFraction: 3 }, 'out-of-range'],
    ['planting', { ...good['planting'], keepBackFraction: 1 }, 'out-of-range'],
    ['brine', { ...good['brine'], method: 'by-eye' }, 'invalid'],
    ['drying-fit', { ...good['drying-fit'], weighings: [] }, 'invalid'],
  ])('%s refuses %j', async (name, input, code) => {
    const { status, body } = await client.post(`/bench/${name}`, input)
    expect([status, body.error.code]).toEqual([400, code])
  })

  it('knows no other', async () => {
    expect((await client.post('/bench/horoscope', {})).status).toBe(404)
    expect((await client.post('/bench/constructor', {})).status).toBe(404)
  })

  /** Numbers a slip, a broken client or an attacker would send, near the sane ones and far from them. */
  const anyNumber = fc.oneof(
    fc.double({ min: -50, max: 200, noNaN: true }),
    fc.integer({ min: -5, max: 400 }),
    fc.double(),
    fc.constantFrom(0, -0, 1e-300, 1e300, Infinity, NaN, Number.MAX_SAFE_INTEGER),
  )
  const anyLeaf = fc.oneof(anyNumber, anyNumber, fc.string(), fc.boolean(), fc.constant(null))
  /** A simulation takes seconds: begun from an input refused on every count, few of the ten thousand run in full. */
  const refusedOnEveryCount = { temperatureC: 300, relativeHumidityPct: 300, pieces: 1, everyWeeks: 50 }
  const seldomRun: Record<string, object> = { 'check-policy': { ...good['check-policy'], ...refusedOnEveryCount } }
  /** A good input with some of its leaves replaced. */
  const bent = (value: unknown): fc.Arbitrary<unknown> => {
    const same = { arbitrary: fc.constant(value), weight: 6 }
    if (typeof value === 'number')
      return fc.oneof(same, { arbitrary: anyNumber, weight: 4 }, { arbitrary: anyLeaf, weight: 1 })
    if (Array.isArray(value)) {
      return fc.oneof(same, { arbitrary: fc.array(bent(value[0]), { maxLength: 6 }), weight: 6 })
    }
    if (typeof value === 'object' && value !== null) {
      return fc.record(Object.fromEntries(Object.entries(value).map(([k, v]) => [k, bent(v)])))
    }
    return fc.oneof(same, { arbitrary: anyLeaf, weight: 1 })
  }
  // each of these lives through years, milliseconds at a time
  const slow = new Set(['keep', 'check-update', 'cure'])
  it.each(Object.entries(good))(
    '%s survives random inputs by the thousand with a valid answer or a shaped error',
    (name, input) => {
      const [answered, refused] = [{ n: 0 }, { n: 0 }]
      fc.assert(
        fc.property(
          fc.oneof({ arbitrary: bent(seldomRun[name] ?? input), weight: 9 }, { arbitrary: fc.anything(), weight: 1 }),
          (one) => {
            if (Array.isArray(one)) return
            try {
              const answer = JSON.stringify(calculate(calculatorNamed(name), one))
              expect(answer).not.toMatch(/[:[,]null/)
              answered.n++
            } catch (error) {
              expect(error).toBeInstanceOf(Refusal)
              expect(refusalBody(error as Refusal).error.message.length).toBeGreaterThan(5)
              refused.n++
            }
          },
        ),
        // and the good one itself, so that both ways are walked
        { numRuns: slow.has(name) ? 1_000 : 4_000, examples: [[input]] },
      )
      // both ways must have been walked
      expect(answered.n).toBeGreaterThan(0)
      expect(refused.n).toBeGreaterThan(0)
    },
  )
})

describe('calculators at the command line', () => {
  const calc = fileURLToPath(new URL('../../dist/calc.js', import.meta.url))
  const run = (name: string, input: string) => spawnSync('node', [calc, name], { input, encoding: 'utf8' })
  it('reads JSON from standard input and answers on standard output', () => {
    expect(existsSync(calc)).toBe(true)
    const { status, stdout } = run('check-size', JSON.stringify(good['check-size']))
    expect(status).toBe(0)
    expect(JSON.parse(stdout)).toEqual({ lookAt: 21 })
  })
  it('refuses with exit 2 and the error on standard error, nothing on standard output', () => {
    for (const [name, input] of [
      ['air', '{"temperatureC":'],
      ['air', '{"temperatureC":1}'],
      ['horoscope', '{}'],
    ] as const) {
      const { status, stdout, stderr } = run(name, input)
      expect([status, stdout]).toEqual([2, ''])
      expect(JSON.parse(stderr).error.message).toBeTruthy()
    }
  })
})
