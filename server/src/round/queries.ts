import type { JobKind } from '@vadose/core/round'
import type { Client } from '../database'

export interface OpenJob {
  id: number
  lotId: string | null
  placeId: string | null
  kind: JobKind
  dueOn: string
  why: string
}

export const openJobs = async (db: Client, householdId: string) =>
  (
    await db.query<OpenJob>(
      `select id, lot_id as "lotId", place_id as "placeId", kind, due_on as "dueOn", why
       from jobs where household_id = $1 and done_on is null and dropped_on is null order by due_on, id`,
      [householdId],
    )
  ).rows

/** Opens a job, or gives the open one its new day and reason. */
export const upsertJob = (
  db: Client,
  householdId: string,
  job: { lotId: string | null; placeId: string | null; kind: JobKind; dueOn: string; why: string },
) =>
  db.query(
    `insert into jobs (household_id, lot_id, place_id, kind, due_on, why) values ($1, $2, $3, $4, $5, $6)
     on conflict (household_id, coalesce(lot_id, place_id), kind) where done_on is null and dropped_on is null
     do update set due_on = excluded.due_on, why = excluded.why`,
    [householdId, job.lotId, job.placeId, job.kind, job.dueOn, job.why],
  )

export const dropJobs = (db: Client, householdId: string, ids: number[], on: string) =>
  db.query('update jobs set dropped_on = $3 where household_id = $1 and id = any ($2)', [householdId, ids, on])

export const finishJobs = (db: Client, householdId: string, lotOrPlaceId: string, kinds: JobKind[], on: string) =>
  db.query(
    `update jobs set done_on = $4 where household_id = $1 and coalesce(lot_id, place_id) = $2 and kind = any ($3)
       and done_on is null and dropped_on is null`,
    [householdId, lotOrPlaceId, kinds, on],
  )
