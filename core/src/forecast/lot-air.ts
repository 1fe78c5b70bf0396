import { airSeries, hourMs, hoursOf, type AirSeries } from '../air'
import { passingFloats, rowsOf } from '../rows'
import type { House } from './house'
import type { LotState } from './lot'
import { airThen, type PlaceState } from './place'

/** The air a lot had between two whole hours of the past, by where it was. */
export function lotAirThen(house: House, lot: LotState, fromMs: number, toMs: number): AirSeries {
  const hours = Math.max(0, Math.round((toMs - fromMs) / hourMs))
  const { stays } = lot.history
  let rows: Float64Array[] | undefined
  // an hour is of the place the lot lay in as it began, so that a move made now changes only the hours to come
  const hourOf = (ms: number) => Math.ceil((ms - fromMs) / hourMs)
  for (let k = 0; k < Math.max(1, stays.length); k++) {
    const from = k === 0 ? 0 : Math.max(0, hourOf(stays[k]!.atMs))
    const to = k + 1 < stays.length ? Math.min(hours, Math.max(0, hourOf(stays[k + 1]!.atMs))) : hours
    const place = house.place(stays[k]?.placeId) ?? house.placeOf(lot)
    if (to <= from || !place) continue
    const air = airThen(place, house.climate, fromMs + from * hourMs, to - from, house.comingHourMs)
    // it has lain in one place all the time
    if (from === 0 && to === hours) return air
    rows ??= rowsOf(2, hours, passingFloats)
    rows[0]!.set(air.temperatureC, from)
    rows[1]!.set(air.relativeHumidityPct, from)
  }
  const [temperature, humidity] = (rows ?? rowsOf(2, hours, passingFloats)) as [Float64Array, Float64Array]
  return airSeries(fromMs, temperature, humidity)
}

export const firstHours = (air: AirSeries, hours: number): AirSeries => hoursOf(air, 0, hours)

/** The air a lot had since an instant, and will have where it is (or in `place`): two stretches end to end. */
export function lotAir(
  house: House,
  lot: LotState,
  fromMs: number,
  aheadHours: number,
  place: PlaceState | undefined = house.placeOf(lot),
): AirSeries[] {
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const past = lotAirThen(house, lot, startMs, Math.max(startMs + hourMs, house.comingHourMs))
  return place ? [past, firstHours(place.ahead, aheadHours)] : [past]
}

/** What a lot lived through changes when one of these does: where it was, and what is known of those places' past. */
export const livedThrough = (house: House, lot: LotState): string =>
  lot.history.stays.map((stay) => `${stay.atMs} ${stay.placeId} ${house.place(stay.placeId)?.epoch ?? ''}`).join(';')
