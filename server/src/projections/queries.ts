import type { Guessed, Ledger, LotEvent, LotHistory } from '@vadose/core/lots'
import type { BedMove } from '@vadose/core/beds'
import type { LotState } from '@vadose/core/forecast'
import { planned, type Client, type Pool } from '../database'
import { breather } from './breathe'

export interface EventOfLot extends LotEvent {
  id: number
  lotId: string
}

interface EventColumns extends Omit<EventOfLot, 'atMs'> {
  at: Date
}

const eventColumns = `e.id, e.lot_id as "lotId", e.kind, e.at, e.weight_g as "weightG", e.pieces, e.place_id as "placeId",
  e.details, e.request_id is not null as acted`
const asEvent = ({ id, lotId, kind, at, weightG, pieces, placeId, details, acted }: EventColumns): EventOfLot => ({
  id,
  lotId,
  kind,
  atMs: at.getTime(),
  weightG,
  pieces,
  placeId,
  details,
  acted,
})

/** Ledgers by lot, those of what they were taken from too. */
export type Ledgers = ReadonlyMap<string, Ledger & { readonly events: readonly EventOfLot[] }>

/** Ledgers of some lots and of those they were taken from, back to what was brought in; events oldest first. */
export const ledgersOf = (db: Client, householdId: string, lotIds: readonly string[]) =>
  ledgersFrom(db, householdId, 'id = any ($2)', lotIds)

/** The same of the lot that a code names. */
export const ledgersOfCode = (db: Client, householdId: string, code: string) =>
  ledgersFrom(db, householdId, 'code = $2', code)

async function ledgersFrom(
  db: Client,
  householdId: string,
  which: 'id = any ($2)' | 'code = $2',
  named: string | readonly string[],
) {
  const { rows } = await planned<EventColumns & { ofLot: string; splitFrom: string | null }>(
    db,
    `with recursive line as (
       select id, split_from from lots where household_id = $1 and ${which}
       union
       select l.id, l.split_from from lots l join line on l.id = line.split_from where l.household_id = $1
     )
     select line.id as "ofLot", line.split_from as "splitFrom", ${eventColumns}
     from line left join lateral (
       -- line by line by its index: a line has few lots, which the planner cannot know, and it would read the whole ledger
       select * from lot_events where household_id = $1 and lot_id = line.id offset 0
     ) e on true
     order by e.id`,
    [householdId, named],
  )
  const ledgers = new Map<string, Ledger & { events: EventOfLot[] }>()
  for (const row of rows) {
    let ledger = ledgers.get(row.ofLot)
    if (!ledger) ledgers.set(row.ofLot, (ledger = { splitFrom: row.splitFrom, events: [] }))
    if (row.id !== null) ledger.events.push(asEvent(row))
  }
  return ledgers
}

/** Events of some lots, oldest first. */
export const eventsOfLots = async (db: Client, householdId: string, lotIds: readonly string[]) =>
  (
    await db.query<EventColumns>(
      `select ${eventColumns} from lot_events e where household_id = $1 and lot_id = any ($2) order by id`,
      [householdId, lotIds],
    )
  ).rows.map(asEvent)

/** Some lots and all that was taken from them, down to the last part. */
export const descendantsOf = async (db: Client, householdId: string, lotIds: readonly string[]) =>
  (
    await db.query<{ id: string }>(
      `with recursive line as (
         select id from lots where household_id = $1 and id = any ($2)
         union
         select l.id from lots l join line on l.split_from = line.id where l.household_id = $1
       )
       select id from line`,
      [householdId, lotIds],
    )
  ).rows.map((row) => row.id)

/** Lots with entries after a numbered one, the last of them, and whether the lot is told otherwise than it was. */
export const lotsTouchedSince = async (db: Client, householdId: string, eventId: number) =>
  (
    await planned<{ identity: IdentityRow; retold: boolean; last: number }>(
      db,
      `select json_build_object('id', l.id, 'code', l.code, 'crop', l.crop, 'heap', l.heap, 'fate', l.fate,
           'variety', l.variety, 'bed', l.bed, 'broughtOn', l.brought_on) as identity, touched.retold, touched.last
       from (
         select lot_id, bool_or(kind in ('undone', 'restated')) as retold, max(id) as last
         from lot_events where household_id = $1 and id > $2 group by lot_id
       ) touched join lots l on l.household_id = $1 and l.id = touched.lot_id`,
      [householdId, eventId],
    )
  ).rows

/** Numbers for entries to come, rising; asked for under the household's lock, so that its entries are numbered in their order. */
export const entryNumbers = async (db: Client, count: number): Promise<number[]> =>
  (
    await planned<{ id: number }>(
      db,
      `select nextval('lot_events_id_seq') as id from generate_series(1, $1::integer)`,
      [count],
    )
  ).rows.map(({ id }) => id)

/** Appends entries to a lot's ledger, under the numbers that they have. */
export const appendEvents = (
  db: Client,
  householdId: string,
  lotId: string,
  events: readonly EventOfLot[],
  requestId: string | null,
) =>
  planned(
    db,
    `insert into lot_events (household_id, id, lot_id, at, kind, weight_g, pieces, place_id, details, request_id)
     overriding system value
     select $1::uuid, one.id, $2::uuid, one.at, one.kind, one.weight_g, one.pieces, one.place_id, one.details, $3::uuid
     from rows from (
       unnest($4::bigint[]), unnest($5::timestamptz[]), unnest($6::text[]), unnest($7::integer[]), unnest($8::integer[]),
       unnest($9::uuid[]), unnest($10::jsonb[])
     ) as one (id, at, kind, weight_g, pieces, place_id, details)`,
    [
      householdId,
      lotId,
      requestId,
      events.map(({ id }) => id),
      events.map(({ atMs }) => new Date(atMs)),
      events.map(({ kind }) => kind),
      events.map(({ weightG }) => weightG),
      events.map(({ pieces }) => pieces),
      events.map(({ placeId }) => placeId),
      events.map(({ details }) => JSON.stringify(details)),
    ],
  )

export const lastEventId = async (db: Client, householdId: string) =>
  (
    await db.query<{ id: number }>('select coalesce(max(id), 0) as id from lot_events where household_id = $1', [
      householdId,
    ])
  ).rows[0]!.id

export interface IdentityRow {
  id: string
  code: string
  crop: string
  heap: string
  fate: string
  variety: string | null
  bed: string | null
  broughtOn: string
}

const identityColumns = `l.id, l.code, l.crop, l.heap, l.fate, l.variety, l.bed, l.brought_on as "broughtOn"`

export const identitiesOf = async (db: Client, householdId: string, lotIds: readonly string[]) =>
  (
    await db.query<IdentityRow>(
      `select ${identityColumns} from lots l
       where l.household_id = $1 and l.id = any ($2)`,
      [householdId, lotIds],
    )
  ).rows

/** Ids of the lots that still hold something. */
export const lotsHere = async (db: Client, householdId: string) =>
  (
    await db.query<{ id: string }>(`select lot_id as id from lot_now where household_id = $1 and stage <> 'gone'`, [
      householdId,
    ])
  ).rows.map((row) => row.id)

export const allLots = async (db: Client, householdId: string) =>
  (await db.query<{ id: string; crop: string }>('select id, crop from lots where household_id = $1', [householdId]))
    .rows

export const keepLotNow = (
  db: Client,
  householdId: string,
  lotId: string,
  now: Pick<LotState, 'stage' | 'weightG' | 'pieces' | 'placeId' | 'form'> &
    Pick<LotHistory, 'unit' | 'size' | 'source'> & { name: string | null; never: boolean; guessed: Guessed },
) =>
  planned(
    db,
    `insert into lot_now (household_id, lot_id, stage, weight_g, pieces, place_id, form, never, guessed_weight, guessed_pieces,
       name, unit, size, source)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14)
     on conflict (household_id, lot_id) do update set stage = excluded.stage, weight_g = excluded.weight_g,
       pieces = excluded.pieces, place_id = excluded.place_id, form = excluded.form,
       never = excluded.never, guessed_weight = excluded.guessed_weight, guessed_pieces = excluded.guessed_pieces,
       name = excluded.name, unit = excluded.unit, size = excluded.size, source = excluded.source`,
    [
      householdId,
      lotId,
      now.stage,
      now.weightG,
      now.pieces,
      now.placeId,
      now.form,
      now.never,
      now.guessed.weight,
      now.guessed.pieces,
      now.name,
      now.unit,
      now.size,
      now.source,
    ],
  )

/** A row of the ledger for sums by day. */
/** What came and went on one day. */
export interface Move extends BedMove {
  id: number
  /** of its own, where it is not simply its crop */
  name: string | null
  /** why it was lost */
  cause: string | null
}

export interface MoveRow extends LotEvent {
  id: number
  crop: string
  code: string
  variety: string | null
  bed: string | null
  /** of its own, where it is not simply its crop */
  name: string | null
  /** worked out once */
  told?: { of: MoveRow; zone: string; move: Move }
}

/** Whether an entry changed a weight, or what others say. */
export const tellsOfMoves = ({ kind, weightG }: Pick<LotEvent, 'kind' | 'weightG'>): boolean =>
  weightG !== 0 || ['undone', 'restated', 'relabelled'].includes(kind)

const pageOfMoves = async (db: Client, householdId: string, since: Date, afterId: number): Promise<MoveRow[]> =>
  (
    await planned<
      Pick<MoveRow, 'id' | 'kind' | 'crop' | 'code' | 'variety' | 'bed' | 'name' | 'weightG' | 'pieces' | 'details'> & {
        at: Date
      }
    >(
      db,
      `select e.id, e.at, e.kind, l.crop, l.code, l.variety, l.bed, n.name, e.weight_g as "weightG", e.pieces,
         case when e.kind in ('undone', 'restated', 'planted', 'lost') then e.details else '{}' end as details
       from lot_events e join lots l on l.household_id = e.household_id and l.id = e.lot_id
       left join lot_now n on n.household_id = l.household_id and n.lot_id = l.id
       where e.household_id = $1 and e.at >= $2 and e.id > $3
         and (e.weight_g <> 0 or e.kind in ('undone', 'restated', 'relabelled')) order by e.id limit ${movesAtOnce}`,
      [householdId, since, afterId],
    )
  ).rows.map(({ id, at, kind, crop, code, variety, bed, name, weightG, pieces, details }) => {
    return { id, atMs: at.getTime(), kind, crop, code, variety, bed, name, weightG, pieces, details, placeId: null }
  })

/** so many rows are read at a stretch */
const movesAtOnce = 250

/** Those entries since an instant; ten years of them a page at a time, so that others come in between. */
export async function movesSince(db: Client, householdId: string, since: Date, afterId = 0): Promise<MoveRow[]> {
  const breathe = breather()
  const moves: MoveRow[] = []
  for (;;) {
    const page = await pageOfMoves(db, householdId, since, moves.at(-1)?.id ?? afterId)
    for (const move of page) moves.push(move)
    if (page.length < movesAtOnce) return moves
    await breathe()
  }
}

export const unprojectedHouseholds = async (pool: Pool) =>
  (await pool.query<{ id: string }>('select id from households where not projected')).rows.map((row) => row.id)

export const markProjected = (db: Client, householdId: string) =>
  db.query('update households set projected = true, revision = revision + 1 where id = $1', [householdId])
