import { readFileSync } from 'node:fs'
import { airSeries, saturationVapourPressureKPa, type AirSeries } from '@vadose/core/air'
import { normalDeviate, stream } from '@vadose/core/chance'

interface Day {
  location: string
  date: string
  rainMm: number
  highC: number
  lowC: number
  windMs: number
}

/** Daily weather of Seattle and New York, 2012–2015, as `vega-datasets` carries it. */
function load(): Day[] {
  return readFileSync('node_modules/vega-datasets/data/weather.csv', 'utf8')
    .trim()
    .split('\n')
    .slice(1)
    .map((line) => {
      const [location, date, rain, high, low, wind] = line.split(',')
      return {
        location: location!,
        date: date!,
        rainMm: Number(rain),
        highC: Number(high),
        lowC: Number(low),
        windMs: Number(wind),
      }
    })
}

export const days = load()

export interface Weather {
  air: AirSeries
  /** wind by hour, m/s */
  wind: Float64Array
}

/**
 * Hourly air from the daily records: temperature swings between the day's low and high; the dew point stands a little
 * below the low, less on wet days (a usual stand-in where humidity is not recorded), with noise of its own.
 */
export function hourly(from: number, count: number, next: () => number): Weather {
  const t = new Float64Array(count * 24)
  const rh = new Float64Array(count * 24)
  const wind = new Float64Array(count * 24)
  let drift = 0
  for (let d = 0; d < count; d++) {
    const day = days[from + d]!
    const tomorrow = days[from + d + 1] ?? day
    drift = 0.6 * drift + 0.9 * normalDeviate(next)
    const dew = day.lowC - (day.rainMm > 0.5 ? 0.4 : 2.6) + drift
    for (let h = 0; h < 24; h++) {
      const rising = h < 15
      const low = rising ? day.lowC : tomorrow.lowC
      const phase = rising ? Math.cos((Math.PI * (h - 15)) / 11) : Math.cos((Math.PI * (h - 15)) / 14)
      const i = d * 24 + h
      t[i] = (low + day.highC) / 2 + ((day.highC - low) / 2) * Math.max(-1, phase)
      const vapour = saturationVapourPressureKPa(Math.min(dew, t[i]! - 0.2))
      rh[i] = Math.min(99, Math.max(15, (100 * vapour) / saturationVapourPressureKPa(t[i]!)))
      wind[i] = day.windMs
    }
  }
  return { air: airSeries(0, t, rh), wind }
}

/** Records of a place from mid June to early August, when alliums come in, with enough days after them. */
export const summerStarts = (location: string, daysAfter: number): number[] =>
  days.flatMap((day, i) =>
    day.location === location &&
    /-(06-(1[5-9]|2|3)|07-|08-0)/.test(day.date) &&
    days[i + daysAfter]?.location === location &&
    days[i + daysAfter]!.date.slice(0, 4) === day.date.slice(0, 4)
      ? [i]
      : [],
  )

/**
 * What the logger of the place wrote in the same weeks of the years before (after, for the first year), one after
 * another: a household that has measured before.
 */
export function earlierYears(start: number, fromDay: number, count: number): AirSeries {
  const first = days[start]!
  const next = stream(start)
  const parts = days.flatMap((day, i) =>
    day.location === first.location && day.date.slice(5) === first.date.slice(5) && i !== start
      ? [hourly(i + fromDay - 10, count + 10, next).air]
      : [],
  )
  const joined = (pick: (air: AirSeries) => Float64Array) => Float64Array.from(parts.flatMap((air) => [...pick(air)]))
  return airSeries(
    0,
    joined((air) => air.temperatureC),
    joined((air) => air.relativeHumidityPct),
  )
}
