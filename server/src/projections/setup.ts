import type { Almanac } from '@vadose/core/almanac'
import type { PlaceFacts } from '@vadose/core/forecast'
import { almanacOf } from '../almanac'
import type { Client } from '../database'
import { placesOf } from '../places'

/** What a household is set up with. */
export interface Setup {
  almanac: Almanac
  places: PlaceFacts[]
}

const kept = new Map<string, { revision: number; setup: Setup }>()
const keptAtMost = 200

/**
 * A household's almanac and places, read again only when they have changed.
 * @param revision its setup's, as this very transaction sees it: under the household's lock, or in a snapshot begun after;
 * below nothing where nobody asked
 */
export async function setupOf(db: Client, householdId: string, revision: number): Promise<Setup> {
  const known = kept.get(householdId)
  if (known && known.revision === revision) return known.setup
  const setup = { almanac: await almanacOf(db, householdId), places: await placesOf(db, householdId) }
  if (revision < 0) return setup
  kept.delete(householdId)
  kept.set(householdId, { revision, setup })
  for (const old of kept.keys()) {
    if (kept.size <= keptAtMost) break
    kept.delete(old)
  }
  return setup
}
