import { hourMs } from '@vadose/core/air'
import { climateFor } from '@vadose/core/places'
import { placeAt } from '@vadose/demo/weather'
import type { Client } from '../database'
import { addReadings, placesOf } from '../places'
import type { HouseholdRow } from './queries'

/** Seed of the invented weather; the same everywhere, so that a demo is the same demo. */
export const weatherSeed = 47

/** Lets the simulated sensors send an hourly reading for each whole hour in [fromMs, toMs]. */
export async function senseUntil(
  client: Client,
  household: Pick<HouseholdRow, 'id' | 'latitudeDeg' | 'altitudeM'>,
  fromMs: number,
  toMs: number,
): Promise<void> {
  const weather = { climate: climateFor(household.latitudeDeg, household.altitudeM), seed: weatherSeed }
  const places = (await placesOf(client, household.id)).filter((place) => place.simulated)
  const rows = places.flatMap((place) => {
    const own: Parameters<typeof addReadings>[3] = []
    for (let ms = Math.ceil(fromMs / hourMs) * hourMs; ms <= toMs; ms += hourMs) {
      own.push({ placeId: place.id, at: new Date(ms), ...placeAt(weather, place.kind, ms, place.walk) })
    }
    return own
  })
  await addReadings(client, household.id, 'simulated', rows)
}
