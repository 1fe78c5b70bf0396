import { almanacWith, unknownCrop, type Almanac, type AlmanacChanges, type Crop } from '@vadose/core/almanac'
import type { Client } from '../database'
import { choicesOf, overridesOf, ownCropsOf } from './queries'

// an almanac is the same as long as its changes are: the last few are kept, with the tables worked out on them
const kept = new Map<string, Almanac>()
const keptAtMost = 24

export async function changesOf(db: Client, householdId: string): Promise<AlmanacChanges> {
  return {
    overrides: await overridesOf(db, householdId),
    choices: await choicesOf(db, householdId),
    own: await ownCropsOf(db, householdId),
  }
}

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

/**
 * A crop of the household's almanac.
 * @throws Refusal `unknown-crop`
 */
export function cropIn(almanac: Almanac, id: string): Crop {
  const crop = almanac.byId.get(id)
  if (!crop) throw unknownCrop(id, almanac.crops)
  return crop
}
