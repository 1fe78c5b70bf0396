import { hourMs, type AirSeries } from '../air'
import { dayMs, type CivilDate } from '../households'
import {
  airKindOf,
  assumedAir,
  dailyOf,
  expectedAir,
  outdoorDaysInPieces,
  placeFit,
  placeFitInPieces,
  withForecast,
  type Climate,
  type Described,
  type OutdoorDays,
  type PlaceFit,
  type PlaceKind,
} from '../places'
import { allOf, type Pieces } from '../pieces'
import { filledHours, hoursOf, lastMeasuredHour, type HourlyRecord } from '../readings'

/** How far ahead air is expected and lots are forecast, days. */
export const horizonDays = 420
/** what screens show of a place's past, and more: days kept filled */
const shownDays = 45
const recentDays = 10
/** readings go into a place's fit for so long: two rounds of the seasons, days */
const fittedDays = 740
/** the weather before the first of them still sits in a thick wall, days */
const wallDays = 130
/** readings older than this when they come change what lots are thought to have lived through, hours */
const settledHours = 48

export interface PlaceFacts extends Described {
  id: string
  name: string
  kind: PlaceKind
  /** place in the walking order */
  walk: number
  /** the place it is a shelf, rack or basket of, whose air it has until it is measured itself */
  within: string | null
  /** since when nothing is put there any more */
  retiredOn: CivilDate | null
}

/** A place with the air it had and is expected to have. */
export interface PlaceState extends PlaceFacts {
  /** when the newest reading was taken, ms; null where nobody has measured */
  measuredAtMs: number | null
  record: HourlyRecord | undefined
  /** hourly air of the last weeks up to now, and expected from now on */
  past: AirSeries
  ahead: AirSeries
  /** expected without a weather forecast */
  usual: AirSeries
  /** what is expected of it day by day, how sure, and what it was fitted to */
  fit: PlaceFit
  outdoors: OutdoorDays
  /** changes when what lots lived through here does: readings that came late, files taken back */
  epoch: number
}

/** What a place is worked out from, and when. */
export interface PlaceMoment {
  climate: Climate
  /** start of the hour after now, ms UTC */
  nowMs: number
  /** as it was measured in the garden; what is usual where left out */
  outdoors?: OutdoorDays | undefined
}

/** Start of the first hour that is not over at an instant, ms. */
export const comingHour = (ms: number): number => Math.ceil(ms / hourMs) * hourMs

/** A place's air from what was measured there; what its kind usually has where nothing was. */
export const placeState = (...of: Parameters<typeof placeStateInPieces>): PlaceState => allOf(placeStateInPieces(...of))

/** The same piece by piece, for whoever must not be kept long. */
export function* placeStateInPieces(
  place: PlaceFacts,
  record: HourlyRecord | undefined,
  measuredAtMs: number | null,
  { climate, nowMs, outdoors: given }: PlaceMoment,
  epoch = 0,
): Pieces<PlaceState> {
  const shownFrom = nowMs - shownDays * dayMs
  const outdoors = given ?? outdoorsOf(climate, nowMs)
  const kind = airKindOf(place)
  const past = record && filledHours(record, shownFrom, shownDays * 24, nowMs - 1)
  if (!record || !past) {
    const usual = assumedAir(kind, climate, nowMs, horizonDays * 24)
    return {
      ...place,
      measuredAtMs: null,
      record,
      past: assumedAir(kind, climate, shownFrom, shownDays * 24),
      ahead: usual,
      usual,
      fit: placeFit(kind, outdoors),
      outdoors,
      epoch,
    }
  }
  const lastMs = record.startMs + lastMeasuredHour(record, nowMs - 1) * hourMs
  const recent = filledHours(record, nowMs - recentDays * dayMs, recentDays * 24, nowMs - 1)!
  yield
  const read = dailyOf(record, nowMs - fittedDays * dayMs, nowMs)
  yield
  const fit = yield* placeFitInPieces(kind, outdoors, read)
  yield
  const usual = expectedAir(recent, fit, kind, nowMs, horizonDays * 24, read)
  return {
    ...place,
    measuredAtMs: measuredAtMs !== null && measuredAtMs < nowMs ? measuredAtMs : lastMs,
    record,
    past,
    ahead: usual,
    usual,
    fit,
    outdoors,
    epoch,
  }
}

/** Outdoors for all days that a place is fitted to and expected for. */
export const outdoorsOf = (...of: Parameters<typeof outdoorsInPieces>): OutdoorDays => allOf(outdoorsInPieces(...of))

/** The same piece by piece, for whoever must not be kept long. */
export function* outdoorsInPieces(climate: Climate, nowMs: number, garden?: HourlyRecord): Pieces<OutdoorDays> {
  const read = garden && dailyOf(garden, nowMs - fittedDays * dayMs, nowMs)
  yield
  return yield* outdoorDaysInPieces(
    climate,
    nowMs - (fittedDays + wallDays) * dayMs,
    nowMs + (horizonDays + 2) * dayMs,
    read,
  )
}

/**
 * Puts a weather forecast into what every place expects.
 * @param before the places with this very forecast in them: what stands is taken from there
 */
export function withWeather(
  places: readonly PlaceState[],
  expected: HourlyRecord | undefined,
  before?: readonly PlaceState[],
): PlaceState[] {
  const garden = places.find((place) => place.kind === 'outdoors')
  if (!garden || !expected) return places.map((place) => ({ ...place, ahead: place.usual }))
  const { startMs } = garden.usual
  const lastMs = expected.startMs + lastMeasuredHour(expected, Infinity) * hourMs
  const hours = Math.round((lastMs - startMs) / hourMs)
  const forecast = hours < 1 ? undefined : filledHours(expected, startMs, hours)
  if (!forecast) return places.map((place) => ({ ...place, ahead: place.usual }))
  const sameGarden = before?.some((place) => place.usual === garden.usual)
  return places.map((place) => {
    const known = sameGarden ? before!.find((one) => one.id === place.id && one.usual === place.usual) : undefined
    return { ...place, ahead: known?.ahead ?? withForecast(place.usual, airKindOf(place), garden.usual, forecast) }
  })
}

/** Whether two records tell the same. */
export const sameRecord = (a: HourlyRecord | undefined, b: HourlyRecord | undefined): boolean =>
  a === b ||
  (a !== undefined &&
    b !== undefined &&
    a.startMs === b.startMs &&
    hoursOf(a) === hoursOf(b) &&
    a.temperatureC.every((t, i) => Object.is(t, b.temperatureC[i])) &&
    a.relativeHumidityPct.every((rh, i) => Object.is(rh, b.relativeHumidityPct[i])))

/** The air a place had between two instants up to now, hour by hour. */
export function airThen(place: PlaceState, climate: Climate, fromMs: number, hours: number, nowMs: number): AirSeries {
  return (
    (place.record && filledHours(place.record, fromMs, hours, nowMs - 1)) ??
    assumedAir(airKindOf(place), climate, fromMs, hours)
  )
}

/** Whether a change in a place's record reaches back behind what counts as settled. */
export const unsettles = (changedFromMs: number, nowMs: number): boolean => changedFromMs < settledFrom(nowMs)

/** Up to here a place's past is settled: later readings do not change it any more, ms. */
export const settledFrom = (nowMs: number): number => nowMs - settledHours * hourMs
