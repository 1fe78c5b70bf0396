import type { HouseholdFile } from '@vadose/contract/household-file'
import type { Client } from '../database'

type Rows<K extends keyof HouseholdFile> = HouseholdFile[K] extends (infer Row)[] ? Row[] : never
/** An instant as the file has it. */
const utc = (column: string) => `to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.US"Z"')`

const rowsOf = async <T>(db: Client, sql: string, householdId: string): Promise<T[]> =>
  (await db.query(sql, [householdId])).rows as T[]

export const householdHead = async (db: Client, id: string) =>
  (
    await rowsOf<HouseholdFile['household']>(
      db,
      `select name, time_zone as "timeZone", latitude_deg as "latitudeDeg", altitude_m as "altitudeM",
         season_start as "seasonStart", units, language, habits, json_build_object('name', authority_name, 'url', authority_url) as authority,
         ${utc('practice_now')} as "practiceNow"
       from households where id = $1`,
      id,
    )
  )[0]!

export const almanacRows = async (db: Client, id: string): Promise<HouseholdFile['almanac']> => ({
  numbers: await rowsOf(
    db,
    `select crop, path, value, why, ${utc('set_at')} as "setAt" from crop_overrides where household_id = $1 order by crop, path`,
    id,
  ),
  choices: await rowsOf(
    db,
    'select crop, topic, choice from crop_choices where household_id = $1 order by crop, topic',
    id,
  ),
  own: await rowsOf(db, 'select id, data from own_crops where household_id = $1 order by id', id),
  varieties: await rowsOf(
    db,
    'select crop, variety, keeps from crop_varieties where household_id = $1 order by crop, variety',
    id,
  ),
})

export const placeRows = (db: Client, id: string) =>
  rowsOf<Rows<'places'>[number]>(
    db,
    `select id, name, kind, walk, simulated, within, retired_on as "retiredOn", dark, heated, frost_safe as "frostSafe",
       mice, storey, litres, holds_kg as "holdsKg"
     from places where household_id = $1 order by walk, name`,
    id,
  )

export const harvestRows = (db: Client, id: string) =>
  rowsOf<Rows<'harvests'>[number]>(
    db,
    `select id, crop, variety, bed, harvested_on as "harvestedOn", total_g as "totalG", sign_share as "signShare",
       bed_marked as "bedMarked", ${utc('recorded_at')} as "recordedAt"
     from harvests where household_id = $1 order by recorded_at, id`,
    id,
  )

export const lotRows = (db: Client, id: string) =>
  rowsOf<Rows<'lots'>[number]>(
    db,
    `select l.id, l.code, l.crop, l.heap, l.fate, l.harvest_id as harvest, l.split_from as "splitFrom",
       l.brought_on as "broughtOn", l.variety, l.bed, l.bed_marked as "bedMarked", translate(encode(p.jpeg, 'base64'), E'\n', '') as picture
     from lots l left join lot_photos p on p.household_id = l.household_id and p.lot_id = l.id
     where l.household_id = $1 order by l.code`,
    id,
  )

export const eventRows = (db: Client, id: string) =>
  rowsOf<Omit<Rows<'events'>[number], 'details'> & { details: Record<string, unknown>; id: number }>(
    db,
    `select n, id, lot_id as lot, kind, ${utc('at')} as at, ${utc('recorded_at')} as "recordedAt", weight_g as "weightG",
       pieces, place_id as place, case when request_id is not null then min(n) over (partition by request_id) end as act,
       details
     from (select row_number() over (order by id)::int as n, * from lot_events where household_id = $1) numbered
     order by id`,
    id,
  )

export const bedRows = (db: Client, id: string) =>
  rowsOf<NonNullable<HouseholdFile['beds']>[number]>(
    db,
    `select id, on_day as "on", crop, variety, bed, grows_in as "growsIn", what, value, pieces, weight_g as "weightG", struck,
       ${utc('recorded_at')} as "recordedAt"
     from bed_entries where household_id = $1 order by recorded_at, id`,
    id,
  )

export const countRows = (db: Client, id: string) =>
  rowsOf<NonNullable<HouseholdFile['counts']>[number]>(
    db,
    `select n.id, ${utc('n.begun_at')} as "begunAt", ${utc('n.finished_at')} as "finishedAt",
       coalesce((
         select json_agg(json_build_object('lot', c.lot_id, 'expectedG', c.expected_g, 'expectedPieces', c.expected_pieces,
           'thereG', c.there_g, 'therePieces', c.there_pieces, 'typed', c.typed,
           'countedAt', ${utc('c.counted_at')}, 'cause', c.cause) order by c.counted_at, c.lot_id)
         from count_entries c where c.household_id = n.household_id and c.count_id = n.id
       ), '[]') as lines
     from counts n where n.household_id = $1 order by n.begun_at, n.id`,
    id,
  )

export const importRows = (db: Client, id: string) =>
  rowsOf<Rows<'imports'>[number]>(
    db,
    `select id, place_id as place, file_name as "fileName", given, added, ${utc('first_at')} as first,
       ${utc('last_at')} as last, ${utc('made_at')} as "madeAt", ${utc('undone_at')} as "undoneAt"
     from reading_imports where household_id = $1 order by made_at, id`,
    id,
  )

export const mappingRows = (db: Client, id: string) =>
  rowsOf<Rows<'mappings'>[number]>(
    db,
    'select headings, mapping from import_mappings where household_id = $1 order by headings',
    id,
  )

export const sensorRows = (db: Client, id: string) =>
  rowsOf<Rows<'sensors'>[number]>(
    db,
    `select id, place_id as place, name, token_hash is null as simulated, ${utc('last_at')} as "lastAt"
     from sensors where household_id = $1 order by name`,
    id,
  )

export const readingRows = (db: Client, id: string) =>
  rowsOf<Rows<'readings'>[number]>(
    db,
    `select place_id as place, source, import_id as import, struck, json_agg(extract(epoch from at)::bigint order by at) as at,
       json_agg(temperature_c order by at) as "temperatureC",
       json_agg(relative_humidity_pct order by at) as "relativeHumidityPct",
       case when count(rain_mm) > 0 then json_agg(rain_mm order by at) end as "rainMm"
     from readings where household_id = $1 group by place_id, source, import_id, struck
     order by place_id, source, import_id, struck`,
    id,
  )

export const mutedRows = (db: Client, id: string) =>
  rowsOf<NonNullable<HouseholdFile['muted']>[number]>(
    db,
    `select key, ${utc('muted_at')} as "mutedAt" from muted_alarms where household_id = $1 order by key`,
    id,
  )
