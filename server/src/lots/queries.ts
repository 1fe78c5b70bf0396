import type { LotRow } from '@vadose/contract/lots'
import type { EventDetails, EventDraft, EventKind } from '@vadose/core/lots'
import type { Client } from '../database'

export interface FullLotRow extends LotRow {
  id: string
}

const lotColumns = `id, code, crop, heap, fate, variety, bed, brought_on as "broughtOn", stage, place_id as "placeId",
  place, coalesce(weight_g, 0) as "weightG", pieces, coalesce(dried, false) as dried`

export const lotsStillHere = async (db: Client, householdId: string) =>
  (
    await db.query<FullLotRow>(
      `select ${lotColumns} from lot_now where household_id = $1 and stage <> 'gone' order by brought_on, code`,
      [householdId],
    )
  ).rows

export const lotByCode = async (db: Client, householdId: string, code: string) =>
  (
    await db.query<FullLotRow>(`select ${lotColumns} from lot_now where household_id = $1 and code = $2`, [
      householdId,
      code,
    ])
  ).rows[0]

/** The list of lots as JSON text, put together where the rows are. */
export async function lotListJson(db: Client, householdId: string, gone: boolean): Promise<string> {
  const { rows } = await db.query<{ list: string }>({
    name: 'lot-list',
    text: `select coalesce(json_agg(json_build_object('code', code, 'crop', crop, 'heap', heap, 'fate', fate,
       'variety', variety, 'bed', bed, 'broughtOn', brought_on, 'stage', stage, 'placeId', place_id, 'place', place,
       'weightG', coalesce(weight_g, 0), 'pieces', pieces, 'dried', coalesce(dried, false)) order by brought_on, code), '[]')::text as list
     from lot_now where household_id = $1 and (stage <> 'gone') = not $2`,
    values: [householdId, gone],
  })
  return rows[0]!.list
}

/** Locks a lot until the transaction ends, so that two hands do not take the same head. */
export const lockLot = async (db: Client, householdId: string, code: string) =>
  (
    await db.query<{
      id: string
      crop: string
      heap: string
      fate: string
      harvestId: string | null
      broughtOn: string
    }>(
      `select id, crop, heap, fate, harvest_id as "harvestId", brought_on as "broughtOn"
       from lots where household_id = $1 and code = $2 for update`,
      [householdId, code],
    )
  ).rows[0]

export interface EventRow {
  id: number
  lotId: string
  kind: EventKind
  at: Date
  weightG: number
  pieces: number
  placeId: string | null
  details: EventDetails
}

const eventColumns = `id, lot_id as "lotId", kind, at, weight_g as "weightG", pieces, place_id as "placeId", details`

export const eventsOfLot = async (db: Client, householdId: string, lotId: string) =>
  (
    await db.query<EventRow>(
      `select ${eventColumns} from lot_events where household_id = $1 and lot_id = $2 order by id`,
      [householdId, lotId],
    )
  ).rows

/** Events of every lot that still holds something, oldest first. */
export const eventsOfLotsHere = async (db: Client, householdId: string, lotIds: string[]) =>
  (
    await db.query<EventRow>(
      `select ${eventColumns} from lot_events where household_id = $1 and lot_id = any ($2) order by id`,
      [householdId, lotIds],
    )
  ).rows

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

/** Codes of the household, gone lots' too. */
export const codesTaken = async (db: Client, householdId: string): Promise<string[]> =>
  (await db.query<{ code: string }>('select code from lots where household_id = $1', [householdId])).rows.map(
    (row) => row.code,
  )

export async function addLot(
  db: Client,
  householdId: string,
  lot: {
    code: string
    crop: string
    heap: string
    fate: string
    harvestId: string | null
    splitFrom: string | null
    broughtOn: string
  },
): Promise<string> {
  const { rows } = await db.query<{ id: string }>(
    `insert into lots (household_id, code, crop, heap, fate, harvest_id, split_from, brought_on)
     values ($1, $2, $3, $4, $5, $6, $7, $8) returning id`,
    [householdId, lot.code, lot.crop, lot.heap, lot.fate, lot.harvestId, lot.splitFrom, lot.broughtOn],
  )
  return rows[0]!.id
}

/** The lot's one picture; a new one takes the place of the old. */
export const keepPhoto = (db: Client, householdId: string, lotId: string, jpeg: Buffer) =>
  db.query(
    `insert into lot_photos (household_id, lot_id, jpeg) values ($1, $2, $3)
     on conflict (household_id, lot_id) do update set jpeg = excluded.jpeg, taken_at = now()`,
    [householdId, lotId, jpeg],
  )

export const photoOf = async (db: Client, householdId: string, code: string): Promise<Buffer | undefined> =>
  (
    await db.query<{ jpeg: Buffer }>(
      `select p.jpeg from lot_photos p join lots l on l.household_id = p.household_id and l.id = p.lot_id
       where l.household_id = $1 and l.code = $2`,
      [householdId, code],
    )
  ).rows[0]?.jpeg
