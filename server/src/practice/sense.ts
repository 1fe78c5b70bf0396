import { climateFor, type PlaceKind } from '@vadose/core/places'
import { forecastHours, sensedHours, weatherSeed } from '@vadose/core/practice'
import type { Client } from '../database'
import type { HouseholdRow } from '../households'
import { ingest, simulatedSensors } from '../readings'

/**
 * Lets the simulated sensors of a household send a reading for each whole hour in [fromMs, toMs], and the weather station
 * its forecast for the days after.
 * @param placeId only the sensors of this place
 */
export async function senseUntil(
  db: Client,
  household: Pick<HouseholdRow, 'id' | 'latitudeDeg' | 'altitudeM'>,
  fromMs: number,
  toMs: number,
  placeId?: string,
): Promise<void> {
  const weather = { climate: climateFor(household.latitudeDeg, household.altitudeM), seed: weatherSeed }
  for (const sensor of await simulatedSensors(db, household.id)) {
    if (placeId && sensor.placeId !== placeId) continue
    const known = { householdId: household.id, id: sensor.id, placeId: sensor.placeId }
    const kind = sensor.kind as PlaceKind
    await ingest(db, known, 'simulated', sensedHours(weather, kind, sensor.walk, fromMs, toMs))
    if (kind === 'outdoors') await ingest(db, known, 'forecast', forecastHours(weather, toMs))
  }
}
