import type { LotRow } from '@vadose/contract/lots'
import { planned, type Client } from '../database'

export interface FullLotRow extends LotRow {
  id: string
}

const lotColumns = `id, code, crop, heap, fate, variety, bed, brought_on as "broughtOn", stage, place_id as "placeId",
  place, weight_g as "weightG", pieces, form, name, unit, size,
  source, guessed, null as aside`

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
      `select ${lotColumns} from lot_rows where household_id = $1 and stage = 'gone' and not never order by brought_on, code`,
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
  variety: string | null
  bed: string | null
  bedMarked: boolean
}

const lockedColumns = `id, code, crop, heap, fate, harvest_id as "harvestId", brought_on as "broughtOn", variety, bed,
  bed_marked as "bedMarked"`

/** Locks a lot until the transaction ends, so that two hands do not take the same head. */
export const lockLot = async (db: Client, householdId: string, code: string) =>
  (
    await planned<LockedLot>(
      db,
      `select ${lockedColumns}
       from lots where household_id = $1 and code = $2 for update`,
      [householdId, code],
    )
  ).rows[0]

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

/** Entries without a request that were written at the moment of one, on its lot and on those split off it or it is split from. */
export const writtenWith = async (db: Client, householdId: string, eventId: number) =>
  (
    await db.query<{ code: string; events: number[] }>(
      `select l.code, array_agg(e.id::integer order by e.id) as events
       from lot_events one
       join lots own on own.household_id = one.household_id and own.id = one.lot_id
       join lots l on l.household_id = one.household_id
         and (l.id = own.id or l.split_from = own.id or l.id = own.split_from or l.split_from = own.split_from)
       join lot_events e on e.household_id = one.household_id and e.lot_id = l.id and e.at = one.at
         and e.request_id is null
       where one.household_id = $1 and one.id = $2 group by l.code order by l.code`,
      [householdId, eventId],
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
      `insert into lots (household_id, code, crop, heap, fate, harvest_id, split_from, brought_on, variety, bed, bed_marked)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11) returning id`,
      [
        householdId,
        lot.code,
        lot.crop,
        lot.heap,
        lot.fate,
        lot.harvestId,
        lot.splitFrom,
        lot.broughtOn,
        lot.variety,
        lot.bed,
        lot.bedMarked,
      ],
    )
  ).rows[0]!.id

/** Codes of a harvest's lots, in the order in which lots are locked. */
export const codesOfHarvest = async (db: Client, householdId: string, harvestId: string): Promise<string[]> =>
  (
    await db.query<{ code: string }>(
      `select l.code from lots l join lot_rows r on r.household_id = l.household_id and r.id = l.id
       where l.household_id = $1 and l.harvest_id = $2 and not r.never order by l.code`,
      [householdId, harvestId],
    )
  ).rows.map((row) => row.code)

/** What else a lot's page says of it: whether it has a picture, and the codes of its harvest. */
export const besideLot = async (db: Client, householdId: string, lotId: string) =>
  (
    await planned<{ pictured: boolean; harvest: string[] }>(
      db,
      `select exists (select from lot_photos where household_id = $1 and lot_id = $2) as pictured,
         coalesce((select array_agg(r.code order by length(r.code), r.code) from lots one
           join lots l on l.household_id = one.household_id and (l.harvest_id = one.harvest_id or l.id = one.id)
           join lot_rows r on r.household_id = l.household_id and r.id = l.id
           where one.household_id = $1 and one.id = $2 and not r.never), '{}') as harvest`,
      [householdId, lotId],
    )
  ).rows[0]!

/** What the tag of a lot says from now on. */
export const setLabel = (db: Client, householdId: string, lot: LockedLot) =>
  db.query(
    `update lots set crop = $3, heap = $4, fate = $5, brought_on = $6, variety = $7, bed = $8, bed_marked = $9
     where household_id = $1 and id = $2`,
    [householdId, lot.id, lot.crop, lot.heap, lot.fate, lot.broughtOn, lot.variety, lot.bed, lot.bedMarked],
  )

/** A harvest says what its lots do. */
export const setHarvest = (
  db: Client,
  householdId: string,
  harvestId: string,
  { crop, variety, bed, broughtOn }: Pick<LockedLot, 'crop' | 'variety' | 'bed' | 'broughtOn'>,
) =>
  db.query(
    `update harvests set crop = $3, variety = $4, bed = $5, harvested_on = $6
     where household_id = $1 and id = $2`,
    [householdId, harvestId, crop, variety, bed, broughtOn],
  )
