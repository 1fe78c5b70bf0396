import { hourMs, type AirSeries } from '../air'
import { addDays, daysBetween, type CivilDate } from '../households'
import type { House } from './house'

const aheadDays = 5
const noonMs = 12 * hourMs
/** A day with fewer hours than this says nothing of its highest and lowest. */
const leastHours = 12

/** One day outdoors. */
export interface WeatherDay {
  on: CivilDate
  highC: number
  lowC: number
  /** the lowest from noon to the next noon: the night that begins on this day */
  nightC: number
  humidityPct: number
  /** mm; null where nobody says */
  rainMm: number | null
  /** to come */
  ahead: boolean
}

/**
 * The garden's weather by the household's days: so many back, and today and the days ahead by forecast or by the recent
 * days. Today's highest and lowest are of its hours gone and to come together.
 */
export function weatherOf(house: House, daysBack: number): WeatherDay[] {
  const garden = house.places.find((place) => place.kind === 'outdoors')
  if (!garden) return []
  return house.once(null, `weather ${daysBack}`, [garden.past, garden.ahead, house.today, house.rainMm], () => {
    const from = addDays(house.today, -daysBack)
    const days = Array.from({ length: daysBack + aheadDays }, () => ({
      t: [] as number[],
      rh: [] as number[],
      night: [] as number[],
    }))
    const take = (air: AirSeries, first: number, last: number) => {
      for (let i = Math.max(0, first); i < Math.min(air.hours, last); i++) {
        const day = days[daysBetween(from, house.dateOf(air.startMs + i * hourMs))]
        day?.t.push(air.temperatureC[i]!)
        day?.rh.push(air.relativeHumidityPct[i]!)
        const evening = days[daysBetween(from, house.dateOf(air.startMs + i * hourMs - noonMs))]
        evening?.night.push(air.temperatureC[i]!)
      }
    }
    take(garden.past, garden.past.hours - (daysBack + 1) * 24 - 1, garden.past.hours)
    take(garden.ahead, 0, (aheadDays + 1) * 24)
    return days.flatMap(({ t, rh, night }, i) => {
      if (t.length < leastHours) return []
      const on = addDays(from, i)
      return [
        {
          on,
          highC: Math.max(...t),
          lowC: Math.min(...t),
          nightC: Math.min(...(night.length > 0 ? night : t)),
          humidityPct: rh.reduce((a, b) => a + b, 0) / rh.length,
          rainMm: house.rainMm.get(on) ?? null,
          ahead: on >= house.today,
        },
      ]
    })
  })
}
