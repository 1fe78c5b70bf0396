import type { Request, Response } from 'express'
import pg from 'pg'
import { pino } from 'pino'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { describe, expect, it, vi } from 'vitest'
import { answerError, refusalBody } from './refusals'
import { checker } from './validate'

const check = checker<{ weightG: number; basis: string; parts?: { g: number }[] }>({
  type: 'object',
  required: ['weightG', 'basis'],
  properties: {
    weightG: { type: 'integer', minimum: 1, maximum: 2_000_000 },
    basis: { enum: ['lot', 'bunch'] },
    on: { type: 'string', format: 'date' },
    id: { type: 'string', format: 'uuid' },
    name: { type: 'string', maxLength: 8, pattern: '\\S' },
    parts: {
      type: 'array',
      minItems: 1,
      items: { type: 'object', required: ['g'], properties: { g: { type: 'number' } } },
    },
  },
  additionalProperties: false,
})
const refusalOf = (input: unknown) => {
  try {
    check(input)
  } catch (error) {
    if (error instanceof Refusal) return refusalBody(error).error
  }
  throw new Error('It was taken.')
}

describe('what a request is checked against', () => {
  it('passes what fits, as it is', () => {
    const input = { weightG: 620, basis: 'bunch' }
    expect(check(input)).toBe(input)
  })
  it.each([
    [{ basis: 'lot' }, 'weightG', 'weightG is missing.'],
    [{ weightG: 620, basis: 'sack' }, 'basis', 'basis must be one of: lot, bunch.'],
    [{ weightG: 0, basis: 'lot' }, 'weightG', 'weightG must be at least 1.'],
    [{ weightG: 1.5, basis: 'lot' }, 'weightG', 'weightG must be an integer.'],
    [{ weightG: '620', basis: 'lot' }, 'weightG', 'weightG must be an integer.'],
    [{ weightG: 620, basis: 'lot', colour: 'red' }, 'colour', 'colour is not known here.'],
    [{ weightG: 620, basis: 'lot', parts: [{ g: 1 }, {}] }, 'parts/1/g', 'parts/1/g is missing.'],
    [{ weightG: 3_000_000, basis: 'lot' }, 'weightG', 'weightG must be at most 2000000.'],
    [{ weightG: 1, basis: 'lot', parts: [] }, 'parts', 'parts must hold at least 1.'],
    [{ weightG: 1, basis: 'lot', on: '2026-02-30' }, 'on', 'on must be a day, as 2026-10-02.'],
    [{ weightG: 1, basis: 'lot', name: '  ' }, 'name', 'name must not be empty.'],
    [{ weightG: 1, basis: 'lot', name: 'a name too long' }, 'name', 'name must be at most 8 letters long.'],
    [{ weightG: 1, basis: 'lot', id: '7' }, 'id', 'id must be a UUID.'],
    [null, undefined, 'input must be an object.'],
    [[], undefined, 'input must be an object.'],
  ])('%j is refused by name', (input, field, message) => {
    expect(refusalOf(input)).toMatchObject({ code: 'invalid', message, ...(field ? { field } : {}) })
  })
})

/** What leaves the server for a failure, and what its log holds. */
function answered(error: unknown) {
  const logged: string[] = []
  const log = pino({ level: 'error' }, { write: (line: string) => void logged.push(line) })
  let status = 0
  let body: { error: { code: string; message: string; field?: string } } | undefined
  const response = {
    headersSent: false,
    status(code: number) {
      status = code
      return response
    },
    set() {
      return response
    },
    json(sent: typeof body) {
      body = sent
    },
  }
  answerError(log)(error, { method: 'POST', path: '/harvests' } as Request, response as unknown as Response, vi.fn())
  return { status, ...body!.error, logged }
}
const fromPostgres = (code: string) => Object.assign(new pg.DatabaseError('inside words', 1, 'error'), { code })

describe('every failure leaves in one shape', () => {
  it.each([
    ['not-found', 404],
    ['no-such-household', 404],
    ['too-large', 413],
    ['forbidden', 403],
    ['unknown-sensor', 401],
    ['surprise', 400],
  ])('a refusal “%s” is a %i with its own words and field', (code, status) => {
    expect(answered(new Refusal(code, told('lots.wholePieces'), 'weightG'))).toEqual({
      status,
      code,
      message: 'Give a whole number of pieces.',
      says: { says: 'lots.wholePieces' },
      field: 'weightG',
      logged: [],
    })
  })
  it.each([
    ['23514', 'not-enough'],
    ['23505', 'taken'],
    ['22021', 'invalid'],
    ['23503', 'invalid'],
  ])('what the database itself forbids (%s) is the household’s to mend', (code, said) => {
    const answer = answered(fromPostgres(code))
    expect([answer.status, answer.code]).toEqual([400, said])
    expect(answer.message).not.toContain('inside words')
  })
  it.each([
    [{ type: 'entity.too.large' }, 413, 'too-large'],
    [{ type: 'entity.parse.failed' }, 400, 'invalid'],
    [{ type: 'charset.unsupported' }, 400, 'invalid'],
    [new URIError('%'), 404, 'not-found'],
  ])('what cannot be read at all: %j', (error, status, code) => {
    expect(answered(error)).toMatchObject({ status, code, logged: [] })
  })
  it('a database that went away is said so, and that nothing is written twice', () => {
    for (const error of [
      Object.assign(new Error('x'), { code: 'ECONNREFUSED' }),
      Object.assign(new Error('x'), { code: '57P01' }),
      new Error('Connection terminated unexpectedly'),
    ]) {
      const answer = answered(error)
      expect([answer.status, answer.code]).toEqual([503, 'database-away'])
      expect(answer.message).toMatch(/nothing is written twice/)
    }
  })
  it('anything else tells the log everything and the page nothing', () => {
    const answer = answered(new Error('password is 1234 at /srv/secret.ts:5'))
    expect([answer.status, answer.code]).toEqual([500, 'internal'])
    expect(answer.message).not.toMatch(/1234|secret/)
    expect(answer.logged.join('')).toContain('/srv/secret.ts')
  })
  it('goes on to the next handler where an answer has begun', () => {
    const next = vi.fn()
    const error = new Error('late')
    answerError(pino({ level: 'silent' }))(error, {} as Request, { headersSent: true } as Response, next)
    expect(next).toHaveBeenCalledWith(error)
  })
})
