import type { LotRow } from '@vadose/contract/lots'
import type { EventDraft } from '@vadose/core/lots'
import type { Client } from '../database'

export interface FullLotRow extends LotRow {
  id: string
}

const lotColumns = `id, code, crop, heap, fate, variety, bed, brought_on as "broughtOn", stage, place_id as "placeId",
  place, weight_g as "weightG", pieces, dried`

export const lotByCode = async (db: Client, householdId: string, code: string) =>
  (
    await db.query<FullLotRow>(`select ${lotColumns} from lot_rows where household_id = $1 and code = $2`, [
      householdId,
      code,
    ])
  ).rows[0]

/** Lots that nothing is left of. */
export const lotsGone = async (db: Client, householdId: string) =>
  (
    await db.query<FullLotRow>(
      `select ${lotColumns} from lot_rows where household_id = $1 and stage = 'gone' order by brought_on, code`,
      [householdId],
    )
  ).rows

export interface LockedLot {
  id: string
  code: string
  crop: string
  heap: string
  fate: string
  harvestId: string | null
  broughtOn: string
}

/** Locks a lot until the transaction ends, so that two hands do not take the same head. */
export const lockLot = async (db: Client, householdId: string, code: string) =>
  (
    await db.query<LockedLot>(
      `select id, code, crop, heap, fate, harvest_id as "harvestId", brought_on as "broughtOn"
       from lots where household_id = $1 and code = $2 for update`,
      [householdId, code],
    )
  ).rows[0]

export const appendEvent = (
  db: Client,
  householdId: string,
  lotId: string,
  at: Date,
  event: EventDraft,
  requestId: string | null,
) =>
  db.query(
    `insert into lot_events (household_id, lot_id, at, kind, weight_g, pieces, place_id, details, request_id)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9)`,
    [householdId, lotId, at, event.kind, event.weightG, event.pieces, event.placeId, event.details, requestId],
  )

/** The number of the request that wrote an entry, where it came with one. */
export const requestOf = async (db: Client, householdId: string, eventId: number): Promise<string | null> =>
  (
    await db.query<{ request: string | null }>(
      'select request_id as request from lot_events where household_id = $1 and id = $2',
      [householdId, eventId],
    )
  ).rows[0]?.request ?? null

/** The lots a request wrote on, with the numbers of its entries; in the order in which lots are locked. */
export const touchedBy = async (db: Client, householdId: string, requestId: string) =>
  (
    await db.query<{ code: string; events: number[] }>(
      `select l.code, array_agg(e.id::integer order by e.id) as events
       from lot_events e join lots l on l.household_id = e.household_id and l.id = e.lot_id
       where e.household_id = $1 and e.request_id = $2 group by l.code order by l.code`,
      [householdId, requestId],
    )
  ).rows

/** Codes of the household that begin like this, gone lots' too. */
export const codesLike = async (db: Client, householdId: string, stem: string): Promise<string[]> =>
  (
    await db.query<{ code: string }>(`select code from lots where household_id = $1 and starts_with(code, $2)`, [
      householdId,
      stem,
    ])
  ).rows.map((row) => row.code)

export const addLot = async (
  db: Client,
  householdId: string,
  lot: Omit<LockedLot, 'id'> & { splitFrom: string | null },
): Promise<string> =>
  (
    await db.query<{ id: string }>(
      `insert into lots (household_id, code, crop, heap, fate, harvest_id, split_from, brought_on)
       values ($1, $2, $3, $4, $5, $6, $7, $8) returning id`,
      [householdId, lot.code, lot.crop, lot.heap, lot.fate, lot.harvestId, lot.splitFrom, lot.broughtOn],
    )
  ).rows[0]!.id
