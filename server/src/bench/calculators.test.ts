import { spawnSync } from 'node:child_process'
import { existsSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import fc from 'fast-check'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { refusalBody } from '../http'
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
  ])('%s refuses %j', async (name, input, code) => {
    const { status, body } = await client.post(`/bench/${name}`, input)
    expect([status, body.error.code]).toEqual([400, code])
  })

  it('knows no other', async () => {
    expect((await client.post('/bench/horoscope', {})).status).toBe(404)
    expect((await client.post('/bench/constructor', {})).status).toBe(404)
  })

  it('survives any input with a valid answer or a shaped error', () => {
    const anything = fc.oneof(
      fc.anything(),
      ...Object.values(good).map((input) =>
        fc.record(
          Object.fromEntries(
            Object.keys(input).map((k) => [
              k,
              fc.oneof(fc.constant((input as Record<string, unknown>)[k]), fc.double(), fc.string(), fc.integer()),
            ]),
          ),
        ),
      ),
    )
    fc.assert(
      fc.property(fc.constantFrom(...Object.keys(good)), anything, (name, input) => {
        if (Array.isArray(input)) return
        try {
          const answer = JSON.stringify(calculate(calculatorNamed(name), input))
          expect(answer).not.toMatch(/:null/)
        } catch (error) {
          expect(error).toBeInstanceOf(Refusal)
          expect(refusalBody(error as Refusal).error.message.length).toBeGreaterThan(5)
        }
      }),
      { numRuns: 1000 },
    )
  })
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
