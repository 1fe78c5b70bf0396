import type { PlaceKind } from '@vadose/core/places'
import type { Client } from '../database'
import { addSensor } from '../readings'

export interface PlaceRow {
  id: string
  name: string
  kind: PlaceKind
  walk: number
  simulated: boolean
}

export const placesOf = async (db: Client, householdId: string) =>
  (
    await db.query<PlaceRow>(
      'select id, name, kind, walk, simulated from places where household_id = $1 order by walk, name',
      [householdId],
    )
  ).rows

export async function addPlace(db: Client, householdId: string, name: string, kind: PlaceKind, simulated: boolean) {
  const { rows } = await db.query<{ id: string }>(
    `insert into places (household_id, name, kind, simulated, walk)
     select $1, $2, $3, $4, coalesce(max(walk), 0) + 1 from places where household_id = $1
     returning id`,
    [householdId, name, kind, simulated],
  )
  const id = rows[0]!.id
  if (simulated) await addSensor(db, householdId, { name, placeId: id, tokenHash: null })
  return id
}
