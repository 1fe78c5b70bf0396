import type { PlaceKind } from '@vadose/core/places'
import type { Client } from '../database'

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

export const setPlace = async (db: Client, householdId: string, id: string, name: string | null, kind: string | null) =>
  (
    await db.query(
      `update places set name = coalesce($3, name), kind = coalesce($4, kind) where household_id = $1 and id = $2`,
      [householdId, id, name, kind],
    )
  ).rowCount ?? 0

/** The new place's id. */
export const addPlace = async (db: Client, householdId: string, name: string, kind: PlaceKind, simulated: boolean) =>
  (
    await db.query<{ id: string }>(
      `insert into places (household_id, name, kind, simulated, walk)
       select $1, $2, $3, $4, coalesce(max(walk), 0) + 1 from places where household_id = $1
       returning id`,
      [householdId, name, kind, simulated],
    )
  ).rows[0]!.id
