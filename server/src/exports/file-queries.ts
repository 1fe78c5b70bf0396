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
         season_start as "seasonStart", units, json_build_object('name', authority_name, 'url', authority_url) as authority,
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
})

export const placeRows = (db: Client, id: string) =>
  rowsOf<Rows<'places'>[number]>(
    db,
    `select id, name, kind, walk, simulated, within, dark, retired_on as "retiredOn" from places where household_id = $1 order by walk, name`,
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

/** Rows of a file into a table: columns by name, as JSON has them. */
const fill = (db: Client, table: string, columns: string, householdId: string, rows: readonly unknown[]) =>
  db.query(
    `insert into ${table} (household_id, ${columns.replace(/ [a-z]+(\(\d+\))?(?=,|$)/g, '')})
     select $1, * from json_to_recordset($2) as given (${columns})`,
    [householdId, JSON.stringify(rows)],
  )

export const addPlaces = (db: Client, id: string, rows: HouseholdFile['places']) =>
  fill(
    db,
    'places',
    'id uuid, name text, kind text, walk integer, simulated boolean, within uuid, dark boolean, retired_on date',
    id,
    rows.map(({ retiredOn, ...rest }) => ({ ...rest, retired_on: retiredOn })),
  )

export const addHarvests = (db: Client, id: string, rows: HouseholdFile['harvests']) =>
  fill(
    db,
    'harvests',
    'id uuid, crop text, variety text, bed text, harvested_on date, total_g integer, sign_share real, bed_marked boolean, recorded_at timestamptz',
    id,
    rows.map((h) => ({
      ...h,
      harvested_on: h.harvestedOn,
      total_g: h.totalG,
      sign_share: h.signShare,
      bed_marked: h.bedMarked,
      recorded_at: h.recordedAt,
    })),
  )

export const addLots = (
  db: Client,
  id: string,
  rows: HouseholdFile['lots'],
  harvests: ReadonlyMap<string, HouseholdFile['harvests'][number]>,
) =>
  fill(
    db,
    'lots',
    'id uuid, code text, crop text, heap text, fate text, harvest_id uuid, split_from uuid, brought_on date, variety text, bed text, bed_marked boolean',
    id,
    rows.map((l) => ({
      ...l,
      ...labelOf(l, l.harvest === null ? undefined : harvests.get(l.harvest)),
      harvest_id: l.harvest,
      split_from: l.splitFrom,
      brought_on: l.broughtOn,
      picture: undefined,
    })),
  )

const labelOf = (
  { variety, bed, bedMarked }: HouseholdFile['lots'][number],
  harvest: HouseholdFile['harvests'][number] | undefined,
) => ({
  variety: variety === undefined ? (harvest?.variety ?? null) : variety,
  bed: bed === undefined ? (harvest?.bed ?? null) : bed,
  bed_marked: bedMarked ?? harvest?.bedMarked ?? false,
})

export const addBeds = (db: Client, id: string, rows: NonNullable<HouseholdFile['beds']>) =>
  fill(
    db,
    'bed_entries',
    'id uuid, on_day date, crop text, variety text, bed text, grows_in text, what text, value real, pieces integer, weight_g integer, struck boolean, recorded_at timestamptz',
    id,
    rows.map(({ on, growsIn, weightG, recordedAt, ...rest }) => ({
      ...rest,
      on_day: on,
      grows_in: growsIn,
      weight_g: weightG,
      recorded_at: recordedAt,
    })),
  )

export async function addCounts(db: Client, id: string, rows: NonNullable<HouseholdFile['counts']>): Promise<void> {
  await fill(
    db,
    'counts',
    'id uuid, begun_at timestamptz, finished_at timestamptz',
    id,
    rows.map(({ id: own, begunAt, finishedAt }) => ({ id: own, begun_at: begunAt, finished_at: finishedAt })),
  )
  await fill(
    db,
    'count_entries',
    'count_id uuid, lot_id uuid, expected_g integer, expected_pieces integer, there_g integer, there_pieces integer, typed text, counted_at timestamptz, cause text',
    id,
    rows.flatMap(({ id: own, lines }) =>
      lines.map((line) => ({
        count_id: own,
        lot_id: line.lot,
        expected_g: line.expectedG,
        expected_pieces: line.expectedPieces,
        there_g: line.thereG,
        there_pieces: line.therePieces,
        typed: line.typed,
        counted_at: line.countedAt,
        cause: line.cause,
      })),
    ),
  )
}

export const addPictures = async (db: Client, id: string, rows: HouseholdFile['lots']): Promise<void> => {
  for (const { id: lot, picture } of rows) {
    if (picture === null) continue
    await db.query(`insert into lot_photos (household_id, lot_id, jpeg) values ($1, $2, decode($3, 'base64'))`, [
      id,
      lot,
      picture,
    ])
  }
}

/** @returns the entry's id here */
export const addEvent = async (
  db: Client,
  id: string,
  e: HouseholdFile['events'][number],
  eventDetails: unknown,
  requestId: string | null,
): Promise<number> =>
  (
    await db.query<{ id: number }>(
      `insert into lot_events (household_id, lot_id, kind, at, recorded_at, weight_g, pieces, place_id, details, request_id)
       values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10) returning id`,
      [id, e.lot, e.kind, e.at, e.recordedAt, e.weightG, e.pieces, e.place, eventDetails, requestId],
    )
  ).rows[0]!.id

export const addImports = (db: Client, id: string, rows: HouseholdFile['imports']) =>
  fill(
    db,
    'reading_imports',
    'id uuid, place_id uuid, file_name text, given integer, added integer, first_at timestamptz, last_at timestamptz, made_at timestamptz, undone_at timestamptz',
    id,
    rows.map((i) => ({
      ...i,
      place_id: i.place,
      file_name: i.fileName,
      first_at: i.first,
      last_at: i.last,
      made_at: i.madeAt,
      undone_at: i.undoneAt,
    })),
  )

export const addMappings = (db: Client, id: string, rows: HouseholdFile['mappings']) =>
  fill(db, 'import_mappings', 'headings text, mapping jsonb', id, rows)

export const addSensors = async (
  db: Client,
  id: string,
  rows: HouseholdFile['sensors'],
  hashFor: (simulated: boolean) => Buffer | null,
): Promise<void> => {
  for (const s of rows) {
    await db.query(
      'insert into sensors (household_id, id, place_id, name, token_hash, last_at) values ($1, $2, $3, $4, $5, $6)',
      [id, s.id, s.place, s.name, hashFor(s.simulated), s.lastAt],
    )
  }
}

export const addAlmanac = async (db: Client, id: string, { numbers, choices, own }: HouseholdFile['almanac']) => {
  await fill(
    db,
    'crop_overrides',
    'crop text, path text, value jsonb, why text, set_at timestamptz',
    id,
    numbers.map((n) => ({ ...n, set_at: n.setAt })),
  )
  await fill(db, 'crop_choices', 'crop text, topic text, choice text', id, choices)
  await fill(db, 'own_crops', 'id text, data jsonb', id, own)
}

/** Settings that a household does not begin with. */
export const setRest = (db: Client, id: string, h: HouseholdFile['household']) =>
  db.query(
    `update households set units = $2, authority_name = $3, authority_url = $4, season_start = $5 where id = $1`,
    [id, h.units, h.authority.name, h.authority.url, h.seasonStart],
  )
