import { randomUUID } from 'node:crypto'
import { told } from '@vadose/core/message'
import { Refusal } from '@vadose/core/refusal'
import { inTransaction, type Client, type Pool } from '../database'
import { answeredBefore, householdById, keepAnswer, lockAddresses } from './queries'
import { once, type RequestNumber } from './request-number'

/** A household that was begun. */
export interface Started {
  id: string
  address: string
  name: string
  practising: boolean
}

/**
 * Begins a household in a transaction of its own, once however often it is asked for.
 * @param number the request's, which is the household's id too: what is kept of the request belongs to the household
 */
export async function startOnce(
  pool: Pool,
  number: RequestNumber | undefined,
  start: (db: Client, id: string) => Promise<Started>,
): Promise<Started> {
  const id = number?.id ?? randomUUID()
  return inTransaction(pool, id, async (db) => {
    // new households take turns: no two take one address, and none is begun twice
    await lockAddresses(db)
    if (number && (await householdById(db, id))) {
      return once(db, id, number, await answeredBefore(db, id, number.id), () => numberTaken(id))
    }
    const started = await start(db, id)
    if (number) await keepAnswer(db, id, number, started)
    return started
  })
}

const numberTaken = (id: string): never => {
  throw new Refusal('number-used', told('households.thatNumberUsed', { id }), 'requestId')
}
