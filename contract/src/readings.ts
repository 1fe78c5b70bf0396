import type { FromSchema } from 'json-schema-to-ts'
import { instant, relativeHumidityPct, temperatureC, uuid } from './shapes'

const column = { type: 'integer', minimum: 0, maximum: 200 } as const
const columnMapping = {
  type: 'object',
  required: ['time', 'order', 'zone', 'temperature', 'unit', 'humidity'],
  properties: {
    time: column,
    clock: column,
    order: { enum: ['year-first', 'day-first', 'month-first', 'seconds', 'milliseconds'] },
    zone: { type: 'string', minLength: 1, maxLength: 60 },
    temperature: column,
    unit: { enum: ['C', 'F'] },
    humidity: column,
    rain: column,
  },
  additionalProperties: false,
} as const

const mostRows = 600_000

/** A logger's file, read: columns of equal length, rising in time. */
export const readingImportSchema = {
  type: 'object',
  required: ['requestId', 'placeId', 'fileName', 'at', 'temperatureC', 'relativeHumidityPct'],
  properties: {
    requestId: uuid,
    placeId: uuid,
    fileName: { type: 'string', minLength: 1, maxLength: 200 },
    /** seconds since 1970 UTC */
    at: {
      type: 'array',
      minItems: 1,
      maxItems: mostRows,
      items: { type: 'integer', minimum: 0, maximum: 4_102_444_800 },
    },
    temperatureC: { type: 'array', maxItems: mostRows, items: temperatureC },
    relativeHumidityPct: { type: 'array', maxItems: mostRows, items: relativeHumidityPct },
    rainMm: { type: 'array', maxItems: mostRows, items: { type: 'number', minimum: 0, maximum: 500 } },
    /** headings of the file and how they were read, to be known again */
    headings: { type: 'string', maxLength: 2000 },
    mapping: columnMapping,
    /** only say what it would add */
    lookOnly: { type: 'boolean' },
  },
  additionalProperties: false,
} as const
export type NewReadingImport = FromSchema<typeof readingImportSchema>

export interface ReadingImportAnswer {
  id: string
  given: number
  added: number
}

export interface ReadingImportView {
  id: string
  place: string
  fileName: string
  given: number
  added: number
  from: string
  to: string
  undone: boolean
}

export interface KnownMapping {
  headings: string
  mapping: FromSchema<typeof columnMapping>
}

/** A sensor's batch: any order, sent again as often as it likes. */
export const sensorBatchSchema = {
  type: 'object',
  required: ['readings'],
  properties: {
    readings: {
      type: 'array',
      minItems: 1,
      maxItems: 5000,
      items: {
        type: 'object',
        required: ['at', 'temperatureC', 'relativeHumidityPct'],
        properties: {
          at: instant,
          temperatureC,
          relativeHumidityPct,
          rainMm: { type: 'number', minimum: 0, maximum: 500 },
        },
        additionalProperties: false,
      },
    },
  },
  additionalProperties: false,
} as const
export type SensorBatch = FromSchema<typeof sensorBatchSchema>

export interface SensorBatchAnswer {
  taken: number
  already: number
}

export const newSensorSchema = {
  type: 'object',
  required: ['name', 'placeId'],
  properties: { name: { type: 'string', minLength: 1, maxLength: 40, pattern: '\\S' }, placeId: uuid },
  additionalProperties: false,
} as const
export type NewSensor = FromSchema<typeof newSensorSchema>

export interface SensorView {
  id: string
  name: string
  place: string
  /** sends by itself, without a token */
  simulated: boolean
  lastAt: string | null
}

/** The token is shown this once. */
export interface SensorMade {
  id: string
  token: string
}
