import { forecastFadesHours, recentAirMemoryDays, usualHumidityDays, vapourShare } from '../assumptions'
import { airSeries, hourMs, saturationVapourPressureKPa, type AirSeries } from '../air'
import { dayMs } from '../households'
import { floats, floatsOf } from '../rows'
import { outdoorNormal, type Climate } from './climate'
import { dayOf, type DailyAir } from './daily'
import { type PlaceFit } from './fit'
import { placeKinds, type PlaceKind } from './kinds'

const hoursADay = 24

/** The air a place of this kind usually has at an instant, before anybody has measured it. */
export function usualAir(kind: PlaceKind, climate: Climate, ms: number) {
  const { gain, lagDays, usualMeanC, usualHumidityPct } = placeKinds[kind]
  const outside = outdoorNormal(climate, ms - lagDays * dayMs).temperatureC
  return { temperatureC: usualMeanC + gain * (outside - climate.meanC), relativeHumidityPct: usualHumidityPct }
}

/** Hourly air of an unmeasured place, from what its kind usually has. */
export function assumedAir(kind: PlaceKind, climate: Climate, fromMs: number, hours: number): AirSeries {
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const temperature = floats(hours)
  const humidity = floats(hours)
  let usual = usualAir(kind, climate, startMs)
  for (let i = 0; i < hours; i++) {
    if (i % hoursADay === 0) usual = usualAir(kind, climate, startMs + i * hourMs)
    temperature[i] = usual.temperatureC
    humidity[i] = usual.relativeHumidityPct
  }
  return airSeries(startMs, temperature, humidity)
}

export interface UsualDay {
  temperatureC: Float64Array
  relativeHumidityPct: Float64Array
}

/**
 * The usual day in a stretch of air: mean of each hour of the day. The humidity is the one that gives the hour's mean
 * pull, since drying goes by the pull and a mean of humidities would understate it.
 */
export function usualDay(recent: AirSeries): UsualDay {
  const temperatureC = floats(hoursADay)
  const pull = floats(hoursADay)
  const seen = floats(hoursADay)
  for (let i = 0; i < recent.hours; i++) {
    const hour = Math.floor((recent.startMs + i * hourMs) / hourMs) % hoursADay
    temperatureC[hour]! += recent.temperatureC[i]!
    pull[hour]! += recent.vpdKPa[i]!
    seen[hour]!++
  }
  const mean = (sums: Float64Array) => {
    const all = sums.reduce((a, b) => a + b, 0) / Math.max(1, recent.hours)
    return sums.map((sum, hour) => (seen[hour]! > 0 ? sum / seen[hour]! : all))
  }
  const t = mean(temperatureC)
  return {
    temperatureC: t,
    relativeHumidityPct: mean(pull).map((kPa, hour) => 100 * (1 - kPa / saturationVapourPressureKPa(t[hour]!))),
  }
}

/** The recent days of a place, over and over: what is expected where nothing of its season is known. */
export function airAhead(recent: AirSeries, fromMs: number, hours: number): AirSeries {
  const day = usualDay(recent)
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const of = (values: Float64Array) =>
    floatsOf(hours, (i) => values[Math.floor((startMs + i * hourMs) / hourMs) % hoursADay]!)
  return airSeries(startMs, of(day.temperatureC), of(day.relativeHumidityPct))
}

/**
 * The air expected in a place hour by hour: the mean of each day by its fit, and the usual day about it.
 * @param recent the place's last days, at least one hour: the shape of a day, and how damp it is now
 * @param fit reaching over the hours asked for
 * @param read daily means of all that was read, for how damp it usually is
 */
export function expectedAir(
  recent: AirSeries,
  fit: PlaceFit,
  kind: PlaceKind,
  fromMs: number,
  hours: number,
  read?: DailyAir,
): AirSeries {
  const shape = usualDay(recent)
  const meanOf = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / values.length
  const [meanT, meanRh] = [meanOf(shape.temperatureC), meanOf(shape.relativeHumidityPct)]
  const ownRh = usualHumidity(kind, read)
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const temperature = floats(hours)
  const humidity = floats(hours)
  let [t, rh, day] = [0, 0, -1]
  for (let i = 0; i < hours; i++) {
    const ms = startMs + i * hourMs
    if (dayOf(ms) !== day) {
      day = dayOf(ms)
      const at = Math.min(fit.temperatureC.length - 1, Math.max(0, day - fit.firstDay))
      t = fit.temperatureC[at]!
      const byVapour = (100 * fit.vapourPressureKPa[at]!) / saturationVapourPressureKPa(t)
      const fade = Math.exp(-(ms - startMs) / (recentAirMemoryDays * dayMs))
      rh = vapourShare * byVapour + (1 - vapourShare) * (meanRh * fade + ownRh * (1 - fade))
    }
    const hour = Math.floor(ms / hourMs) % hoursADay
    temperature[i] = t + shape.temperatureC[hour]! - meanT
    humidity[i] = Math.min(98, Math.max(15, rh + shape.relativeHumidityPct[hour]! - meanRh))
  }
  return airSeries(startMs, temperature, humidity)
}

/** How damp a place is by itself, %: as it was over the year, as its kind is where that is not known. */
function usualHumidity(kind: PlaceKind, read?: DailyAir): number {
  const { usualHumidityPct } = placeKinds[kind]
  let [sum, days] = [usualHumidityDays * usualHumidityPct, usualHumidityDays]
  if (read) {
    for (let d = 0; d < read.hours.length; d++) {
      if (read.hours[d]! <= 0) continue
      sum += Math.min(100, (100 * read.vapourPressureKPa[d]!) / saturationVapourPressureKPa(read.temperatureC[d]!))
      days++
    }
  }
  return sum / days
}

/**
 * Puts a weather forecast into the air expected in a place: outdoors it is that air, elsewhere what of the difference to
 * the usual comes through, smoothed by as much as the season comes late.
 * @param ahead the place's air without a forecast
 * @param usual outdoors without a forecast, from the same hour
 * @param forecast outdoors, from the same hour
 */
export function withForecast(ahead: AirSeries, kind: PlaceKind, usual: AirSeries, forecast: AirSeries): AirSeries {
  const temperature = ahead.temperatureC.slice()
  const humidity = ahead.relativeHumidityPct.slice()
  const { gain, lagDays, followsVapour } = placeKinds[kind]
  const vapourOf = (air: AirSeries, i: number) =>
    (saturationVapourPressureKPa(air.temperatureC[i]!) * air.relativeHumidityPct[i]!) / 100
  const pace = 1 / Math.max(1, lagDays * hoursADay)
  let offC = 0
  let offKPa = 0
  const until = Math.min(ahead.hours, forecast.hours + (kind === 'outdoors' ? 0 : forecastFadesHours))
  for (let i = 0; i < until; i++) {
    const known = i < forecast.hours
    if (kind === 'outdoors') {
      temperature[i] = forecast.temperatureC[i]!
      humidity[i] = forecast.relativeHumidityPct[i]!
      continue
    }
    offC += pace * ((known ? gain * (forecast.temperatureC[i]! - usual.temperatureC[i]!) : 0) - offC)
    offKPa += pace * ((known ? followsVapour * (vapourOf(forecast, i) - vapourOf(usual, i)) : 0) - offKPa)
    const vapour = Math.max(0.05, vapourOf(ahead, i) + offKPa)
    temperature[i]! += offC
    humidity[i] = Math.min(98, Math.max(15, (100 * vapour) / saturationVapourPressureKPa(temperature[i]!)))
  }
  return airSeries(ahead.startMs, temperature, humidity)
}
