import { hourMs, saturationVapourPressureKPa } from '../air'
import { dayMs } from '../households'
import { floats, floatsOf } from '../rows'

/** Daily means of a stretch of days, UTC; NaN where nobody measured. */
export interface DailyAir {
  /** days since 1970-01-01 of the first one */
  firstDay: number
  /** °C */
  temperatureC: Float64Array
  /** kPa */
  vapourPressureKPa: Float64Array
  /** hours of it that were measured */
  hours: Float64Array
}

export const dayOf = (ms: number): number => Math.floor(ms / dayMs)

/**
 * Daily means of an hourly record from one day up to an instant.
 * @param record `NaN` where nobody measured
 */
export function dailyOf(
  record: { startMs: number; temperatureC: ArrayLike<number>; relativeHumidityPct: ArrayLike<number> },
  fromMs: number,
  untilMs: number,
): DailyAir {
  const firstDay = dayOf(fromMs)
  const days = Math.max(0, dayOf(untilMs - 1) - firstDay + 1)
  const t = floats(days)
  const e = floats(days)
  const hours = floats(days)
  const from = Math.max(0, Math.ceil((firstDay * dayMs - record.startMs) / hourMs))
  const to = Math.min(record.temperatureC.length, Math.ceil((untilMs - record.startMs) / hourMs))
  for (let i = from; i < to; i++) {
    const temperatureC = record.temperatureC[i]!
    if (Number.isNaN(temperatureC)) continue
    const d = dayOf(record.startMs + i * hourMs) - firstDay
    t[d]! += temperatureC
    e[d]! += (saturationVapourPressureKPa(temperatureC) * record.relativeHumidityPct[i]!) / 100
    hours[d]!++
  }
  return {
    firstDay,
    temperatureC: floatsOf(days, (d) => t[d]! / hours[d]!),
    vapourPressureKPa: floatsOf(days, (d) => e[d]! / hours[d]!),
    hours,
  }
}
