import type { Client, Pool } from '../database'

export interface HouseholdRow {
  id: string
  /** its name in addresses */
  address: string
  name: string
  timeZone: string
  latitudeDeg: number
  altitudeM: number
  seasonStart: string
  demo: boolean
  practiceNow: Date | null
  /** rises with every entry, place and setting */
  revision: number
  /** rises with every reading */
  airRevision: number
  units: 'metric' | 'us'
  authorityName: string | null
  authorityUrl: string | null
}

const columns = `id, address, name, time_zone as "timeZone", latitude_deg as "latitudeDeg", altitude_m as "altitudeM",
  season_start as "seasonStart", demo, practice_now as "practiceNow", revision, air_revision as "airRevision", units,
  authority_name as "authorityName", authority_url as "authorityUrl"`

export const allHouseholds = async (db: Pool | Client) =>
  (await db.query<HouseholdRow>(`select ${columns} from households order by demo desc, created_at`)).rows

export const householdAt = async (db: Pool | Client, address: string) =>
  (await db.query<HouseholdRow>(`select ${columns} from households where address = $1`, [address])).rows[0]

export const householdById = async (db: Pool | Client, id: string) =>
  (await db.query<HouseholdRow>(`select ${columns} from households where id = $1`, [id])).rows[0]

export interface HouseholdDraft {
  id: string
  address: string
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
    `insert into households (id, address, name, time_zone, latitude_deg, altitude_m, season_start, demo, practice_now, projected)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, true)`,
    [h.id, h.address, h.name, h.timeZone, h.latitudeDeg, h.altitudeM, h.seasonStart, h.demo, h.practiceNow],
  )

/** New households take turns, so that no two take one address. */
export const lockAddresses = (db: Client) => db.query(`select pg_advisory_xact_lock(hashtext('household addresses'))`)

/**
 * Locks the household until the transaction ends, and reads it as it is then: writes of one household take turns, which
 * keeps codes and counts right and cannot deadlock. Foreign keys to the household are not held up.
 */
export const lockHousehold = async (db: Client, id: string) =>
  (await db.query<HouseholdRow>(`select ${columns} from households where id = $1 for no key update`, [id])).rows[0]

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

export const removeHousehold = (db: Client, id: string) => db.query('delete from households where id = $1', [id])

/** What a request was answered, if it has been seen before. */
export const answeredBefore = async (db: Client, householdId: string, requestId: string) =>
  (
    await db.query<{ answer: unknown }>('select answer from requests where household_id = $1 and id = $2', [
      householdId,
      requestId,
    ])
  ).rows[0]

export const keepAnswer = (db: Client, householdId: string, requestId: string, answer: unknown) =>
  db.query('insert into requests (household_id, id, answer) values ($1, $2, $3)', [
    householdId,
    requestId,
    JSON.stringify(answer),
  ])

/** Forgets what requests before an instant were answered. */
export const forgetAnswers = (db: Client, householdId: string, before: Date) =>
  db.query('delete from requests where household_id = $1 and recorded_at < $2', [householdId, before])
