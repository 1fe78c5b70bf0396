import { airflowFactor, curingCapKPa, healing } from '../assumptions'
import { hourMs, type AirSeries } from '../air'
import type { Curing } from '../almanac'

export type Airflow = keyof typeof airflowFactor

/** From this instant on the air moves so. */
export interface AirflowChange {
  atMs: number
  airflow: Airflow
}

/** The airflow in force at an instant; before the first change the first holds. */
export function airflowAt(changes: readonly AirflowChange[], ms: number): Airflow {
  let current = changes[0]?.airflow ?? 'breezy'
  for (const change of changes) if (change.atMs <= ms) current = change.airflow
  return current
}

/**
 * Drying power one hour of this air gives, kPa·h: a · min(cap, max(0, VPD − stall)).
 * The calendar is a poor clock; water leaves at the pace of the air's pull.
 */
export const hourlyPower = (vpdKPa: number, stallKPa: number, airflow: Airflow): number =>
  airflowFactor[airflow] * Math.min(curingCapKPa, Math.max(0, vpdKPa - stallKPa))

/** What the clock needs of a crop's curing. */
export type CuringAir = Pick<Curing, 'clock' | 'stallKPa' | 'healsAtC' | 'healsAtPct'>

/**
 * Pace at which skins heal in this air: 1 at the best, 0 where nothing heals.
 * @param temperatureC °C
 * @param relativeHumidityPct %
 * @source ranges of HB 66 and HB 119 (recalled) joined by straight lines: our judgement
 */
export function healingRate(curing: CuringAir, temperatureC: number, relativeHumidityPct: number): number {
  const [lo, hi] = curing.healsAtC!.value
  const [damp0, damp1] = curing.healsAtPct!.value
  const zero = Math.max(2, lo - healing.belowC)
  const warmth =
    temperatureC < lo
      ? Math.max(0, (temperatureC - zero) / (lo - zero))
      : temperatureC > hi
        ? Math.max(0, 1 - (temperatureC - hi) / healing.aboveC)
        : 1
  const off = Math.max(0, damp0 - relativeHumidityPct, relativeHumidityPct - damp1)
  return warmth * Math.max(healing.least, 1 - off * healing.perPoint)
}

/** What one hour of a series gives a lot: kPa·h of drying, or hours of healing at the best air. */
export function hourGives(air: AirSeries, i: number, curing: CuringAir, airflow: Airflow): number {
  return curing.clock === 'healing'
    ? healingRate(curing, air.temperatureC[i]!, air.relativeHumidityPct[i]!)
    : hourlyPower(air.vpdKPa[i]!, curing.stallKPa.value, airflow)
}

/** Nothing to speak of happens in this hour. */
export const stalls = (air: AirSeries, i: number, curing: CuringAir): boolean =>
  curing.clock === 'healing'
    ? healingRate(curing, air.temperatureC[i]!, air.relativeHumidityPct[i]!) < 0.1
    : air.vpdKPa[i]! <= curing.stallKPa.value

/**
 * Drying power (or healing) spent from the start of the series to each hour's start.
 * @returns kPa·h (or hours), length air.hours + 1, never falling
 */
export function spentPower(air: AirSeries, curing: CuringAir, changes: readonly AirflowChange[]): Float64Array {
  const spent = new Float64Array(air.hours + 1)
  for (let i = 0; i < air.hours; i++) {
    const airflow = airflowAt(changes, air.startMs + i * hourMs)
    spent[i + 1] = spent[i]! + hourGives(air, i, curing, airflow)
  }
  return spent
}

/** Value of an hourly running sum at an instant, straight between hours, held at the ends. */
export function atInstant(air: AirSeries, running: Float64Array, ms: number): number {
  const x = Math.min(air.hours, Math.max(0, (ms - air.startMs) / hourMs))
  const i = Math.floor(x)
  const here = running[i]!
  return i >= air.hours ? here : here + (x - i) * (running[i + 1]! - here)
}

/** First instant at which the running sum reaches `target`, ms; Infinity if it never does. */
export function instantReaching(air: AirSeries, running: Float64Array, target: number): number {
  let lo = 0
  let hi = running.length
  while (lo < hi) {
    const mid = (lo + hi) >> 1
    if (running[mid]! < target) lo = mid + 1
    else hi = mid
  }
  if (lo >= running.length) return Infinity
  if (lo === 0) return air.startMs
  const before = running[lo - 1]!
  const step = running[lo]! - before
  return air.startMs + (lo - 1 + (step > 0 ? (target - before) / step : 0)) * hourMs
}
