import type { FromSchema } from 'json-schema-to-ts'
import { relativeHumidityPct, temperatureC } from './shapes'

export const placeKindIds = [
  'outdoors',
  'veranda',
  'loft',
  'room',
  'cool-room',
  'shed',
  'cellar',
  'fridge',
  'freezer',
] as const

export const newPlaceSchema = {
  type: 'object',
  required: ['name', 'kind'],
  properties: { name: { type: 'string', minLength: 1, maxLength: 40, pattern: '\\S' }, kind: { enum: placeKindIds } },
  additionalProperties: false,
} as const
export type NewPlace = FromSchema<typeof newPlaceSchema>

export const readingSchema = {
  type: 'object',
  required: ['temperatureC', 'relativeHumidityPct'],
  properties: { temperatureC, relativeHumidityPct },
  additionalProperties: false,
} as const
export type NewReading = FromSchema<typeof readingSchema>

/** One day outdoors. */
export interface WeatherDay {
  on: string
  highC: number
  lowC: number
  humidityPct: number
  /** null where nobody says */
  rainMm: number | null
  /** to come */
  ahead: boolean
}

export interface PlaceAir {
  /** latest reading, if any */
  at: string | null
  temperatureC: number | null
  relativeHumidityPct: number | null
}

export interface PlaceView {
  id: string
  name: string
  kind: (typeof placeKindIds)[number]
  air: PlaceAir
  /** means of the last days, for a small line: oldest first */
  recent: { temperatureC: number; relativeHumidityPct: number; vpdKPa: number }[]
}
