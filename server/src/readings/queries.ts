import type { KnownMapping, ReadingImportView, SensorView } from '@vadose/contract/readings'
import type { Client, Pool } from '../database'

export type ReadingSource = 'hand' | 'sensor' | 'import' | 'simulated' | 'forecast'

/** Readings of one place, columns of equal length. */
export interface PlaceReadings {
  placeId: string
  /** seconds since 1970 UTC */
  at: readonly number[]
  temperatureC: readonly number[]
  relativeHumidityPct: readonly number[]
  rainMm?: readonly (number | null)[] | null | undefined
}

/** Makes the months that readings between two instants are kept in; outside any household's transaction. */
export const makeMonths = (pool: Pool, first: Date, last: Date) =>
  pool.query('select ensure_readings_months($1, $2)', [first, last])

/** Whether a month is missing that readings between two instants are kept in. */
export const monthsMissing = async (db: Client, first: Date, last: Date): Promise<boolean> =>
  (
    await db.query<{ missing: boolean }>(
      `select exists (
         select from generate_series(date_trunc('month', $1::timestamptz at time zone 'UTC'),
           $2::timestamptz at time zone 'UTC', interval '1 month') as month
         where to_regclass('readings_' || to_char(month, 'YYYY_MM')) is null
       ) as missing`,
      [first, last],
    )
  ).rows[0]!.missing

/**
 * Adds readings of one place; one that is there already stays as it is, unless it was a forecast or somebody reads the
 * thermometer now.
 * @returns how many were new
 */
export const insertReadings = async (
  db: Client,
  householdId: string,
  source: ReadingSource,
  { placeId, at, temperatureC, relativeHumidityPct, rainMm }: PlaceReadings,
  importId: string | null,
): Promise<number> =>
  (
    await db.query(
      `insert into readings (household_id, place_id, at, temperature_c, relative_humidity_pct, rain_mm, source, import_id)
       select $1, $2, to_timestamp(at), t, rh, rain, $3, $4
       from unnest($5::bigint[], $6::real[], $7::real[], $8::real[]) as given (at, t, rh, rain)
       on conflict (household_id, place_id, at) do update set
         temperature_c = excluded.temperature_c, relative_humidity_pct = excluded.relative_humidity_pct,
         rain_mm = excluded.rain_mm, source = excluded.source, import_id = excluded.import_id
       where readings.source = 'forecast' or excluded.source = 'hand'`,
      [
        householdId,
        placeId,
        source,
        importId,
        at,
        // smaller than a 32-bit float can be is nothing
        temperatureC.map(Math.fround),
        relativeHumidityPct.map(Math.fround),
        rainMm?.map((mm) => (mm === null ? null : Math.fround(mm))) ?? null,
      ],
    )
  ).rowCount ?? 0

/** How many of these instants have a reading already. */
export async function alreadyThere(db: Client, householdId: string, { placeId, at }: PlaceReadings): Promise<number> {
  const { rows } = await db.query<{ n: number }>(
    `select count(*) as n from unnest($3::bigint[]) as given (at)
     join readings r on r.household_id = $1 and r.place_id = $2 and r.at = to_timestamp(given.at)
     where r.source <> 'forecast'`,
    [householdId, placeId, at],
  )
  return rows[0]!.n
}

export const addImport = (
  db: Client,
  householdId: string,
  made: { id: string; placeId: string; fileName: string; given: number; added: number; first: Date; last: Date },
) =>
  db.query(
    `insert into reading_imports (household_id, id, place_id, file_name, given, added, first_at, last_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8)`,
    [householdId, made.id, made.placeId, made.fileName, made.given, made.added, made.first, made.last],
  )

export const importsOf = async (db: Client, householdId: string) =>
  (
    await db.query<Omit<ReadingImportView, 'from' | 'to'> & { from: Date; to: Date }>(
      `select i.id, p.name as place, i.file_name as "fileName", i.given, i.added, i.first_at as "from", i.last_at as "to",
         i.undone_at is not null as undone
       from reading_imports i join places p on p.household_id = i.household_id and p.id = i.place_id
       where i.household_id = $1 order by i.made_at desc limit 20`,
      [householdId],
    )
  ).rows

/** Marks an import as taken back; where and when it lies, or undefined where there is none to take back. */
export const markUndone = async (db: Client, householdId: string, id: string) =>
  (
    await db.query<{ placeId: string; first: Date; last: Date }>(
      `update reading_imports set undone_at = now() where household_id = $1 and id = $2 and undone_at is null
       returning place_id as "placeId", first_at as first, last_at as last`,
      [householdId, id],
    )
  ).rows[0]

/** Strikes readings of a place between two instants, or lets them count again. @returns those that changed */
export const strikeBetween = async (
  db: Client,
  householdId: string,
  placeId: string,
  { from, to, struck }: { from: Date; to: Date; struck: boolean },
) =>
  (
    await db.query<{ n: number; first: Date | null; last: Date | null }>(
      `with changed as (
         update readings set struck = $5
         where household_id = $1 and place_id = $2 and at >= $3 and at < $4 and struck <> $5 and source <> 'forecast'
         returning at
       ) select count(*)::int as n, min(at) as first, max(at) as last from changed`,
      [householdId, placeId, from, to, struck],
    )
  ).rows[0]!

/** Strikes the readings of a place at these instants, seconds since 1970. */
export const strikeThese = (db: Client, householdId: string, placeId: string, at: readonly number[]) =>
  db.query(
    `update readings set struck = true
     where household_id = $1 and place_id = $2 and at = any (select to_timestamp(unnest($3::bigint[])))`,
    [householdId, placeId, at],
  )

/** Removes what one import added between two instants. @returns how many readings */
export const removeImported = async (
  db: Client,
  householdId: string,
  id: string,
  { placeId, first, last }: { placeId: string; first: Date; last: Date },
) =>
  (
    await db.query(
      `delete from readings where household_id = $1 and place_id = $2 and at between $3 and $4 and import_id = $5`,
      [householdId, placeId, first, last, id],
    )
  ).rowCount ?? 0

export const mappingsOf = async (db: Client, householdId: string) =>
  (await db.query<KnownMapping>('select headings, mapping from import_mappings where household_id = $1', [householdId]))
    .rows

export const keepMapping = (db: Client, householdId: string, { headings, mapping }: KnownMapping) =>
  db.query(
    `insert into import_mappings (household_id, headings, mapping) values ($1, $2, $3)
     on conflict (household_id, headings) do update set mapping = excluded.mapping`,
    [householdId, headings, mapping],
  )

export const sensorsOf = async (db: Client, householdId: string) =>
  (
    await db.query<Omit<SensorView, 'lastAt'> & { lastAt: Date | null }>(
      `select s.id, s.name, p.name as place, s.token_hash is null as simulated, s.last_at as "lastAt"
       from sensors s join places p on p.household_id = s.household_id and p.id = s.place_id
       where s.household_id = $1 order by s.name`,
      [householdId],
    )
  ).rows

export async function addSensor(
  db: Client,
  householdId: string,
  sensor: { name: string; placeId: string; tokenHash: Buffer | null },
): Promise<string> {
  const { rows } = await db.query<{ id: string }>(
    'insert into sensors (household_id, name, place_id, token_hash) values ($1, $2, $3, $4) returning id',
    [householdId, sensor.name, sensor.placeId, sensor.tokenHash],
  )
  return rows[0]!.id
}

export const giveToken = (db: Client, householdId: string, id: string, tokenHash: Buffer) =>
  db.query('update sensors set token_hash = $3 where household_id = $1 and id = $2', [householdId, id, tokenHash])

export const removeSensor = async (db: Client, householdId: string, id: string): Promise<boolean> =>
  ((await db.query('delete from sensors where household_id = $1 and id = $2', [householdId, id])).rowCount ?? 0) > 0

export interface KnownSensor {
  householdId: string
  id: string
  placeId: string
}

/** The sensor that has this token, whosever it is. A transaction of its own, in which the token alone lets it be seen. */
export async function sensorOfToken(pool: Pool, hash: Buffer): Promise<KnownSensor | undefined> {
  const client = await pool.connect()
  try {
    await client.query('begin read only')
    await client.query(`select set_config('app.sensor_token_hash', $1, true)`, [hash.toString('hex')])
    const { rows } = await client.query<KnownSensor>(
      `select household_id as "householdId", id, place_id as "placeId" from sensors where token_hash = $1`,
      [hash],
    )
    await client.query('commit')
    return rows[0]
  } catch (error) {
    await client.query('rollback').catch(() => undefined)
    throw error
  } finally {
    client.release()
  }
}

export const heardFrom = (db: Client, householdId: string, id: string, at: Date) =>
  db.query(`update sensors set last_at = greatest(last_at, $3) where household_id = $1 and id = $2`, [
    householdId,
    id,
    at,
  ])

/** The simulated sensors of a household with the kind of place each hangs in. */
export const simulatedSensors = async (db: Client, householdId: string) =>
  (
    await db.query<{ id: string; placeId: string; kind: string; walk: number }>(
      `select s.id, s.place_id as "placeId", p.kind, p.walk
       from sensors s join places p on p.household_id = s.household_id and p.id = s.place_id
       where s.household_id = $1 and s.token_hash is null`,
      [householdId],
    )
  ).rows
