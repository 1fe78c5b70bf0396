import type { AlmanacChanges, CropData } from '@vadose/core/almanac'
import type { Client } from '../database'

export const overridesOf = async (db: Client, householdId: string) =>
  (
    await db.query<AlmanacChanges['overrides'][number]>({
      name: 'overrides-of',
      text: 'select crop, path, value, why from crop_overrides where household_id = $1 order by crop, path',
      values: [householdId],
    })
  ).rows

export const choicesOf = async (db: Client, householdId: string) =>
  (
    await db.query<AlmanacChanges['choices'][number]>({
      name: 'choices-of',
      text: 'select crop, topic, choice from crop_choices where household_id = $1 order by crop, topic',
      values: [householdId],
    })
  ).rows

export const ownCropsOf = async (db: Client, householdId: string) =>
  (
    await db.query<{ data: CropData }>({
      name: 'own-crops-of',
      text: 'select data from own_crops where household_id = $1 order by id',
      values: [householdId],
    })
  ).rows.map((row) => row.data)

export const setOverride = (
  db: Client,
  householdId: string,
  o: { crop: string; path: string; value: number | number[]; why: string },
) =>
  db.query(
    `insert into crop_overrides (household_id, crop, path, value, why) values ($1, $2, $3, $4, $5)
     on conflict (household_id, crop, path) do update set value = excluded.value, why = excluded.why, set_at = now()`,
    [householdId, o.crop, o.path, JSON.stringify(o.value), o.why],
  )

export const clearOverride = (db: Client, householdId: string, crop: string, path: string) =>
  db.query('delete from crop_overrides where household_id = $1 and crop = $2 and path = $3', [householdId, crop, path])

export const setChoice = (db: Client, householdId: string, crop: string, topic: string, choice: string) =>
  db.query(
    `insert into crop_choices (household_id, crop, topic, choice) values ($1, $2, $3, $4)
     on conflict (household_id, crop, topic) do update set choice = excluded.choice`,
    [householdId, crop, topic, choice],
  )

export const addOwnCrop = (db: Client, householdId: string, data: CropData) =>
  db.query('insert into own_crops (household_id, id, data) values ($1, $2, $3)', [
    householdId,
    data.id,
    JSON.stringify(data),
  ])

/** Lots and harvests of a crop: one that is in use stays in the almanac. */
export const cropInUse = async (db: Client, householdId: string, crop: string) =>
  (
    await db.query<{ used: boolean }>(
      `select exists (select from lots where household_id = $1 and crop = $2)
         or exists (select from harvests where household_id = $1 and crop = $2) as used`,
      [householdId, crop],
    )
  ).rows[0]!.used

export const removeOwnCrop = (db: Client, householdId: string, crop: string) =>
  db.query('delete from own_crops where household_id = $1 and id = $2', [householdId, crop])
