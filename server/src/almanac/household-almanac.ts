import { almanacWith, type Almanac } from '@vadose/core/almanac'
import type { Client } from '../database'
import { changesOf } from './queries'

// an almanac is the same as long as its changes are: the last few are kept, with the tables worked out on them
const kept = new Map<string, Almanac>()
const keptAtMost = 48

/** The almanac as a household has it. */
export async function almanacOf(db: Client, householdId: string): Promise<Almanac> {
  const changes = await changesOf(db, householdId)
  const key = JSON.stringify(changes)
  let almanac = kept.get(key)
  if (!almanac) {
    almanac = almanacWith(changes)
    kept.set(key, almanac)
    for (const old of kept.keys()) {
      if (kept.size <= keptAtMost) break
      kept.delete(old)
    }
  }
  return almanac
}
