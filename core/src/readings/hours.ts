import { airSeries, hourMs, type AirSeries } from '../air'
import { passingFloats, rowsOf } from '../rows'

/** What was measured in a place, hour by hour: the mean of each hour's readings, NaN where there was none. */
export interface HourlyRecord {
  /** start of the first hour, ms UTC */
  startMs: number
  /** °C */
  temperatureC: Float32Array
  /** % */
  relativeHumidityPct: Float32Array
}

export const hoursOf = (record: HourlyRecord): number => record.temperatureC.length

/** Index of the last hour up to an instant that somebody measured in, −1 where nobody did. */
export function lastMeasuredHour(record: HourlyRecord, untilMs: number): number {
  let i = Math.min(hoursOf(record) - 1, Math.floor((untilMs - record.startMs) / hourMs))
  while (i >= 0 && Number.isNaN(record.temperatureC[i])) i--
  return i
}

/**
 * Hourly series from a record: straight lines over the hours nobody measured, the first and last held at the ends.
 * @param fromMs first hour, ms UTC (rounded down to the hour)
 * @param untilMs what was measured later than this is not yet known
 * @returns undefined where nothing was measured by then
 */
export function filledHours(
  record: HourlyRecord,
  fromMs: number,
  hours: number,
  untilMs = Infinity,
): AirSeries | undefined {
  const last = lastMeasuredHour(record, untilMs)
  if (last < 0) return undefined
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const offset = Math.round((startMs - record.startMs) / hourMs)
  const [t, rh] = rowsOf(2, hours, passingFloats) as [Float64Array, Float64Array]
  const known = (i: number) => i >= 0 && i <= last && !Number.isNaN(record.temperatureC[i])
  // the measured hour at or before the first one asked for, and the one after
  let before = Math.min(offset, last)
  while (before >= 0 && !known(before)) before--
  let after = before >= 0 ? before : offset - 1
  for (let k = 0; k < hours; k++) {
    const i = offset + k
    if (known(i)) {
      before = i
      after = i
    } else if (i > after) {
      after = i
      while (after <= last && !known(after)) after++
    }
    const a = before >= 0 ? before : Math.min(after, last)
    const b = after <= last ? after : a
    const share = b > a ? Math.min(1, Math.max(0, (i - a) / (b - a))) : 0
    t[k] = record.temperatureC[a]! + share * (record.temperatureC[b]! - record.temperatureC[a]!)
    rh[k] = record.relativeHumidityPct[a]! + share * (record.relativeHumidityPct[b]! - record.relativeHumidityPct[a]!)
  }
  return airSeries(startMs, t, rh)
}

/** One month's hours of a place, as they are kept: what was measured from its first hour on. */
export interface MonthOfHours {
  startMs: number
  temperatureC: Float32Array
  relativeHumidityPct: Float32Array
}

/** A record from its months, in any order; hours between them are unmeasured. */
export function recordOf(months: readonly MonthOfHours[]): HourlyRecord | undefined {
  if (months.length === 0) return undefined
  const startMs = Math.min(...months.map((m) => m.startMs))
  const endMs = Math.max(...months.map((m) => m.startMs + m.temperatureC.length * hourMs))
  const hours = Math.round((endMs - startMs) / hourMs)
  const record = {
    startMs,
    temperatureC: new Float32Array(hours).fill(NaN),
    relativeHumidityPct: new Float32Array(hours).fill(NaN),
  }
  for (const month of months) {
    const at = Math.round((month.startMs - startMs) / hourMs)
    record.temperatureC.set(month.temperatureC, at)
    record.relativeHumidityPct.set(month.relativeHumidityPct, at)
  }
  return record
}

/**
 * A record with some months written anew; the old one is left as it was.
 * @returns the record, and the first hour that differs, ms UTC; undefined where none does
 */
export function withMonths(
  record: HourlyRecord | undefined,
  months: readonly MonthOfHours[],
): { record: HourlyRecord | undefined; changedFromMs: number | undefined } {
  const before = record ? [{ ...record }] : []
  const next = recordOf([...before, ...months])
  let changedFromMs: number | undefined
  for (const month of months) {
    for (let i = 0; i < month.temperatureC.length; i++) {
      const ms = month.startMs + i * hourMs
      if (changedFromMs !== undefined && ms >= changedFromMs) break
      const was = record ? Math.round((ms - record.startMs) / hourMs) : -1
      const there = record && was >= 0 && was < hoursOf(record)
      const same = (a: number, b: number) => a === b || (Number.isNaN(a) && Number.isNaN(b))
      if (
        !same(there ? record.temperatureC[was]! : NaN, month.temperatureC[i]!) ||
        !same(there ? record.relativeHumidityPct[was]! : NaN, month.relativeHumidityPct[i]!)
      ) {
        changedFromMs = ms
        break
      }
    }
  }
  return { record: next, changedFromMs }
}
