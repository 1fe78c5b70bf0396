import type { WeatherDay } from '@vadose/contract/places'
import { hourMs, type AirSeries } from '@vadose/core/air'
import type { HouseholdState } from '../households'

const aheadDays = 5

/** The garden's weather: so many days back, and the days ahead by forecast or by the recent days. */
export function weatherOf(state: HouseholdState, daysBack: number): WeatherDay[] {
  const garden = state.places.find((place) => place.kind === 'outdoors')
  if (!garden) return []
  const { past, ahead } = garden
  return [...days(state, past, past.hours - daysBack * 24, daysBack, false), ...days(state, ahead, 0, aheadDays, true)]
}

/** Highest, lowest and mean humidity of each day of a series. */
function days(state: HouseholdState, air: AirSeries, from: number, count: number, ahead: boolean): WeatherDay[] {
  const out: WeatherDay[] = []
  for (let day = 0; day < count; day++) {
    const start = from + day * 24
    const t = Array.from(air.temperatureC.subarray(Math.max(0, start), Math.max(0, start + 24)))
    if (t.length < 12) continue
    const rh = Array.from(air.relativeHumidityPct.subarray(start, start + 24))
    const on = state.dateOf(air.startMs + (start + 12) * hourMs)
    out.push({
      on,
      highC: Math.max(...t),
      lowC: Math.min(...t),
      humidityPct: rh.reduce((a, b) => a + b, 0) / rh.length,
      rainMm: state.rainMm.get(on) ?? null,
      ahead,
    })
  }
  return out
}
