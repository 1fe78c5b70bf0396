import {
  airflowFactor,
  curingCapKPa,
  driestLeavesPct,
  hardlyGives,
  healing,
  rampPct,
  skinsStandStillPct,
} from '../assumptions'
import { hourMs, type AirSeries } from '../air'
import type { Curing } from '../almanac'
import { floats } from '../rows'

export type Airflow = keyof typeof airflowFactor

/** From this instant on the air moves so. */
export interface AirflowChange {
  atMs: number
  airflow: Airflow
  /** the lot meets the air better or worse than it usually hangs: 1 when left out */
  gain?: number
}

/** The airflow in force at an instant; before the first change the first holds. */
export function airflowAt(changes: readonly AirflowChange[], ms: number): Airflow {
  let current = changes[0]?.airflow ?? 'breezy'
  for (const change of changes) if (change.atMs <= ms) current = change.airflow
  return current
}

/**
 * Pull of the air on something that stands still above a humidity, kPa:
 * Psat · (0.97 − RH) · clamp((still − RH)/0.06, 0, 1), at most `curingCapKPa`.
 * @param vpdKPa vapour pressure deficit of the air
 * @param relativeHumidityPct %
 */
export function pullKPa(vpdKPa: number, relativeHumidityPct: number, stillAbovePct = skinsStandStillPct): number {
  if (relativeHumidityPct >= stillAbovePct) return 0
  const saturated = vpdKPa / (1 - relativeHumidityPct / 100)
  const ramp = Math.min(1, (stillAbovePct - relativeHumidityPct) / rampPct)
  return Math.min(curingCapKPa, (saturated * (driestLeavesPct - relativeHumidityPct) * ramp) / 100)
}

/** What the clock needs of a crop's curing. */
export type CuringAir = Pick<Curing, 'clock' | 'stillAbovePct' | 'healsAtC' | 'healsAtPct'>

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

/** What one hour of a series gives a lot that the air reaches freely: kPa·h of drying, or hours of healing at the best air. */
export function hourGives(air: AirSeries, i: number, curing: CuringAir): number {
  return curing.clock === 'healing'
    ? healingRate(curing, air.temperatureC[i]!, air.relativeHumidityPct[i]!)
    : pullKPa(air.vpdKPa[i]!, air.relativeHumidityPct[i]!, curing.stillAbovePct?.value)
}

/** Nothing to speak of happens in this hour. */
export const stalls = (air: AirSeries, i: number, curing: CuringAir): boolean =>
  hourGives(air, i, curing) < (curing.clock === 'healing' ? hardlyGives.healing : hardlyGives.pull)

/** What was asked of a series last: a lot's clock, its weights and its next weighing ask the same of the same air. */
const spentLast = new WeakMap<AirSeries, { curing: CuringAir; changes: string; spent: Float64Array }>()

/**
 * Drying power (or healing) spent from the start of the series to each hour's start.
 * @returns kPa·h (or hours), length air.hours + 1, never falling; not to be written to
 */
export function spentPower(air: AirSeries, curing: CuringAir, changes: readonly AirflowChange[]): Float64Array {
  const known = spentLast.get(air)
  const moved = JSON.stringify(changes)
  if (known?.curing === curing && known.changes === moved) return known.spent
  const spent = workOutSpent(air, curing, changes)
  spentLast.set(air, { curing, changes: moved, spent })
  return spent
}

function workOutSpent(air: AirSeries, curing: CuringAir, changes: readonly AirflowChange[]): Float64Array {
  const spent = floats(air.hours + 1)
  let next = 0
  for (let i = 0; i < air.hours; i++) {
    const ms = air.startMs + i * hourMs
    while (next < changes.length && changes[next]!.atMs <= ms) next++
    const { airflow, gain = 1 } = changes[Math.max(0, next - 1)] ?? { airflow: 'breezy' as const }
    // skins heal by themselves, whatever the air does
    const reaches = curing.clock === 'healing' ? 1 : airflowFactor[airflow] * gain
    spent[i + 1] = spent[i]! + reaches * hourGives(air, i, curing)
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
