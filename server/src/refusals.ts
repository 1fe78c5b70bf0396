import type { ErrorBody } from '@vadose/contract/shapes'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { inPlainWords } from '@vadose/words'
import type { NextFunction, Request, Response } from 'express'
import pg from 'pg'
import type { Logger } from 'pino'

const statusOf: Record<string, number> = {
  'not-found': 404,
  'too-large': 413,
  forbidden: 403,
  'unknown-sensor': 401,
  'no-such-household': 404,
  'number-used': 409,
  'too-many': 429,
  'too-much': 413,
  'too-heavy': 503,
}

export function refusalBody(refusal: Refusal): ErrorBody {
  const { code, says, field } = refusal
  return { error: { code, message: inPlainWords(says), ...(field ? { field } : {}), says } }
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
    const away = awayBody(error)
    if (away) {
      response.status(503).set('Retry-After', '2').json(away)
      return
    }
    response.status(500).json(refusalBody(new Refusal('internal', told('input.failed'))))
  }
}

function asRefusal(error: unknown): Refusal | undefined {
  if (error instanceof Refusal) return error
  if (error instanceof pg.DatabaseError) {
    // the ledger's own trigger names no constraint
    if (error.code === '23514' && !error.constraint) return new Refusal('not-enough', told('input.notThatMuch'))
    if (error.code === '23514') return new Refusal('invalid', told('input.cannotBeKept'))
    if (error.code === '23505') return new Refusal('taken', told('input.taken'))
    if (error.code === '23503') return new Refusal('invalid', told('input.namesStranger'))
    // class 22, data exceptions: a value that no column can hold; the contract should have refused it before
    if (error.code?.startsWith('22')) return new Refusal('invalid', told('input.cannotBeKept'))
  }
  // what express.json throws
  const kind = (error as { type?: string } | null)?.type
  if (kind === 'entity.too.large') return new Refusal('too-large', told('input.tooLarge'))
  if (kind === 'entity.parse.failed') return new Refusal('invalid', told('input.notJson'))
  if (kind === 'charset.unsupported' || kind === 'encoding.unsupported' || kind === 'request.aborted') {
    return new Refusal('invalid', told('input.unreadable'))
  }
  if (error instanceof URIError) return new Refusal('not-found', told('input.noSuchAddress'))
  const status = (error as { status?: number } | null)?.status ?? 0
  // a part of an older page, asked for after the server was renewed
  if (status === 404) return new Refusal('not-found', told('input.noSuchAddress'))
  // what else the body's reader could not make sense of: broken compression, a length that is not so
  if (status >= 400 && status < 500) return new Refusal('invalid', told('input.unreadable'))
  return undefined
}

/** What is said while the database is away, one sentence. What was on its way is known by its number. */
export const databaseAway = refusalBody(new Refusal('database-away', told('input.databaseAway')))
const diskFull = refusalBody(new Refusal('disk-full', told('input.diskFull')))

/**
 * SQLSTATE of a database that cannot answer now: connections, resources, operators and their time limits, deadlocks.
 * @source PostgreSQL 15 documentation, appendix A: error codes
 */
const away = /^(08|53|57|58)|^(25006|25P03|55P03|40001|40P01)$/
const lost = new Set(['ECONNREFUSED', 'ECONNRESET', 'EPIPE', 'ETIMEDOUT', 'ENOENT', 'EHOSTUNREACH'])
/** What node-postgres says of a connection, without a code. */
const broken = /Connection terminated|timeout exceeded when trying to connect|Query read timeout|not queryable/

function awayBody(error: unknown): ErrorBody | undefined {
  const { code = '', message = '', syscall } = (error ?? {}) as { code?: string; message?: string; syscall?: string }
  if (code === '53100') return diskFull
  if (away.test(code)) return databaseAway
  return (lost.has(code) && (syscall === undefined || /^(connect|read|write)$/.test(syscall))) || broken.test(message)
    ? databaseAway
    : undefined
}
