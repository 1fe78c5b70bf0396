import type { Language } from '@vadose/words'
import { planned, type Client, type Pool } from '../database'
import type { RequestNumber } from './request-number'

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
  /** rises when its places, its almanac or its beds change */
  setupRevision: number
  /** rises with every reading */
  airRevision: number
  units: 'metric' | 'us'
  language: Language
  authorityName: string | null
  authorityUrl: string | null
  /** false while it is filled with what it begins with */
  whole: boolean
}

const columns = `id, address, name, time_zone as "timeZone", latitude_deg as "latitudeDeg", altitude_m as "altitudeM",
  season_start as "seasonStart", demo, practice_now as "practiceNow", revision, setup_revision as "setupRevision",
  air_revision as "airRevision", units, language,
  authority_name as "authorityName", authority_url as "authorityUrl", whole`

export const allHouseholds = async (db: Pool | Client) =>
  (await db.query<HouseholdRow>(`select ${columns} from households order by demo desc, created_at`)).rows

export const householdAt = async (db: Pool | Client, address: string) =>
  (await planned<HouseholdRow>(db, `select ${columns} from households where address = $1`, [address])).rows[0]

export const householdById = async (db: Pool | Client, id: string) =>
  (await planned<HouseholdRow>(db, `select ${columns} from households where id = $1`, [id])).rows[0]

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
  whole?: boolean
}

export const addHousehold = (db: Client, h: HouseholdDraft) =>
  db.query(
    `insert into households (id, address, name, time_zone, latitude_deg, altitude_m, season_start, demo, practice_now, whole, projected)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, true)`,
    [
      h.id,
      h.address,
      h.name,
      h.timeZone,
      h.latitudeDeg,
      h.altitudeM,
      h.seasonStart,
      h.demo,
      h.practiceNow,
      h.whole ?? true,
    ],
  )

/** New households take turns, so that no two take one address. */
export const lockAddresses = (db: Client) => db.query(`select pg_advisory_xact_lock(hashtext('household addresses'))`)

/**
 * Locks the household until the transaction ends, and reads it as it is then: writes of one household take turns, which
 * keeps codes and counts right and cannot deadlock. Foreign keys to the household are not held up.
 */
export const lockHousehold = async (db: Client, id: string) =>
  (await planned<HouseholdRow>(db, `select ${columns} from households where id = $1 for no key update`, [id])).rows[0]

/** How often each household has changed, its ledger and its air. */
export const revisionsOf = async (db: Pool | Client, ids: readonly string[]) =>
  (
    await db.query<Pick<HouseholdRow, 'id' | 'revision' | 'airRevision'>>(
      `select id, revision, air_revision as "airRevision" from households where id = any ($1)`,
      [ids],
    )
  ).rows

export const setPracticeNow = (db: Client, id: string, now: Date) =>
  db.query('update households set practice_now = $2, revision = revision + 1 where id = $1', [id, now])

export const setWhole = (db: Client, id: string) => db.query('update households set whole = true where id = $1', [id])

export const setName = (db: Client, id: string, name: string) =>
  db.query('update households set name = $2, revision = revision + 1 where id = $1', [id, name])

export const setLanguage = (db: Client, id: string, language: string) =>
  db.query('update households set language = $2, revision = revision + 1 where id = $1', [id, language])
export const setUnits = (db: Client, id: string, units: string) =>
  db.query('update households set units = $2, revision = revision + 1 where id = $1', [id, units])

export const setAuthority = (db: Client, id: string, name: string | null, url: string | null) =>
  db.query('update households set authority_name = $2, authority_url = $3, revision = revision + 1 where id = $1', [
    id,
    name,
    url,
  ])

export const removeHousehold = (db: Client, id: string) => db.query('delete from households where id = $1', [id])

/** Keeps the number of the request that removed a household: its own requests go with it. */
export const keepRemoval = (db: Client, householdId: string, address: string, { id, contentHash }: RequestNumber) =>
  db.query('insert into removed_households (household_id, request_id, address, content_hash) values ($1, $2, $3, $4)', [
    householdId,
    id,
    address,
    contentHash,
  ])

/** Whether a household of this address was removed by this very request. */
export const wasRemovedBy = async (db: Pool | Client, address: string, { id, contentHash }: RequestNumber) =>
  (
    await db.query<{ there: boolean }>(
      `select exists (
         select from removed_households where request_id = $1 and address = $2 and content_hash = $3
       ) as there`,
      [id, address, contentHash],
    )
  ).rows[0]!.there

/** What a request's number was used for and answered. */
export interface Answered {
  answer: unknown
  route: string | null
  contentHash: Buffer | null
}

/** What was answered to a number, if it has been seen before. */
export const answeredBefore = async (db: Client, householdId: string, requestId: string) =>
  (
    await planned<Answered>(
      db,
      `select answer, route, content_hash as "contentHash" from requests where household_id = $1 and id = $2`,
      [householdId, requestId],
    )
  ).rows[0]

export const keepAnswer = (
  db: Client,
  householdId: string,
  { id, route, contentHash }: RequestNumber,
  answer: unknown,
) =>
  planned(db, 'insert into requests (household_id, id, answer, route, content_hash) values ($1, $2, $3, $4, $5)', [
    householdId,
    id,
    JSON.stringify(answer ?? null),
    route,
    contentHash,
  ])

/**
 * Forgets what requests were answered so many days ago, by the clock that wrote them down; the newest stay however old
 * they seem, for a clock that was set wrong may make everything seem old.
 */
export const forgetAnswers = (db: Client, householdId: string, days: number, newest: number) =>
  db.query(
    `delete from requests where household_id = $1 and recorded_at < now() - make_interval(days => $2)
       and recorded_at < (select recorded_at from requests where household_id = $1 order by recorded_at desc offset $3 - 1 limit 1)`,
    [householdId, days, newest],
  )
