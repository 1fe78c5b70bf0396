import type { Client } from '../database'

/** Every lot there ever was, as it stands. */
export const lotTable = async (db: Client, householdId: string) =>
  (
    await db.query(
      `select code, crop, heap, fate, variety, bed, brought_on, stage, form, name, unit, size, source, place,
         weight_g, pieces
       from lot_rows where household_id = $1 order by brought_on, code`,
      [householdId],
    )
  ).rows

/** Every event of the ledger, oldest first. */
export const ledgerTable = async (db: Client, householdId: string) =>
  (
    await db.query(
      `select to_char(e.at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at, l.code, l.crop, e.kind, e.weight_g, e.pieces,
         p.name as place, e.details::text as details
       from lot_events e
       join lots l on l.household_id = e.household_id and l.id = e.lot_id
       left join places p on p.household_id = e.household_id and p.id = e.place_id
       where e.household_id = $1 order by e.at, e.id`,
      [householdId],
    )
  ).rows

export const mostReadingRows = 200_000

/** Readings of one place between two instants, oldest first. */
export const readingTable = async (db: Client, householdId: string, placeId: string, from: Date) =>
  (
    await db.query(
      `select to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS"Z"') as at, temperature_c::numeric, relative_humidity_pct::numeric,
         rain_mm::numeric, source
       from readings where household_id = $1 and place_id = $2 and at >= $3 and not struck order by at limit ${mostReadingRows}`,
      [householdId, placeId, from],
    )
  ).rows

export const calendarKey = async (db: Client, householdId: string) =>
  (await db.query<{ key: string | null }>('select calendar_key as key from households where id = $1', [householdId]))
    .rows[0]?.key ?? null

export const setCalendarKey = (db: Client, householdId: string, key: string | null) =>
  db.query('update households set calendar_key = $2 where id = $1', [householdId, key])

/** Every line that was counted, with what the books said then. */
export const countTable = async (db: Client, householdId: string) =>
  (
    await db.query(
      `select n.begun_at as count_begun_at, c.counted_at, l.code, l.crop, c.expected_g, c.expected_pieces, c.there_g,
         c.there_pieces, c.typed, c.cause
       from count_entries c
       join counts n on n.household_id = c.household_id and n.id = c.count_id
       join lots l on l.household_id = c.household_id and l.id = c.lot_id
       where c.household_id = $1 order by n.begun_at, c.counted_at, l.code`,
      [householdId],
    )
  ).rows.map((row: Record<string, unknown>) => ({ ...row, ...isoOf(row, 'count_begun_at', 'counted_at') }))

export const bedTable = async (db: Client, householdId: string) =>
  (
    await db.query(
      `select on_day::text as "on", bed, grows_in, crop, variety, what, value, pieces, weight_g, struck
       from bed_entries where household_id = $1 order by on_day, recorded_at, id`,
      [householdId],
    )
  ).rows

const isoOf = (row: Record<string, unknown>, ...names: string[]) =>
  Object.fromEntries(names.map((name) => [name, (row[name] as Date).toISOString()]))
