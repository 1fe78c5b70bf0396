import type { AlmanacChanges, CropData } from '@vadose/core/almanac'
import type { Client } from '../database'

/** What a household has changed in the almanac. */
export const changesOf = async (db: Client, householdId: string) =>
  (
    await db.query<AlmanacChanges>(
      `select
         (select coalesce(json_agg(json_build_object('crop', crop, 'path', path, 'value', value, 'why', why) order by crop, path), '[]')
          from crop_overrides where household_id = $1) as overrides,
         (select coalesce(json_agg(json_build_object('crop', crop, 'topic', topic, 'choice', choice) order by crop, topic), '[]')
          from crop_choices where household_id = $1) as choices,
         (select coalesce(json_agg(data order by id), '[]') from own_crops where household_id = $1) as own,
         (select coalesce(json_agg(json_build_object('crop', crop, 'variety', variety, 'keeps', keeps) order by crop, variety), '[]')
          from crop_varieties where household_id = $1) as varieties,
         (select coalesce((select habits from households where id = $1), '{}')) as habits`,
      [householdId],
    )
  ).rows[0]!

export const ownCropsOf = async (db: Client, householdId: string) =>
  (
    await db.query<{ data: CropData }>('select data from own_crops where household_id = $1 order by id', [householdId])
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

/** Habits are part of what a household is set up with; `null` puts the usual one back. */
export const setHabits = (db: Client, id: string, habits: Record<string, number | null>) =>
  db.query(
    `update households set habits = jsonb_strip_nulls(habits || $2::jsonb), revision = revision + 1,
       setup_revision = setup_revision + 1
     where id = $1`,
    [id, JSON.stringify(habits)],
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

/** Varieties of a crop the household has had, as they were typed, the newest spelling of each; most lots first. */
export const varietiesOf = async (db: Client, householdId: string, crop: string) =>
  (
    await db.query<{ variety: string }>(
      `select (array_agg(variety order by brought_on desc))[1] as variety from lots
       where household_id = $1 and crop = $2 and variety is not null
       group by lower(trim(variety)) order by count(*) desc, 1 limit 40`,
      [householdId, crop],
    )
  ).rows.map((row) => row.variety)

export const sayVariety = (db: Client, householdId: string, crop: string, variety: string, keeps: string) =>
  db.query(
    `insert into crop_varieties (household_id, crop, variety, keeps) values ($1, $2, $3, $4)
     on conflict (household_id, crop, variety) do update set keeps = excluded.keeps`,
    [householdId, crop, variety, keeps],
  )

export const unsayVariety = (db: Client, householdId: string, crop: string, variety: string) =>
  db.query('delete from crop_varieties where household_id = $1 and crop = $2 and variety = $3', [
    householdId,
    crop,
    variety,
  ])
