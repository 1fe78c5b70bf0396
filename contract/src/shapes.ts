import {
  Array as ArraySchema,
  Boolean as BooleanSchema,
  Integer,
  Literal,
  Null,
  Number as NumberSchema,
  Object as ObjectSchema,
  Optional,
  String as StringSchema,
  Tuple,
  Union,
  Unsafe,
  type Static,
  type TProperties,
  type TSchema,
} from 'typebox'

export type { Static }

/** Pieces of schema used again and again. */
export const closed = <const P extends TProperties>(properties: P) =>
  ObjectSchema(properties, { additionalProperties: false })
export const nullable = <T extends TSchema>(schema: T) => Union([schema, Null()])
export const listOf = <T extends TSchema>(items: T, bounds: { minItems?: number; maxItems?: number } = {}) =>
  ArraySchema(items, bounds)
export const oneOf = <const T extends readonly string[]>(...values: T) => Unsafe<T[number]>({ enum: [...values] })
export const just = <const T extends string>(value: T) => Literal(value)
/** Values by whatever name they have. */
export const byName = <T extends TSchema>(values: T) =>
  Unsafe<Readonly<Record<string, Static<T>>>>({ type: 'object', additionalProperties: values })
export const optional = Optional
export const either = Union
export const pairOf = <T extends TSchema>(one: T) => Tuple([one, one])
export const none = Null()

export const bool = BooleanSchema()
export const number = NumberSchema()
export const between = (minimum: number, maximum: number) => NumberSchema({ minimum, maximum })
export const whole = (minimum: number, maximum: number) => Integer({ minimum, maximum })
/** Any text, as the server says it. */
export const words = StringSchema()
/** What is meant, as data: the key of a message in `words/`, and what it is filled with. */
export interface Told {
  readonly says: string
  readonly [name: string]: ToldPart
}
export type ToldPart =
  | string
  | number
  | null
  | undefined
  | Told
  | { readonly list: readonly ToldPart[]; readonly by: string }
  | { readonly sentence: ToldPart }
  | { readonly g: number; readonly as?: 'kg'; readonly digits?: number }
  | { readonly c: number; readonly to?: number; readonly digits?: number }
  | { readonly rainMm: number }
  | { readonly on: string; readonly as?: 'short' | 'weekday' | 'weekday-only' | 'month' }
  | { readonly term: string }
  | { readonly field: string }
export const told = Unsafe<Told>({
  type: 'object',
  required: ['says'],
  properties: { says: { type: 'string', pattern: '^[a-z]+\\.[A-Za-z0-9]+$' } },
})
/** A text somebody typed that may be empty. */
export const textUpTo = (maxLength: number) => StringSchema({ maxLength })
/** A text somebody typed that says something. */
export const saying = (maxLength: number) => StringSchema({ minLength: 1, maxLength, pattern: '\\S' })

export const uuid = StringSchema({ format: 'uuid' })
export const civilDate = StringSchema({ format: 'date' })
export const instant = StringSchema({ format: 'date-time' })
/** Grams of one entry: whole, above nothing, within what a household lifts. */
export const grams = whole(1, 2_000_000)
export const pieces = whole(1, 100_000)
export const temperatureC = between(-60, 90)
export const relativeHumidityPct = between(0, 100)
export const cropId = StringSchema({ maxLength: 60 })
export const rainMm = between(0, 500)
/** Number of a write, so that sending it again does it once. */
export const requestId = { ...uuid }

/** What ends a lot. */
export const ending = oneOf(
  ...(['sprouting', 'drying out', 'rot', 'rooting', 'mould', 'frost', 'chilling', 'greening', 'ethylene'] as const),
  'early rot',
  'age',
)

/** Three points of a spread: 1 in 10 lies below p10, half below p50, 9 in 10 below p90. */
export const spreadOf = <T extends TSchema>(value: T) => closed({ p10: value, p50: value, p90: value })
export interface Spread<T> {
  p10: T
  p50: T
  p90: T
}

/** The one shape of every refusal. */
export interface ErrorBody {
  error: { code: string; message: string; field?: string; says?: Told }
}
export const errorBody = closed({
  error: closed({ code: words, message: words, field: optional(words), says: optional(told) }),
})

export const ok = closed({ ok: bool })
