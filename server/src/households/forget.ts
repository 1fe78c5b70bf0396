import { dayMs } from '@vadose/core/households'
import { inTransaction, type Pool } from '../database'
import { allHouseholds, forgetAnswers } from './queries'

/** A request that comes again does so within minutes, or after a phone's week without signal. */
const rememberedDays = 30

/** Forgets what old requests were answered, now and once a day. @returns stops it */
export function forgetOldAnswers(pool: Pool): () => void {
  const forget = async () => {
    const before = new Date(Date.now() - rememberedDays * dayMs)
    for (const { id } of await allHouseholds(pool)) await inTransaction(pool, id, (db) => forgetAnswers(db, id, before))
  }
  // a database that is away for a moment is asked again tomorrow
  const attempt = () => void forget().catch(() => undefined)
  attempt()
  const timer = setInterval(attempt, dayMs)
  timer.unref()
  return () => clearInterval(timer)
}
