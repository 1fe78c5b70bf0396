import { civilDate, relativeHumidityPct, temperatureC } from './shapes'

const lifeDays = {
  type: 'object',
  required: ['p10', 'p50', 'p90'],
  properties: { p10: { type: 'number' }, p50: { type: 'number' }, p90: { type: 'number' } },
  additionalProperties: false,
} as const

const reading = {
  type: 'object',
  required: ['at', 'temperatureC', 'relativeHumidityPct'],
  properties: { at: { type: 'string' }, temperatureC, relativeHumidityPct },
  additionalProperties: false,
} as const

const object = <R extends readonly string[], P>(required: R, properties: P) =>
  ({ type: 'object', required, properties, additionalProperties: false }) as const

/** Inputs of the calculators; ranges the models themselves refuse are left to them. */
export const calculatorInputs = {
  air: object(
    ['temperatureC', 'relativeHumidityPct'] as const,
    {
      temperatureC: { type: 'number' },
      relativeHumidityPct: { type: 'number' },
      pressureKPa: { type: 'number' },
    } as const,
  ),
  cure: object(
    ['crop', 'startedAt', 'air', 'airflow'] as const,
    {
      crop: { type: 'string' },
      startedAt: { type: 'string' },
      air: { type: 'array', items: reading, maxItems: 20_000 },
      airflow: { enum: ['still', 'breezy', 'fan'] },
      weighings: {
        type: 'array',
        maxItems: 500,
        items: object(
          ['at', 'weightG'] as const,
          {
            at: { type: 'string' },
            weightG: { type: 'number', exclusiveMinimum: 0, maximum: 2_000_000 },
          } as const,
        ),
      },
      tests: {
        type: 'array',
        maxItems: 500,
        items: object(
          ['at', 'test', 'passed'] as const,
          {
            at: { type: 'string' },
            test: { type: 'string' },
            passed: { type: 'boolean' },
          } as const,
        ),
      },
    } as const,
  ),
  keep: object(
    ['crop', 'temperatureC', 'relativeHumidityPct'] as const,
    {
      crop: { type: 'string' },
      temperatureC: { type: 'number' },
      relativeHumidityPct: { type: 'number' },
      light: { type: 'boolean' },
    } as const,
  ),
  'check-size': object(
    ['lotSize', 'badFraction', 'confidence'] as const,
    {
      lotSize: { type: 'number' },
      badFraction: { type: 'number' },
      confidence: { type: 'number' },
    } as const,
  ),
  'check-update': object(
    ['checks'] as const,
    {
      crop: { type: 'string' },
      lifeDays,
      temperatureC: { type: 'number' },
      relativeHumidityPct: { type: 'number' },
      checks: {
        type: 'array',
        maxItems: 500,
        items: object(
          ['day', 'lookedAt', 'bad'] as const,
          {
            day: { type: 'number', minimum: 0, maximum: 3650 },
            lookedAt: { type: 'integer', minimum: 0, maximum: 1_000_000 },
            bad: { type: 'integer', minimum: 0, maximum: 1_000_000 },
            lotSize: { type: 'integer', minimum: 1, maximum: 1_000_000 },
          } as const,
        ),
      },
    } as const,
  ),
  'run-out': object(
    ['onHand', 'uses', 'today'] as const,
    {
      onHand: { type: 'number', minimum: 0, maximum: 1e9 },
      uses: {
        type: 'array',
        maxItems: 5_000,
        items: object(
          ['date', 'amount'] as const,
          { date: civilDate, amount: { type: 'number', maximum: 1e9 } } as const,
        ),
      },
      today: civilDate,
    } as const,
  ),
} as const
