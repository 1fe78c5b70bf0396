import type { BedEntry } from '@vadose/core/beds'
import type { Client } from '../database'

/** What was written down at the beds since a day and not struck out, oldest first. */
export const bedEntriesSince = async (db: Client, householdId: string, since: string) =>
  (
    await db.query<BedEntry>(
      `select id, on_day as "on", crop, variety, bed, grows_in as "growsIn", what, value, pieces, weight_g as "weightG"
       from bed_entries where household_id = $1 and on_day >= $2 and not struck order by on_day, recorded_at`,
      [householdId, since],
    )
  ).rows

/** The new entry's id. */
export const addBedEntry = async (db: Client, householdId: string, e: Omit<BedEntry, 'id'>) =>
  (
    await db.query<{ id: string }>(
      `insert into bed_entries (household_id, on_day, crop, variety, bed, grows_in, what, value, pieces, weight_g)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) returning id`,
      [householdId, e.on, e.crop, e.variety, e.bed, e.growsIn, e.what, e.value, e.pieces, e.weightG],
    )
  ).rows[0]!.id

/** How many were struck out, or taken back: one, or none where there is no such entry. */
export const strikeBedEntry = async (db: Client, householdId: string, id: string, struck: boolean) =>
  (await db.query('update bed_entries set struck = $3 where household_id = $1 and id = $2', [householdId, id, struck]))
    .rowCount ?? 0
