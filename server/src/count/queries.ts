import type { CountCause } from '@vadose/core/count'
import type { Client } from '../database'

export interface CountEntry {
  lotId: string
  code: string
  expectedG: number
  expectedPieces: number | null
  thereG: number | null
  therePieces: number | null
  typed: string
  at: Date
  cause: CountCause | null
}

/** The count that is under way. */
export const openCount = async (db: Client, householdId: string) =>
  (
    await db.query<{ id: string; begunAt: Date }>(
      'select id, begun_at as "begunAt" from counts where household_id = $1 and finished_at is null',
      [householdId],
    )
  ).rows[0]

export const beginCount = async (db: Client, householdId: string, at: Date): Promise<string> =>
  (
    await db.query<{ id: string }>('insert into counts (household_id, begun_at) values ($1, $2) returning id', [
      householdId,
      at,
    ])
  ).rows[0]!.id

export const endCount = (db: Client, householdId: string, id: string, at: Date) =>
  db.query('update counts set finished_at = $3 where household_id = $1 and id = $2', [householdId, id, at])

export const entriesOf = async (db: Client, householdId: string, countId: string) =>
  (
    await db.query<CountEntry>(
      `select c.lot_id as "lotId", l.code, c.expected_g as "expectedG", c.expected_pieces as "expectedPieces",
         c.there_g as "thereG", c.there_pieces as "therePieces", c.typed, c.counted_at as at, c.cause
       from count_entries c join lots l on l.household_id = c.household_id and l.id = c.lot_id
       where c.household_id = $1 and c.count_id = $2 order by c.counted_at, l.code`,
      [householdId, countId],
    )
  ).rows

export const keepEntry = (
  db: Client,
  householdId: string,
  countId: string,
  entry: Omit<CountEntry, 'code' | 'cause'>,
) =>
  db.query(
    `insert into count_entries
       (household_id, count_id, lot_id, expected_g, expected_pieces, there_g, there_pieces, typed, counted_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)
     on conflict (household_id, count_id, lot_id) do update set expected_g = excluded.expected_g,
       expected_pieces = excluded.expected_pieces, there_g = excluded.there_g, there_pieces = excluded.there_pieces,
       typed = excluded.typed, counted_at = excluded.counted_at`,
    [
      householdId,
      countId,
      entry.lotId,
      entry.expectedG,
      entry.expectedPieces,
      entry.thereG,
      entry.therePieces,
      entry.typed,
      entry.at,
    ],
  )

export const dropEntry = (db: Client, householdId: string, countId: string, lotId: string) =>
  db.query('delete from count_entries where household_id = $1 and count_id = $2 and lot_id = $3', [
    householdId,
    countId,
    lotId,
  ])

export const sayCause = (db: Client, householdId: string, countId: string, lotId: string, cause: CountCause) =>
  db.query('update count_entries set cause = $4 where household_id = $1 and count_id = $2 and lot_id = $3', [
    householdId,
    countId,
    lotId,
    cause,
  ])

/** Every finished count's lines, oldest first. */
export const finishedLines = async (db: Client, householdId: string) =>
  (
    await db.query<Omit<CountEntry, 'code' | 'typed' | 'lotId'> & { finishedAt: Date }>(
      `select n.finished_at as "finishedAt", c.expected_g as "expectedG", c.expected_pieces as "expectedPieces",
         c.there_g as "thereG", c.there_pieces as "therePieces", c.counted_at as at, c.cause
       from counts n join count_entries c on c.household_id = n.household_id and c.count_id = n.id
       where n.household_id = $1 and n.finished_at is not null order by n.finished_at, c.lot_id`,
      [householdId],
    )
  ).rows

/** Lots that stand on a shelf, with what the books say is there. */
export const countableCodes = async (db: Client, householdId: string) =>
  (
    await db.query<{ code: string; weightG: number; pieces: number | null }>(
      `select code, weight_g as "weightG", pieces from lot_rows
       where household_id = $1 and stage in ('stored', 'fresh') order by code`,
      [householdId],
    )
  ).rows
