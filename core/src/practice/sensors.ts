import { hourMs } from '../air'
import { dayMs } from '../households'
import type { PlaceKind } from '../places'
import { forecastAt, placeAt, rainAt, type Weather } from './weather'

/** Seed of the invented weather; the same everywhere, so that a practice year is the same year. */
export const weatherSeed = 47

const forecastDays = 5

/** Readings in columns of equal length, instants as seconds since 1970 UTC. */
export interface SensedHours {
  at: number[]
  temperatureC: number[]
  relativeHumidityPct: number[]
  rainMm: number[] | null
}

function wholeHours(fromMs: number, toMs: number): number[] {
  const hours: number[] = []
  for (let ms = Math.ceil(fromMs / hourMs) * hourMs; ms <= toMs; ms += hourMs) hours.push(ms)
  return hours
}

const columns = (
  hours: number[],
  air: { temperatureC: number; relativeHumidityPct: number }[],
  rainMm: number[] | null,
): SensedHours => ({
  at: hours.map((ms) => ms / 1000),
  temperatureC: air.map((a) => a.temperatureC),
  relativeHumidityPct: air.map((a) => a.relativeHumidityPct),
  rainMm,
})

/**
 * What a simulated sensor in a place of this kind sends for each whole hour in [fromMs, toMs]; only outdoors has rain.
 * @param salt tells two places of a kind apart
 */
export function sensedHours(
  weather: Weather,
  kind: PlaceKind,
  salt: number,
  fromMs: number,
  toMs: number,
): SensedHours {
  const hours = wholeHours(fromMs, toMs)
  return columns(
    hours,
    hours.map((ms) => placeAt(weather, kind, ms, salt)),
    kind === 'outdoors' ? hours.map((ms) => rainAt(weather, ms)) : null,
  )
}

/** What the practice weather station expects of the days after an instant. */
export function forecastHours(weather: Weather, madeMs: number): SensedHours {
  const hours = wholeHours(madeMs + 1, madeMs + forecastDays * dayMs)
  return columns(
    hours,
    hours.map((ms) => forecastAt(weather, madeMs, ms)),
    hours.map((ms) => rainAt(weather, ms)),
  )
}
