import { createHash } from 'node:crypto'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { trail, type Client } from '../database'
import { keepAnswer, type Answered } from './queries'

/** The sender's number of one write, and what it stands for. */
export interface RequestNumber {
  id: string
  /** the endpoint's name */
  route: string
  /** SHA-256 of what was asked with */
  contentHash: Buffer
}

/** A header any client can send, as with a body that has no room for the number. */
export const numberHeader = 'idempotency-key'
/** Whether a text can be an id: PostgreSQL refuses what cannot. */
export const isUuid = (text: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text)

const inOrderOfKeys = (_key: string, value: unknown): unknown =>
  value && typeof value === 'object' && !Array.isArray(value)
    ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
    : value

/**
 * The number of a write.
 * @param id as the body or the header brought it; undefined where neither did
 * @throws Refusal `invalid` for what is no UUID
 */
export function requestNumber(
  id: unknown,
  route: string,
  asked: { params: object; body: unknown },
): RequestNumber | undefined {
  if (id === undefined) return undefined
  if (typeof id !== 'string' || !isUuid(id)) {
    throw new Refusal('invalid', told('households.numberNotUuid'), 'requestId')
  }
  const { params, body } = asked
  const hash = createHash('sha256').update(JSON.stringify(params, inOrderOfKeys))
  hash.update(Buffer.isBuffer(body) ? body : JSON.stringify(body ?? null, inOrderOfKeys))
  return { id: id.toLowerCase(), route, contentHash: hash.digest() }
}

/**
 * Does what a numbered request asks for, once: the same again gets the same answer. Runs under the household's lock.
 * @param seen what the number was used for before, read under the lock
 * @throws Refusal `number-used` where the number stands for something else
 */
export async function once<T>(
  db: Client,
  householdId: string,
  number: RequestNumber | undefined,
  seen: Answered | undefined,
  work: () => Promise<T>,
  again?: (db: Client, answer: T) => Promise<T>,
): Promise<T> {
  if (!number) return work()
  if (seen) {
    // one of a time before this is known by its number alone
    const same = seen.route === null || (seen.route === number.route && seen.contentHash?.equals(number.contentHash))
    if (!same) {
      throw new Refusal('number-used', told('households.numberUsed'), 'requestId')
    }
    return again ? again(db, seen.answer as T) : (seen.answer as T)
  }
  const made = await work()
  trail(db, keepAnswer(db, householdId, number, made))
  return made
}
