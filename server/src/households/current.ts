import { Refusal } from '@vadose/core/refusal'
import type { Request, Response } from 'express'
import { inTransaction, type Client, type Pool } from '../database'
import type { Moment } from '../lots'
import { syncJobs } from '../round'
import { allHouseholds, firstTime, householdById, keepAnswer, lockHousehold, type HouseholdRow } from './queries'
import { stateOf, type HouseholdState } from './state'
import { civilDateOf, nowOf } from './time'

const cookieName = 'vadose_household'
const uuidPattern = /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/

export function chosenHousehold(request: Request): string | undefined {
  for (const part of (request.headers.cookie ?? '').split(';')) {
    const [name, value] = part.trim().split('=')
    if (name === cookieName && value && uuidPattern.test(value)) return value
  }
  return undefined
}

/** Cookies are shared by every port of a host, so two servers here may see each other's choice: it is only a choice. */
export const chooseHousehold = (response: Response, id: string): void => {
  response.cookie(cookieName, id, { httpOnly: true, sameSite: 'strict', path: '/', maxAge: 400 * 24 * 3600 * 1000 })
}

/** The household a request is about: the one chosen, or the first there is. @throws Refusal `no-household` */
export async function currentHousehold(pool: Pool, request: Request): Promise<HouseholdRow> {
  const chosen = chosenHousehold(request)
  const household = chosen ? await householdById(pool, chosen) : undefined
  if (household) return household
  const [first] = await allHouseholds(pool)
  if (!first) throw new Refusal('no-household', 'There is no household yet: give yours a name to begin.')
  return first
}

export const currentId = async (pool: Pool, request: Request): Promise<string> =>
  (await currentHousehold(pool, request)).id

/** The household's state for a screen. */
export const currentState = async (pool: Pool, request: Request): Promise<HouseholdState> =>
  stateOf(pool, await currentId(pool, request))

export function momentOf(household: HouseholdRow): Moment {
  const nowMs = nowOf(household)
  const { id, timeZone } = household
  return { householdId: id, nowMs, today: civilDateOf(nowMs, timeZone), timeZone }
}

/**
 * One write, all or nothing, once however often it is sent; afterwards the jobs follow.
 * @param requestId the sender's number for it
 */
export async function writeOnce<T>(
  pool: Pool,
  household: HouseholdRow,
  requestId: string,
  work: (db: Client, moment: Moment) => Promise<T>,
): Promise<T> {
  const answer = await inTransaction(pool, household.id, async (db) => {
    await lockHousehold(db, household.id)
    const seen = await firstTime(db, household.id, requestId)
    if (!seen.first) return seen.answer as T
    const made = await work(db, momentOf(household))
    await keepAnswer(db, household.id, requestId, made)
    return made
  })
  await syncJobs(pool, await stateOf(pool, household.id))
  return answer
}
