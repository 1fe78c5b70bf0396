/** Pieces of schema used again and again. */
export const uuid = { type: 'string', format: 'uuid' } as const
export const civilDate = { type: 'string', format: 'date' } as const
export const instant = { type: 'string', format: 'date-time' } as const
/** Grams of one entry: whole, above nothing, within what a household lifts. */
export const grams = { type: 'integer', minimum: 1, maximum: 2_000_000 } as const
export const pieces = { type: 'integer', minimum: 1, maximum: 100_000 } as const
export const temperatureC = { type: 'number', minimum: -60, maximum: 90 } as const
export const relativeHumidityPct = { type: 'number', minimum: 0, maximum: 100 } as const

/** The one shape of every refusal. */
export interface ErrorBody {
  error: { code: string; message: string; field?: string }
}

export interface Spread<T> {
  p10: T
  p50: T
  p90: T
}
