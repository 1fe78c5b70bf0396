import Ajv, { type ValidateFunction } from 'ajv'
import addFormats from 'ajv-formats'
import type { ErrorBody } from '@vadose/contract/shapes'
import { Refusal } from '@vadose/core/refusal'
import type { NextFunction, Request, Response } from 'express'
import pg from 'pg'
import type { Logger } from 'pino'

const ajv = new Ajv({ allErrors: false, strict: true, allowUnionTypes: true })
addFormats(ajv)

/** Makes a checker that returns the input typed, or throws a Refusal naming the field at fault. */
export function checker<T>(schema: object): (input: unknown) => T {
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
    const says = missing
      ? `${path} is missing.`
      : extra
        ? `${path} is not known here.`
        : `${path || 'The input'} ${(plain[first.keyword] ?? given)(first)}.`
    throw new Refusal('invalid', says, path || undefined)
  }
}

type Fault = NonNullable<ValidateFunction['errors']>[number]
const given = (fault: Fault) => fault.message ?? 'is not valid'
const param = (fault: Fault, name: string) => String((fault.params as Record<string, unknown>)[name])
const formats: Record<string, string> = {
  date: 'must be a day, as 2026-10-02',
  'date-time': 'must be an instant with its offset, as 2026-10-02T07:00:00Z',
  uuid: 'must be a UUID',
}
/** What a schema forbids, in words a person can act on. */
const plain: Record<string, (fault: Fault) => string> = {
  type: (f) => `must be ${/^[aeiou]/.test(param(f, 'type')) ? 'an' : 'a'} ${param(f, 'type')}`,
  minimum: (f) => `must be at least ${param(f, 'limit')}`,
  maximum: (f) => `must be at most ${param(f, 'limit')}`,
  minItems: (f) => `must hold at least ${param(f, 'limit')}`,
  maxItems: (f) => `must hold at most ${param(f, 'limit')}`,
  minLength: () => 'must not be empty',
  maxLength: (f) => `must be at most ${param(f, 'limit')} letters long`,
  pattern: (f) => (param(f, 'pattern') === '\\S' ? 'must not be empty' : 'is not written as it should be'),
  format: (f) => formats[param(f, 'format')] ?? given(f),
  enum: (f) => `must be one of: ${(f.params as { allowedValues: unknown[] }).allowedValues.join(', ')}`,
}

const statusOf: Record<string, number> = {
  'not-found': 404,
  'no-household': 409,
  'too-large': 413,
  forbidden: 403,
  'unknown-sensor': 401,
}

export function refusalBody(refusal: Refusal): ErrorBody {
  const { code, message, field } = refusal
  return { error: { code, message, ...(field ? { field } : {}) } }
}

/** The last handler: every failure leaves in the one error shape, and nothing of the inside with it. */
export function answerError(log: Logger) {
  return (error: unknown, request: Request, response: Response, next: NextFunction): void => {
    if (response.headersSent) return next(error)
    const refusal = asRefusal(error)
    if (refusal) {
      response.status(statusOf[refusal.code] ?? 400).json(refusalBody(refusal))
      return
    }
    log.error({ err: error, method: request.method, path: request.path }, 'request failed')
    const down = isDatabaseDown(error)
    response.status(down ? 503 : 500).json({
      error: down
        ? {
            code: 'database-away',
            message: 'The database does not answer. Nothing was written; try again in a moment.',
          }
        : { code: 'internal', message: 'Something failed here. Nothing was written; the log has the details.' },
    } satisfies ErrorBody)
  }
}

function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error
  if (error instanceof pg.DatabaseError) {
    if (error.code === '23514') return new Refusal('not-enough', 'There is not that much left.')
    if (error.code === '23505') return new Refusal('taken', 'That name or code is taken already.')
    if (error.code === '22021' || error.code === '22P05') {
      return new Refusal('invalid', 'A text holds a character that cannot be kept (a zero byte).')
    }
    if (error.code === '23503') return new Refusal('invalid', 'It names a place or lot this household does not have.')
  }
  // what express.json throws
  const kind = (error as { type?: string } | null)?.type
  if (kind === 'entity.too.large')
    return new Refusal('too-large', 'That is more than can be taken at once; send it in parts.')
  if (kind === 'entity.parse.failed') return new Refusal('invalid', 'The request is not valid JSON.')
  if (kind === 'charset.unsupported' || kind === 'encoding.unsupported' || kind === 'request.aborted') {
    return new Refusal('invalid', 'The request cannot be read; send JSON as UTF-8.')
  }
  if (error instanceof URIError) return new Refusal('not-found', 'There is no such address.')
  return undefined
}

const isDatabaseDown = (error: unknown) =>
  ['ECONNREFUSED', 'ECONNRESET', '57P01', '57P03'].includes((error as { code?: string } | null)?.code ?? '') ||
  /terminat|Connection/.test(error instanceof Error ? error.message : '')
