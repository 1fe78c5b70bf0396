import { hourMs } from '@vadose/core/air'
import { dayMs } from '@vadose/core/households'
import { climateFor, type PlaceKind } from '@vadose/core/places'
import { forecastAt, placeAt, rainAt, type Weather } from '@vadose/demo/weather'
import type { Client } from '../database'
import { ingest, simulatedSensors } from '../readings'
import type { HouseholdRow } from './queries'

/** Seed of the invented weather; the same everywhere, so that a demo is the same demo. */
export const weatherSeed = 47

const forecastDays = 5

/**
 * Lets the simulated sensors send an hourly reading for each whole hour in [fromMs, toMs], and the weather station its
 * forecast for the days after.
 */
export async function senseUntil(
  client: Client,
  household: Pick<HouseholdRow, 'id' | 'latitudeDeg' | 'altitudeM'>,
  fromMs: number,
  toMs: number,
): Promise<void> {
  const weather: Weather = { climate: climateFor(household.latitudeDeg, household.altitudeM), seed: weatherSeed }
  for (const sensor of await simulatedSensors(client, household.id)) {
    const known = { householdId: household.id, id: sensor.id, placeId: sensor.placeId }
    const kind = sensor.kind as PlaceKind
    const hours = wholeHours(fromMs, toMs)
    const air = hours.map((ms) => placeAt(weather, kind, ms, sensor.walk))
    const rain = kind === 'outdoors' ? hours.map((ms) => rainAt(weather, ms)) : null
    await ingest(client, known, 'simulated', columns(hours, air, rain))
    if (kind !== 'outdoors') continue
    const ahead = wholeHours(toMs + 1, toMs + forecastDays * dayMs)
    await ingest(
      client,
      known,
      'forecast',
      columns(
        ahead,
        ahead.map((ms) => forecastAt(weather, toMs, ms)),
        ahead.map((ms) => rainAt(weather, ms)),
      ),
    )
  }
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
) => ({
  at: hours.map((ms) => ms / 1000),
  temperatureC: air.map((a) => a.temperatureC),
  relativeHumidityPct: air.map((a) => a.relativeHumidityPct),
  rainMm,
})
