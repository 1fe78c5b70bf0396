import { planned, type Client } from '../database'
import { breather } from './breathe'

/** A month of a place's hours, each column of them as 32-bit floats, little-endian. */
export interface MonthOf<Floats> {
  placeId: string
  month: string
  temperatureC: Floats
  relativeHumidityPct: Floats
  rainMm: Floats | null
  lastAt: Date | null
}

/** As it is read: the bytes as hexadecimal text, which takes no memory outside of the heap month by month. */
export type MonthRow = MonthOf<string>

const monthColumns = `place_id as "placeId", month, encode(temperature_c, 'hex') as "temperatureC",
  encode(relative_humidity_pct, 'hex') as "relativeHumidityPct", encode(rain_mm, 'hex') as "rainMm",
  last_at as "lastAt"`

/** a year of them is taken in at a stretch */
const monthsAtOnce = 12

/** Hours of a place from a month on, a year of them at a time, so that others come in between. */
export async function monthsFrom(db: Client, householdId: string, placeId: string, since: string): Promise<MonthRow[]> {
  const breathe = breather()
  const months: MonthRow[] = []
  for (;;) {
    const { rows } = await planned<MonthRow>(
      db,
      `select ${monthColumns} from place_hours where household_id = $1 and place_id = $2 and month >= $3
       order by month offset $4 limit ${monthsAtOnce}`,
      [householdId, placeId, since, months.length],
    )
    months.push(...rows)
    if (rows.length < monthsAtOnce) return months
    await breathe()
  }
}

/** Months written since an air revision. */
export const monthsSince = async (db: Client, householdId: string, revision: number) =>
  (
    await db.query<MonthRow>(`select ${monthColumns} from place_hours where household_id = $1 and revision > $2`, [
      householdId,
      revision,
    ])
  ).rows

/** Hours of every place in the months from one to another. */
export const monthsSpanning = async (db: Client, householdId: string, from: string, to: string) =>
  (
    await db.query<MonthRow>(
      `select ${monthColumns} from place_hours where household_id = $1 and month between $2 and $3`,
      [householdId, from, to],
    )
  ).rows

export const monthsOfPlace = async (db: Client, householdId: string, placeId: string, from: string, to: string) =>
  (
    await db.query<MonthRow>(
      `select ${monthColumns} from place_hours
       where household_id = $1 and place_id = $2 and month between $3 and $4`,
      [householdId, placeId, from, to],
    )
  ).rows

export const keepMonth = (db: Client, householdId: string, row: MonthOf<Buffer>, revision: number) =>
  db.query(
    `insert into place_hours (household_id, place_id, month, temperature_c, relative_humidity_pct, rain_mm, last_at, revision)
     values ($1, $2, $3, $4, $5, $6, $7, $8)
     on conflict (household_id, place_id, month) do update set temperature_c = excluded.temperature_c,
       relative_humidity_pct = excluded.relative_humidity_pct, rain_mm = excluded.rain_mm, last_at = excluded.last_at,
       revision = excluded.revision`,
    [householdId, row.placeId, row.month, row.temperatureC, row.relativeHumidityPct, row.rainMm, row.lastAt, revision],
  )

/** Raises the household's air revision, and holds up others who would until the transaction ends. */
export const raiseAirRevision = async (db: Client, householdId: string) =>
  (
    await db.query<{ revision: number }>(
      'update households set air_revision = air_revision + 1 where id = $1 returning air_revision as revision',
      [householdId],
    )
  ).rows[0]!.revision

export interface MeasuredHour {
  hourMs: number
  temperatureC: number
  relativeHumidityPct: number
  rainMm: number | null
  lastAt: Date
}

/** Hourly means of what was measured in a place between two instants; a logger may write every few minutes. */
export const measuredHours = async (db: Client, householdId: string, placeId: string, from: Date, to: Date) =>
  (
    await db.query<MeasuredHour>(
      `select extract(epoch from date_trunc('hour', at, 'UTC')) * 1000 as "hourMs",
         round(avg(temperature_c)::numeric, 2) as "temperatureC",
         round(avg(relative_humidity_pct)::numeric, 1) as "relativeHumidityPct",
         round(sum(rain_mm)::numeric, 1) as "rainMm", max(at) as "lastAt"
       from readings
       where household_id = $1 and place_id = $2 and at >= $3 and at < $4 and source <> 'forecast' and not struck
       group by date_trunc('hour', at, 'UTC') order by 1`,
      [householdId, placeId, from, to],
    )
  ).rows

/** The hours a weather forecast tells of outdoors, from an instant on. */
export const forecastHours = async (db: Client, householdId: string, from: Date, to: Date) =>
  (
    await db.query<Omit<MeasuredHour, 'lastAt'>>(
      `select extract(epoch from date_trunc('hour', r.at, 'UTC')) * 1000 as "hourMs",
         round(avg(r.temperature_c)::numeric, 2) as "temperatureC",
         round(avg(r.relative_humidity_pct)::numeric, 1) as "relativeHumidityPct",
         round(sum(r.rain_mm)::numeric, 1) as "rainMm"
       from readings r join places p on p.household_id = r.household_id and p.id = r.place_id and p.kind = 'outdoors'
       where r.household_id = $1 and r.at >= $2 and r.at < $3 and r.source = 'forecast'
       group by 1 order by 1`,
      [householdId, from, to],
    )
  ).rows

/** First and last reading of each place. */
export const measuredSpans = async (db: Client, householdId: string) =>
  (
    await db.query<{ placeId: string; first: Date; last: Date }>(
      `select place_id as "placeId", min(at) as first, max(at) as last from readings
       where household_id = $1 and source <> 'forecast' and not struck group by place_id`,
      [householdId],
    )
  ).rows
