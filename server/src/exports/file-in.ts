import type { HouseholdFile } from '@vadose/contract/household-file'
import type { Client } from '../database'

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
    'id uuid, name text, kind text, walk integer, simulated boolean, within uuid, retired_on date, dark boolean, heated boolean, frost_safe boolean, mice boolean, storey text, litres real, holds_kg real',
    id,
    rows.map((p) => ({ ...p, retired_on: p.retiredOn, frost_safe: p.frostSafe, holds_kg: p.holdsKg })),
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

export const addAlmanac = async (
  db: Client,
  id: string,
  { numbers, choices, own, varieties }: HouseholdFile['almanac'],
) => {
  await fill(
    db,
    'crop_overrides',
    'crop text, path text, value jsonb, why text, set_at timestamptz',
    id,
    numbers.map((n) => ({ ...n, set_at: n.setAt })),
  )
  await fill(db, 'crop_choices', 'crop text, topic text, choice text', id, choices)
  await fill(db, 'own_crops', 'id text, data jsonb', id, own)
  await fill(db, 'crop_varieties', 'crop text, variety text, keeps text', id, varieties ?? [])
}

/** Settings that a household does not begin with. */
export const setRest = (db: Client, id: string, h: HouseholdFile['household']) =>
  db.query(
    `update households set units = $2, authority_name = $3, authority_url = $4, season_start = $5, language = $6,
       habits = $7, setup_revision = setup_revision + 1
     where id = $1`,
    [
      id,
      h.units,
      h.authority.name,
      h.authority.url,
      h.seasonStart,
      h.language ?? 'en-GB',
      JSON.stringify(h.habits ?? {}),
    ],
  )

export const addMuted = (db: Client, id: string, rows: NonNullable<HouseholdFile['muted']>) =>
  fill(
    db,
    'muted_alarms',
    'key text, muted_at timestamptz',
    id,
    rows.map(({ key, mutedAt }) => ({ key, muted_at: mutedAt })),
  )
