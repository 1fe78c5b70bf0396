import type { KnownMapping, ReadingImportView, SensorView } from '@vadose/contract/readings'
import type { Client, Pool } from '../database'

export interface ReadingColumns {
  placeId: string
  /** seconds since 1970, ascending */
  at: number[]
  temperatureC: number[]
  relativeHumidityPct: number[]
  rainMm: (number | null)[]
}

/** Hourly means of every place's readings between two instants; a logger may write every few minutes. */
export const hourlyReadings = async (db: Client, householdId: string, from: Date, to: Date, forecast = false) =>
  (
    await db.query<ReadingColumns>(
      `select place_id as "placeId", json_agg(at order by at) as at, json_agg(t order by at) as "temperatureC",
         json_agg(rh order by at) as "relativeHumidityPct", json_agg(rain order by at) as "rainMm"
       from (
         select place_id, floor(avg(extract(epoch from at))) as at, round(avg(temperature_c)::numeric, 2) as t,
           round(avg(relative_humidity_pct)::numeric, 1) as rh, round(sum(rain_mm)::numeric, 1) as rain
         from readings where household_id = $1 and at >= $2 and at < $3 and (source = 'forecast') = $4
         group by place_id, date_trunc('hour', at)
       ) hourly
       group by place_id`,
      [householdId, from, to, forecast],
    )
  ).rows

export type ReadingSource = 'hand' | 'sensor' | 'import' | 'simulated' | 'forecast'

/** Readings of one place, columns of equal length. */
export interface PlaceReadings {
  placeId: string
  /** seconds since 1970 UTC */
  at: readonly number[]
  temperatureC: readonly number[]
  relativeHumidityPct: readonly number[]
  rainMm?: readonly number[] | null | undefined
}

const rowsAtOnce = 20_000

/**
 * Adds readings. One that is there already at the same place and instant stays as it is, unless it was a forecast.
 * @returns how many were new
 */
export async function addReadings(
  db: Client,
  householdId: string,
  source: ReadingSource,
  readings: PlaceReadings,
  importId: string | null = null,
): Promise<number> {
  const { placeId, at, temperatureC, relativeHumidityPct, rainMm } = readings
  if (at.length === 0) return 0
  const first = at.reduce((a, b) => Math.min(a, b))
  const last = at.reduce((a, b) => Math.max(a, b))
  await db.query('select ensure_readings_months($1, $2)', [new Date(first * 1000), new Date(last * 1000)])
  let added = 0
  for (let from = 0; from < at.length; from += rowsAtOnce) {
    const part = <T>(values: readonly T[]) => values.slice(from, from + rowsAtOnce)
    const result = await db.query(
      `insert into readings (household_id, place_id, at, temperature_c, relative_humidity_pct, rain_mm, source, import_id)
       select $1, $2, to_timestamp(at), t, rh, rain, $3, $4
       from unnest($5::bigint[], $6::real[], $7::real[], $8::real[]) as given (at, t, rh, rain)
       on conflict (household_id, place_id, at) do update set
         temperature_c = excluded.temperature_c, relative_humidity_pct = excluded.relative_humidity_pct,
         rain_mm = excluded.rain_mm, source = excluded.source, import_id = excluded.import_id
       where readings.source = 'forecast'`,
      [
        householdId,
        placeId,
        source,
        importId,
        part(at),
        part(temperatureC),
        part(relativeHumidityPct),
        rainMm ? part(rainMm) : null,
      ],
    )
    added += result.rowCount ?? 0
  }
  return added
}

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
    await db.query<ReadingImportView>(
      `select i.id, p.name as place, i.file_name as "fileName", i.given, i.added, i.first_at as "from", i.last_at as "to",
         i.undone_at is not null as undone
       from reading_imports i join places p on p.household_id = i.household_id and p.id = i.place_id
       where i.household_id = $1 order by i.made_at desc limit 20`,
      [householdId],
    )
  ).rows

/** Takes back what one import added; how many readings, or undefined where there is no such import to take back. */
export async function undoImport(db: Client, householdId: string, id: string): Promise<number | undefined> {
  const { rows } = await db.query<{ placeId: string; first: Date; last: Date }>(
    `update reading_imports set undone_at = now() where household_id = $1 and id = $2 and undone_at is null
     returning place_id as "placeId", first_at as first, last_at as last`,
    [householdId, id],
  )
  const made = rows[0]
  if (!made) return undefined
  const { rowCount } = await db.query(
    `delete from readings where household_id = $1 and place_id = $2 and at between $3 and $4 and import_id = $5`,
    [householdId, made.placeId, made.first, made.last, id],
  )
  return rowCount ?? 0
}

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
    await db.query<SensorView>(
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

export const removeSensor = async (db: Client, householdId: string, id: string): Promise<boolean> =>
  ((await db.query('delete from sensors where household_id = $1 and id = $2', [householdId, id])).rowCount ?? 0) > 0

export interface KnownSensor {
  householdId: string
  id: string
  placeId: string
}

export const sensorOfToken = async (pool: Pool, hash: Buffer): Promise<KnownSensor | undefined> =>
  (
    await pool.query<KnownSensor>(
      'select household_id as "householdId", id, place_id as "placeId" from sensor_of_token($1)',
      [hash],
    )
  ).rows[0]

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
