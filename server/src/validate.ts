import Ajv, { type ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import { isCivilDate } from '@vadose/core/households'
import { told, type Message } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'

const ajv = new Ajv({ allErrors: false, strict: true, allowUnionTypes: true })
addFormats(ajv)
// PostgreSQL's spelling alone: RFC 4122's urn:uuid: is none
ajv.addFormat('uuid', /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i)
// years that a household's record can lie in
const inOurTime = (text: string) => text >= '1900' && text < '2200'
const isDay = (text: string) => isCivilDate(text) && inOurTime(text)
ajv.addFormat('date', isDay)
const instant = /^\d{4}-\d\d-\d\dT\d\d:\d\d(:\d\d(\.\d{1,9})?)?(Z|[+-]\d\d:\d\d)$/i
// a leap second is an instant by RFC 3339 and none to anybody's clock
ajv.addFormat(
  'date-time',
  (text: string) => instant.test(text) && isDay(text.slice(0, 10)) && !Number.isNaN(Date.parse(text)),
)

/** A query's schema, in which a figure is text and what is not known is passed over. */
export const querySchema = (schema: object): object => ({ ...schema, additionalProperties: true })

interface OneOfKinds {
  anyOf: { properties: Record<string, { const?: string }> }[]
}

/** The property that tells the kinds of a union apart, each by a constant of its own: `act`. */
function kindOf(schema: object): string | undefined {
  const { anyOf } = schema as Partial<OneOfKinds>
  if (!anyOf || anyOf.length < 2) return undefined
  return Object.keys(anyOf[0]?.properties ?? {}).find((name) =>
    anyOf.every((one) => one.properties?.[name]?.const !== undefined),
  )
}

/**
 * Makes a checker that returns the input typed, or throws a Refusal naming the field at fault. Of a union whose kinds
 * name themselves, the kind that is named is what the input is held against.
 */
export function checker<T>(schema: object): (input: unknown) => T {
  const name = kindOf(schema)
  if (name === undefined) return plainChecker(schema)
  const kinds = new Map((schema as OneOfKinds).anyOf.map((one) => [one.properties[name]!.const!, plainChecker<T>(one)]))
  return (input) => {
    const kind = (input as Record<string, unknown> | null | undefined)?.[name]
    const check = typeof kind === 'string' ? kinds.get(kind) : undefined
    if (!check)
      throw new Refusal('invalid', told('input.oneOfKinds', { field: name, known: [...kinds.keys()].join(', ') }), name)
    return check(input)
  }
}

function plainChecker<T>(schema: object): (input: unknown) => T {
  const validate = ajv.compile(schema) as ValidateFunction<T>
  return (input) => {
    if (validate(input)) return input
    const first = validate.errors![0]!
    const missing = first.keyword === 'required' ? (first.params as { missingProperty: string }).missingProperty : ''
    const extra =
      first.keyword === 'additionalProperties'
        ? (first.params as { additionalProperty: string }).additionalProperty
        : ''
    const path = [first.instancePath.slice(1), missing || extra].filter(Boolean).join('/')
    const field = path || 'input'
    const says = missing
      ? told('input.missing', { field })
      : extra
        ? told('input.unknown', { field })
        : (plain[first.keyword] ?? asAjvSays)(first, field)
    throw new Refusal('invalid', says, path || undefined)
  }
}

type Fault = NonNullable<ValidateFunction['errors']>[number]
const asAjvSays = (fault: Fault, field: string) =>
  told('input.notValid', { field, why: fault.message ?? 'is not valid' })
const param = (fault: Fault, name: string) => String((fault.params as Record<string, unknown>)[name])
/** What a schema forbids, as a person can act on it. */
const plain: Record<string, (fault: Fault, field: string) => Message> = {
  type: (f, field) => told('input.wrongType', { field, type: param(f, 'type') }),
  minimum: (f, field) => told('input.atLeast', { field, limit: param(f, 'limit') }),
  maximum: (f, field) => told('input.atMost', { field, limit: param(f, 'limit') }),
  minItems: (f, field) => told('input.tooFewItems', { field, limit: param(f, 'limit') }),
  maxItems: (f, field) => told('input.tooManyItems', { field, limit: param(f, 'limit') }),
  minLength: (_, field) => told('input.empty', { field }),
  maxLength: (f, field) => told('input.tooLong', { field, limit: param(f, 'limit') }),
  pattern: (f, field) =>
    param(f, 'pattern') === '\\S' ? told('input.empty', { field }) : told('input.wrongPattern', { field }),
  format: (f, field) => told('input.wrongFormat', { field, format: param(f, 'format') }),
  enum: (f, field) =>
    told('input.oneOf', { field, known: (f.params as { allowedValues: unknown[] }).allowedValues.join(', ') }),
}
