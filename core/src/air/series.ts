import { floats, passingFloats, rowsOf } from '../rows'
import { criticalHumidityPct } from './mould'
import { saturationVapourPressureKPa } from './psychrometrics'

/** One measurement of the air somewhere. */
export interface AirReading {
  /** instant, ISO 8601 with offset or Z */
  at: string
  /** °C */
  temperatureC: number
  /** % */
  relativeHumidityPct: number
}

export const hourMs = 3_600_000

/**
 * The air of one place, hour by hour, with what every lot in the place needs from it worked out once.
 * Index i covers the hour that starts at startMs + i · 1 h.
 */
export interface AirSeries {
  /** start of the first hour, ms since 1970 UTC */
  startMs: number
  hours: number
  /** °C */
  temperatureC: Float64Array
  /** % */
  relativeHumidityPct: Float64Array
  /** vapour pressure deficit, kPa */
  vpdKPa: Float64Array
  /** how far the humidity stands above the mould limit, percentage points; 0 below it and in frost */
  mouldExcessPct: Float64Array
}

/** Builds a series from hourly temperatures (°C) and humidities (%) of equal length. */
export function airSeries(startMs: number, temperatureC: Float64Array, relativeHumidityPct: Float64Array): AirSeries {
  const hours = temperatureC.length
  const [vpdKPa, mouldExcessPct] = rowsOf(2, hours, passingFloats) as [Float64Array, Float64Array]
  for (let i = 0; i < hours; i++) {
    const t = temperatureC[i]!
    const rh = relativeHumidityPct[i]!
    vpdKPa[i] = saturationVapourPressureKPa(t) * (1 - rh / 100)
    mouldExcessPct[i] = t > 0 ? Math.max(0, rh - criticalHumidityPct(t)) : 0
  }
  return { startMs, hours, temperatureC, relativeHumidityPct, vpdKPa, mouldExcessPct }
}

/**
 * Hourly series from readings at any spacing: straight lines between readings, the first and last held at the ends.
 * @param readings in any order; at least one
 * @param fromMs first hour, ms UTC (rounded down to the hour)
 * @param toMs end, exclusive
 */
export function seriesFromReadings(readings: readonly AirReading[], fromMs: number, toMs: number): AirSeries {
  const sorted = readings
    .map((r) => ({ ms: Date.parse(r.at), t: r.temperatureC, rh: r.relativeHumidityPct }))
    .sort((a, b) => a.ms - b.ms)
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const hours = Math.max(0, Math.ceil((toMs - startMs) / hourMs))
  const temperature = floats(hours)
  const humidity = floats(hours)
  let next = 0
  for (let i = 0; i < hours; i++) {
    const ms = startMs + i * hourMs
    while (next < sorted.length && sorted[next]!.ms <= ms) next++
    const before = sorted[Math.max(0, next - 1)]!
    const after = sorted[Math.min(sorted.length - 1, next)]!
    const span = after.ms - before.ms
    const share = span > 0 ? Math.min(1, Math.max(0, (ms - before.ms) / span)) : 0
    temperature[i] = before.t + share * (after.t - before.t)
    humidity[i] = before.rh + share * (after.rh - before.rh)
  }
  return airSeries(startMs, temperature, humidity)
}

/** A series of the same air every hour. */
export function steadyAir(temperatureC: number, relativeHumidityPct: number, hours: number, startMs = 0): AirSeries {
  return airSeries(startMs, floats(hours).fill(temperatureC), floats(hours).fill(relativeHumidityPct))
}

/** The hours of a series from one to another, without copying them. */
export function hoursOf(air: AirSeries, from: number, to: number): AirSeries {
  const cut = (values: Float64Array) => values.subarray(from, to)
  return {
    startMs: air.startMs + from * hourMs,
    hours: Math.max(0, Math.min(air.hours, to) - from),
    temperatureC: cut(air.temperatureC),
    relativeHumidityPct: cut(air.relativeHumidityPct),
    vpdKPa: cut(air.vpdKPa),
    mouldExcessPct: cut(air.mouldExcessPct),
  }
}

/** Two series end to end; `later` must start where `earlier` stops. */
export function joinSeries(earlier: AirSeries, later: AirSeries): AirSeries {
  const hours = earlier.hours + later.hours
  const rows = rowsOf(4, hours, passingFloats)
  const join = (a: Float64Array, b: Float64Array) => {
    const out = rows.pop()!
    out.set(a)
    out.set(b, a.length)
    return out
  }
  return {
    startMs: earlier.startMs,
    hours,
    temperatureC: join(earlier.temperatureC, later.temperatureC),
    relativeHumidityPct: join(earlier.relativeHumidityPct, later.relativeHumidityPct),
    vpdKPa: join(earlier.vpdKPa, later.vpdKPa),
    mouldExcessPct: join(earlier.mouldExcessPct, later.mouldExcessPct),
  }
}
