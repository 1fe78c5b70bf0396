import { airSeries, hourMs, type AirSeries } from '@vadose/core/air'
import { dayMs } from '@vadose/core/households'
import { airAhead, assumedAir, climateFor, withForecast, type Climate } from '@vadose/core/places'
import type { Client } from '../database'
import { placesOf, type PlaceRow } from '../places'
import { hourlyReadings, type ReadingColumns } from '../readings'
import type { HouseholdRow } from './queries'
import { civilDateOf } from './time'

/** How far ahead air is expected and lots are forecast, days. */
export const horizonDays = 420
const recentDays = 10
/** a forecast further ahead than this is no better than the season */
const forecastDays = 10
/** the same weeks of last year, from ten days before this day on */
const sameWeeksDays = 35

export interface PlaceState extends PlaceRow {
  /** when the newest reading was taken, ms; null where nobody has measured */
  measuredAtMs: number | null
  /** hourly air up to now, and expected from now on */
  past: AirSeries
  ahead: AirSeries
}

/** Every place with the air it had and is expected to have, and the rain outdoors, mm by date. */
export async function loadPlaces(
  client: Client,
  household: HouseholdRow,
  sinceMs: number,
  nowMs: number,
): Promise<{ places: PlaceState[]; rainMm: Map<string, number> }> {
  const byPlace = async (from: number, to: number) =>
    new Map((await hourlyReadings(client, household.id, new Date(from), new Date(to))).map((r) => [r.placeId, r]))
  const readings = await byPlace(sinceMs, nowMs + hourMs)
  const lastYearMs = nowMs - 365 * dayMs
  const earlier = await byPlace(lastYearMs - recentDays * dayMs, lastYearMs + sameWeeksDays * dayMs)
  const climate = climateFor(household.latitudeDeg, household.altitudeM)
  const usual = (await placesOf(client, household.id)).map((place) =>
    placeState(place, readings.get(place.id), earlier.get(place.id), climate, sinceMs, nowMs),
  )
  const garden = usual.find((place) => place.kind === 'outdoors')
  const until = new Date(nowMs + forecastDays * dayMs)
  const expected = garden
    ? (await hourlyReadings(client, household.id, new Date(nowMs), until, true)).find((r) => r.placeId === garden.id)
    : undefined
  const places = expected ? usual.map((place) => ({ ...place, ahead: withWeather(place, garden!, expected) })) : usual
  const rainMm = new Map<string, number>()
  for (const { at, rainMm: mm } of [garden && readings.get(garden.id), expected].filter((r) => r !== undefined)) {
    at.forEach((seconds, i) => {
      const on = civilDateOf(seconds * 1000, household.timeZone)
      if (mm[i] !== null) rainMm.set(on, (rainMm.get(on) ?? 0) + mm[i]!)
    })
  }
  return { places, rainMm }
}

/** A place's air ahead with the weather forecast in it. */
function withWeather(place: PlaceState, garden: PlaceState, expected: ReadingColumns): AirSeries {
  const { ahead } = garden
  const hours = Math.floor((expected.at.at(-1)! * 1000 - ahead.startMs) / hourMs)
  return hours < 1 ? place.ahead : withForecast(place.ahead, place.kind, ahead, fill(expected, ahead.startMs, hours))
}

function placeState(
  place: PlaceRow,
  readings: ReadingColumns | undefined,
  earlier: ReadingColumns | undefined,
  climate: Climate,
  sinceMs: number,
  nowMs: number,
): PlaceState {
  const startMs = Math.floor(sinceMs / hourMs) * hourMs
  const hours = Math.max(24, Math.ceil((nowMs - startMs) / hourMs))
  const known = readings && upTo(readings, nowMs)
  if (!known || known.at.length === 0) {
    return {
      ...place,
      measuredAtMs: null,
      past: assumedAir(place.kind, climate, startMs, hours),
      ahead: assumedAir(place.kind, climate, nowMs, horizonDays * 24),
    }
  }
  const past = fill(known, startMs, hours)
  const recent = fill(known, nowMs - recentDays * dayMs, recentDays * 24)
  return {
    ...place,
    measuredAtMs: known.at.at(-1)! * 1000,
    past,
    ahead: airAhead(recent, nowMs, horizonDays * 24, { climate, kind: place.kind }, earlier && sameWeeks(earlier)),
  }
}

/** Last year's readings of the same weeks as a series, if they fill most of them. */
function sameWeeks(earlier: ReadingColumns): AirSeries | undefined {
  if (earlier.at.length < (recentDays + sameWeeksDays) * 12) return undefined
  const first = earlier.at[0]! * 1000
  return fill(earlier, first, Math.round((earlier.at.at(-1)! * 1000 - first) / hourMs))
}

function upTo(readings: ReadingColumns, nowMs: number): ReadingColumns {
  let count = readings.at.length
  while (count > 0 && readings.at[count - 1]! * 1000 > nowMs) count--
  if (count === readings.at.length) return readings
  return {
    ...readings,
    at: readings.at.slice(0, count),
    temperatureC: readings.temperatureC.slice(0, count),
    relativeHumidityPct: readings.relativeHumidityPct.slice(0, count),
  }
}

/** Hourly series from reading columns: straight between readings, held at the ends. */
function fill(readings: ReadingColumns, fromMs: number, hours: number): AirSeries {
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const temperature = new Float64Array(hours)
  const humidity = new Float64Array(hours)
  const { at } = readings
  let next = 0
  for (let i = 0; i < hours; i++) {
    const seconds = (startMs + i * hourMs) / 1000
    while (next < at.length && at[next]! <= seconds) next++
    const a = Math.max(0, next - 1)
    const b = Math.min(at.length - 1, next)
    const span = at[b]! - at[a]!
    const share = span > 0 ? Math.min(1, Math.max(0, (seconds - at[a]!) / span)) : 0
    const mix = (values: number[]) => values[a]! + share * (values[b]! - values[a]!)
    temperature[i] = mix(readings.temperatureC)
    humidity[i] = mix(readings.relativeHumidityPct)
  }
  return airSeries(startMs, temperature, humidity)
}
