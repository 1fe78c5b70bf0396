import type { PlaceKind } from '@vadose/core/places'
import type { Client } from '../database'

export interface PlaceRow {
  id: string
  name: string
  kind: PlaceKind
  walk: number
  simulated: boolean
}

export const placesOf = async (db: Client, householdId: string) =>
  (
    await db.query<PlaceRow>(
      'select id, name, kind, walk, simulated from places where household_id = $1 order by walk, name',
      [householdId],
    )
  ).rows

export async function addPlace(db: Client, householdId: string, name: string, kind: PlaceKind, simulated: boolean) {
  const { rows } = await db.query<{ id: string }>(
    `insert into places (household_id, name, kind, simulated, walk)
     select $1, $2, $3, $4, coalesce(max(walk), 0) + 1 from places where household_id = $1
     returning id`,
    [householdId, name, kind, simulated],
  )
  return rows[0]!.id
}

export interface ReadingColumns {
  placeId: string
  /** seconds since 1970, ascending */
  at: number[]
  temperatureC: number[]
  relativeHumidityPct: number[]
}

/** Hourly means of every place's readings between two instants; a logger may write every few minutes. */
export const hourlyReadings = async (db: Client, householdId: string, from: Date, to: Date) =>
  (
    await db.query<ReadingColumns>(
      `select place_id as "placeId", json_agg(at order by at) as at, json_agg(t order by at) as "temperatureC",
         json_agg(rh order by at) as "relativeHumidityPct"
       from (
         select place_id, floor(avg(extract(epoch from at))) as at, round(avg(temperature_c)::numeric, 2) as t,
           round(avg(relative_humidity_pct)::numeric, 1) as rh
         from readings where household_id = $1 and at >= $2 and at < $3
         group by place_id, date_trunc('hour', at)
       ) hourly
       group by place_id`,
      [householdId, from, to],
    )
  ).rows

/** Adds readings; those already there at the same place and instant stay as they are. */
export async function addReadings(
  db: Client,
  householdId: string,
  source: 'hand' | 'sensor' | 'import' | 'simulated',
  rows: { placeId: string; at: Date; temperatureC: number; relativeHumidityPct: number }[],
): Promise<number> {
  if (rows.length === 0) return 0
  const times = rows.map((row) => row.at.getTime())
  const first = times.reduce((a, b) => Math.min(a, b))
  const last = times.reduce((a, b) => Math.max(a, b))
  await db.query('select ensure_readings_months($1, $2)', [new Date(first), new Date(last)])
  let added = 0
  for (let from = 0; from < rows.length; from += 5000) {
    const part = rows.slice(from, from + 5000)
    const result = await db.query(
      `insert into readings (household_id, place_id, at, temperature_c, relative_humidity_pct, source)
       select $1, place_id, at, t, rh, $2
       from unnest($3::uuid[], $4::timestamptz[], $5::real[], $6::real[]) as given (place_id, at, t, rh)
       on conflict do nothing`,
      [
        householdId,
        source,
        part.map((row) => row.placeId),
        part.map((row) => row.at.toISOString()),
        part.map((row) => row.temperatureC),
        part.map((row) => row.relativeHumidityPct),
      ],
    )
    added += result.rowCount ?? 0
  }
  return added
}
