import { dayMs } from '@vadose/core/households'
import { inTransaction, type Pool } from '../database'
import { allHouseholds, forgetAnswers } from './queries'

/** A request that comes again does so within minutes, or after a phone's week without signal. */
const rememberedDays = 30
/** so many of the newest are remembered however old they are */
const rememberedAtLeast = 1000

/** Forgets what old requests were answered, of every household. */
export async function forgetAnswersNow(pool: Pool): Promise<void> {
  for (const { id } of await allHouseholds(pool)) {
    await inTransaction(pool, id, (db) => forgetAnswers(db, id, rememberedDays, rememberedAtLeast))
  }
}

/** The same now and once a day. @returns stops it */
export function forgetOldAnswers(pool: Pool): () => void {
  // a database that is away for a moment is asked again tomorrow
  const attempt = () => void forgetAnswersNow(pool).catch(() => undefined)
  attempt()
  const timer = setInterval(attempt, dayMs)
  timer.unref()
  return () => clearInterval(timer)
}
