import { dayOf } from '../places'
import type { House } from './house'
import type { PlaceState } from './place'

/** How far a place's air over the coming months may be off the expected, °C standard deviation: by its fit. */
export const spreadAheadC = (house: House, { id, fit }: PlaceState, days = 120): number =>
  house.once(null, `spread ahead ${id}`, [fit, house.today], () => {
    const from = Math.max(0, dayOf(house.nowMs) - fit.firstDay)
    const ahead = fit.sdC.subarray(from, from + days)
    return ahead.reduce((sum, sd) => sum + sd, 0) / Math.max(1, ahead.length)
  })

/** Mean air of a place over the coming weeks, for saying why. */
export function meanAhead(house: House, place: PlaceState, days = 60) {
  return house.once(null, `mean ahead ${place.id} ${days}`, [place.ahead], () => {
    const hours = Math.min(place.ahead.hours, days * 24)
    let temperatureC = 0
    let relativeHumidityPct = 0
    for (let i = 0; i < hours; i++) {
      temperatureC += place.ahead.temperatureC[i]! / hours
      relativeHumidityPct += place.ahead.relativeHumidityPct[i]! / hours
    }
    return { temperatureC, relativeHumidityPct }
  })
}
