import type { ErrorBody } from '@vadose/contract/shapes'
import { Refusal } from '@vadose/core/refusal'
import type { NextFunction, Request, Response } from 'express'
import pg from 'pg'
import type { Logger } from 'pino'

const statusOf: Record<string, number> = {
  'not-found': 404,
  'too-large': 413,
  forbidden: 403,
  'unknown-sensor': 401,
  'no-such-household': 404,
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
