import type { NewPlace } from '@vadose/contract/places'
import { dayMs } from '@vadose/core/households'
import type { Client } from '../database'
import type { HouseholdRow } from '../households'
import { senseUntil } from '../practice'
import { addSensor } from '../readings'
import { addPlace } from './queries'

/** a place of a practice household has been sensed for so long when it is added, days */
const sensedDays = 14

/** Adds a place; where the household practises, with its simulated sensor. @returns its id */
export async function writePlace(db: Client, household: HouseholdRow, place: NewPlace): Promise<string> {
  const { practiceNow } = household
  const id = await addPlace(db, household.id, place.name.trim(), place.kind, practiceNow !== null)
  if (!practiceNow) return id
  await addSensor(db, household.id, { name: place.name.trim(), placeId: id, tokenHash: null })
  await senseUntil(db, household, practiceNow.getTime() - sensedDays * dayMs, practiceNow.getTime(), id)
  return id
}
