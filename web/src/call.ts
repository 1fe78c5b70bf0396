import { filled, isFile, type Endpoint } from '@vadose/contract/endpoint'
import type { ErrorBody, Told } from '@vadose/contract/shapes'
import { answered, keyOfWrite, numberFor } from './unanswered'
import { say } from './say'
import { refusalSaid } from './voice'

/** A refusal or failure of the server, with a message a person can act on. */
export class ApiError extends Error {
  constructor(
    readonly code: string,
    message: string,
    readonly field?: string,
    /** what it says, as data */
    readonly says?: Told,
  ) {
    super(message)
  }
}

/** Number of a write that a worker sends, which has no memory of its own. */
export const newRequestId = (): string => crypto.randomUUID()

/** A body as screens send it: the number of the request is seen to here. */
export type Content<Body> = Body extends { requestId: string } ? Omit<Body, 'requestId'> & { requestId?: string } : Body

/** What an endpoint is asked with, the household left out: the page is open on one for as long as it lives. */
export type Asked<Params, Query, Body> = (object extends Omit<Params, 'household'>
  ? object
  : { params: Omit<Params, 'household'> }) &
  ([Query] extends [undefined] ? object : { query?: Query }) &
  ([Body] extends [undefined] ? object : { body: Content<Body> })

export interface AnyAsked {
  params?: Record<string, string>
  query?: object
  body?: unknown
}

/** Pages that were there before households had addresses: none may take their names. */
const pages = new Set(
  'bring-in line stores larder lots almanac bench readings find household households api assets'.split(' '),
)

/** The household this page is open on: the first part of its address. */
export const householdHere: string | undefined = (() => {
  const first = typeof location === 'undefined' ? '' : location.pathname.split('/')[1]!
  return first && !pages.has(first) ? decodeURIComponent(first) : undefined
})()

let here = householdHere
/** Tells a worker which household its page is open on. */
export const beHere = (household: string | undefined): void => void (here = household)

/** Where an answer is, within the household: `/lots/G26-1`, `/round?on=2026-10-03`. */
export function addressOf(endpoint: Pick<Endpoint, 'path'>, { params = {}, query = {} }: AnyAsked = {}): string {
  const path = filled(endpoint.path.replace('/households/:household', ''), params)
  const asked = new URLSearchParams(
    Object.entries(query).filter((entry): entry is [string, string] => typeof entry[1] === 'string'),
  ).toString()
  return asked ? `${path}?${asked}` : path
}

/** The same as a link can have it: for pictures and files. */
export const linkTo = <P, Q, B, A>(endpoint: Endpoint<P, Q, B, A>, asked: Asked<P, Q, undefined>): string =>
  `${root(endpoint)}${addressOf(endpoint, asked as AnyAsked)}`

const root = (endpoint: Pick<Endpoint, 'path'>) =>
  endpoint.path.startsWith('/households/:household') ? `/api/households/${encodeURIComponent(here ?? '')}` : '/api'

let written = 0
let read = 0
/** The household's revision that this page's own last write left: what it shows has that in it. */
export const writtenRevision = (): number => written
/** The latest revision of any answer: what the page was opened with. */
export const readRevision = (): number => read

/**
 * Asks an endpoint.
 * @param views answers wanted with that of a write
 * @throws ApiError as the server refused it; `away` where it does not answer
 */
export async function send(endpoint: Endpoint, asked: AnyAsked, views: readonly string[] = []): Promise<unknown> {
  const { method, body: declared } = endpoint
  const { body } = asked
  const raw = isFile(declared)
  const address = `${root(endpoint)}${addressOf(endpoint, asked)}`
  const content = raw ? (body as Blob) : body === undefined ? '' : JSON.stringify(body)
  const given = (body as { requestId?: string } | undefined)?.requestId
  const known = method === 'GET' || given ? undefined : keyOfWrite(method, address, content)
  // nothing is waited for that need not be
  const key = known instanceof Promise ? await known : known
  const number = key ? numberFor(key, address) : given
  let response: Response
  try {
    response = await fetch(address, {
      method,
      headers: {
        ...(body === undefined
          ? {}
          : { 'Content-Type': raw ? (content as Blob).type || declared.file : 'application/json' }),
        ...(number && method !== 'GET' ? { 'Idempotency-Key': number } : {}),
        ...(views.length > 0 ? { 'X-Views': views.join(' ') } : {}),
      },
      ...(body === undefined ? {} : { body: content }),
    })
  } catch {
    throw new ApiError('away', say('vadoseDoesNotAnswerIs'))
  }
  const revision = Number(response.headers.get('X-Revision'))
  if (method !== 'GET' && revision > written) written = revision
  if (revision > read) read = revision
  // what failed may have been written all the same: its number stays until somebody knows
  if (key && response.status < 500) answered(key)
  if (response.ok) return response.json()
  const error = ((await response.json().catch(() => undefined)) as ErrorBody | undefined)?.error
  if (!error) throw new ApiError('internal', say('somethingFailedNothingWasWritten'))
  const { code, message, field, says } = error
  throw new ApiError(code, says ? await refusalSaid(says, message) : message, field, says)
}

/** Asks an endpoint whose answer nothing on the page shows. */
export const call = <P, Q, B, A>(endpoint: Endpoint<P, Q, B, A>, asked: Asked<P, Q, B>): Promise<A> =>
  send(endpoint as Endpoint, asked as AnyAsked) as Promise<A>
