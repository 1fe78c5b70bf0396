import type { Client, Pool } from '../database'

export interface HouseholdRow {
  id: string
  name: string
  timeZone: string
  latitudeDeg: number
  altitudeM: number
  seasonStart: string
  demo: boolean
  practiceNow: Date | null
  revision: number
  plannedRevision: number
  plannedOn: string | null
  units: 'metric' | 'us'
  authorityName: string | null
  authorityUrl: string | null
}

const columns = `id, name, time_zone as "timeZone", latitude_deg as "latitudeDeg", altitude_m as "altitudeM",
  season_start as "seasonStart", demo, practice_now as "practiceNow", revision, planned_revision as "plannedRevision",
  planned_on as "plannedOn", units, authority_name as "authorityName", authority_url as "authorityUrl"`

const one = <T>(rows: T[]): T | undefined => rows[0]

export const allHouseholds = async (pool: Pool) =>
  (await pool.query<HouseholdRow>(`select ${columns} from households order by demo desc, created_at`)).rows

export const householdById = async (db: Pool | Client, id: string) =>
  one(
    (
      await db.query<HouseholdRow>({
        name: 'household-by-id',
        text: `select ${columns} from households where id = $1`,
        values: [id],
      })
    ).rows,
  )

export interface HouseholdDraft {
  id: string
  name: string
  timeZone: string
  latitudeDeg: number
  altitudeM: number
  seasonStart: string
  demo: boolean
  practiceNow: Date | null
}

export const addHousehold = (db: Client, h: HouseholdDraft) =>
  db.query(
    `insert into households (id, name, time_zone, latitude_deg, altitude_m, season_start, demo, practice_now)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [h.id, h.name, h.timeZone, h.latitudeDeg, h.altitudeM, h.seasonStart, h.demo, h.practiceNow],
  )

export const addPerson = (db: Client, householdId: string, name: string) =>
  db.query('insert into people (household_id, name) values ($1, $2)', [householdId, name])

/**
 * Locks the household until the transaction ends: writes of one household take turns, which keeps codes and
 * counts right and cannot deadlock. Foreign keys to the household are not held up.
 */
export const lockHousehold = async (db: Client, id: string) =>
  one(
    (
      await db.query<{ practiceNow: Date | null }>(
        'select practice_now as "practiceNow" from households where id = $1 for no key update',
        [id],
      )
    ).rows,
  )

export const setPracticeNow = (db: Client, id: string, now: Date) =>
  db.query('update households set practice_now = $2, revision = revision + 1 where id = $1', [id, now])

export const setUnits = (db: Client, id: string, units: string) =>
  db.query('update households set units = $2, revision = revision + 1 where id = $1', [id, units])

export const setAuthority = (db: Client, id: string, name: string | null, url: string | null) =>
  db.query('update households set authority_name = $2, authority_url = $3, revision = revision + 1 where id = $1', [
    id,
    name,
    url,
  ])

export const markPlanned = (db: Client, id: string, revision: number, on: string) =>
  db.query('update households set planned_revision = $2, planned_on = $3 where id = $1', [id, revision, on])

export const removeHousehold = (db: Client, id: string) => db.query('delete from households where id = $1', [id])

/** Weight in the house before a day, and its change day by day from then on, g. */
export async function stockByDay(db: Client, householdId: string, timeZone: string, from: string) {
  const { rows } = await db.query<{ on: string | null; weightG: number }>(
    `select case when (at at time zone $2)::date >= $3::date then (at at time zone $2)::date end as "on",
       sum(weight_g) as "weightG"
     from lot_events where household_id = $1 group by 1 order by 1 nulls first`,
    [householdId, timeZone, from],
  )
  return rows
}

/** Grams brought in, used, lost and dried off since an instant. */
export async function movedSince(db: Client, householdId: string, since: Date) {
  const { rows } = await db.query<{ kind: string; weightG: number }>(
    `select kind, sum(weight_g) as "weightG" from lot_events where household_id = $1 and at >= $2 group by kind`,
    [householdId, since],
  )
  return new Map(rows.map((row) => [row.kind, row.weightG]))
}

/** Keeps a request's number, or gives the answer it had the first time. */
export async function firstTime(db: Client, householdId: string, requestId: string) {
  const added = await db.query('insert into requests (household_id, id) values ($1, $2) on conflict do nothing', [
    householdId,
    requestId,
  ])
  if (added.rowCount === 1) return { first: true as const }
  const { rows } = await db.query<{ answer: unknown }>(
    'select answer from requests where household_id = $1 and id = $2',
    [householdId, requestId],
  )
  return { first: false as const, answer: rows[0]?.answer }
}

export const keepAnswer = (db: Client, householdId: string, requestId: string, answer: unknown) =>
  db.query('update requests set answer = $3 where household_id = $1 and id = $2', [
    householdId,
    requestId,
    JSON.stringify(answer),
  ])
