import { Unknown } from 'typebox'
import { endpoint } from './endpoint'
import { civilDate, relativeHumidityPct, temperatureC } from './shapes'

const number = { type: 'number' } as const
const text = { type: 'string', maxLength: 120 } as const
const bool = { type: 'boolean' } as const
const gas = { enum: ['none', 'little', 'some', 'much'] } as const
const packing = { enum: ['net', 'sack', 'box', 'plait', 'bare', 'damp-sand', 'bag', 'jar'] } as const

const object = (properties: Record<string, object>, optional: string[] = []) => ({
  type: 'object',
  required: Object.keys(properties).filter((name) => !optional.includes(name)),
  properties,
  additionalProperties: false,
})
const list = (items: object, maxItems: number, minItems = 0) => ({ type: 'array', items, maxItems, minItems })
const weightG = { type: 'number', exclusiveMinimum: 0, maximum: 2_000_000 }
const spread = object({ p10: number, p50: number, p90: number })
const count = { type: 'integer', minimum: 0, maximum: 1_000_000 }

/** Inputs of the calculators; ranges the models themselves refuse are left to them. */
export const calculatorInputs: Record<string, object> = {
  air: object(
    {
      temperatureC: number,
      relativeHumidityPct: number,
      pressureKPa: number,
      thenTemperatureC: number,
      cropTemperatureC: number,
    },
    ['pressureKPa', 'thenTemperatureC', 'cropTemperatureC'],
  ),
  cure: object(
    {
      crop: text,
      startedAt: text,
      air: list(object({ at: text, temperatureC, relativeHumidityPct }), 20_000),
      airflow: { enum: ['still', 'breezy', 'fan'] },
      weighings: list(object({ at: text, weightG }), 500),
      tests: list(object({ at: text, test: text, passed: bool }), 500),
    },
    ['weighings', 'tests'],
  ),
  'dry-weight': object({ freshWeightG: number, freshMoisturePct: number, targetMoisturePct: number }),
  'drying-fit': object({
    weighings: list(object({ hours: number, weightG }), 200),
    freshMoisturePct: number,
    targetMoisturePct: number,
  }),
  'dried-life': object({ kind: { enum: ['fruit', 'vegetable'] }, temperatureC: number }),
  'equilibrium-moisture': object(
    {
      grain: text,
      temperatureC: number,
      relativeHumidityPct: number,
      equation: { enum: ['modified-henderson', 'modified-chung-pfost', 'modified-halsey'] },
    },
    ['equation'],
  ),
  'seed-life': object(
    {
      species: text,
      temperatureC: number,
      moistureWetBasisPct: number,
      initialViabilityPct: number,
      days: number,
      targetViabilityPct: number,
    },
    ['days', 'targetViabilityPct'],
  ),
  blanch: object({ crop: text, cut: text, altitudeM: number }, ['cut', 'altitudeM']),
  'freeze-time': object(
    {
      shape: { enum: ['slab', 'cylinder', 'sphere'] },
      thicknessMm: number,
      freezerTemperatureC: number,
      surfaceCoefficientWPerM2K: number,
      initialTemperatureC: number,
      waterPct: number,
      densityKgPerM3: number,
      frozenConductivityWPerMK: number,
      latentHeatKJPerKg: number,
      initialFreezingPointC: number,
    },
    [
      'initialTemperatureC',
      'waterPct',
      'densityKgPerM3',
      'frozenConductivityWPerMK',
      'latentHeatKJPerKg',
      'initialFreezingPointC',
    ],
  ),
  'freezer-load': object({ freezerLitres: number, produceKg: number }),
  'frozen-life': object({ crop: text, temperatures: list(object({ temperatureC: number, days: number }), 2_000, 1) }),
  'power-cut': object(
    {
      freezerLitres: number,
      fillFraction: number,
      hoursOff: number,
      roomTemperatureC: number,
      startTemperatureC: number,
      measuredC: number,
    },
    ['startTemperatureC', 'measuredC'],
  ),
  glut: object(
    {
      heaps: list(object({ crop: text, cut: text, kg: number, hoursSincePicking: number }, ['cut']), 40, 1),
      evenings: list(
        object({
          inHours: { type: 'number', minimum: 0, maximum: 400 },
          hours: { type: 'number', minimum: 0, maximum: 24 },
        }),
        30,
        1,
      ),
      panLitres: number,
      trays: number,
      kgPerTray: number,
      freezerLitres: number,
      altitudeM: number,
    },
    ['altitudeM'],
  ),
  keep: object({ crop: text, temperatureC: number, relativeHumidityPct: number, light: bool, packing, gas }, [
    'light',
    'packing',
    'gas',
  ]),
  'check-size': object({ lotSize: number, badFraction: number, confidence: number }),
  'check-update': object(
    {
      crop: text,
      lifeDays: spread,
      temperatureC: number,
      relativeHumidityPct: number,
      checks: list(
        object(
          {
            day: { type: 'number', minimum: 0, maximum: 3650 },
            lookedAt: count,
            bad: count,
            lotSize: { type: 'integer', minimum: 1, maximum: 1_000_000 },
          },
          ['lotSize'],
        ),
        500,
      ),
    },
    ['crop', 'lifeDays', 'temperatureC', 'relativeHumidityPct'],
  ),
  'check-policy': object(
    {
      crop: text,
      temperatureC: number,
      relativeHumidityPct: number,
      pieces: { type: 'integer', minimum: 1, maximum: 100_000 },
      packing,
      everyWeeks: number,
      seed: { type: 'integer', minimum: 0, maximum: 1_000_000 },
    },
    ['packing', 'seed'],
  ),
  'run-out': object({
    onHand: { type: 'number', minimum: 0, maximum: 1e9 },
    uses: list(object({ date: civilDate, amount: { type: 'number', maximum: 1e9 } }), 5_000),
    today: civilDate,
  }),
  planting: object(
    { crop: text, wantedUnits: number, unitsPerPlanted: number, keepBackFraction: number, lossFraction: number },
    ['keepBackFraction', 'lossFraction'],
  ),
  brine: object({
    method: { enum: ['of-water', 'of-total'] },
    waterG: number,
    produceG: number,
    saltPct: number,
  }),
}

/** Runs a calculator: one input, or an array of inputs that gives an array of outputs. */
export const calculate = endpoint('calculate', {
  method: 'POST',
  path: '/bench/:name',
  says: 'A calculator of the bench; what each takes stands under its name in calculatorInputs.',
  body: Unknown(),
  answer: Unknown(),
  // long air logs
  limit: '8mb',
  apart: true,
})
