import { recentAirMemoryDays, recentAirShare } from '../assumptions'
import { airSeries, hourMs, saturationVapourPressureKPa, type AirSeries } from '../air'
import { dayMs } from '../households'
import { outdoorNormal, type Climate } from './climate'
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
  const temperature = new Float64Array(hours)
  const humidity = new Float64Array(hours)
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
  const temperatureC = new Float64Array(hoursADay)
  const pull = new Float64Array(hoursADay)
  const seen = new Float64Array(hoursADay)
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

/**
 * The air expected in a place: its recent days go on, and give way to what the season brings to a place of its kind.
 * @param recent the place's last days, at least one hour
 * @param fromMs first hour ahead, ms UTC
 * @param season omitted: the recent days simply repeat
 * @param earlier the place's own readings of the same weeks in earlier years, where it has them: weather forgets its
 *   last days within a week, so they count for more than the recent ones
 */
export function airAhead(
  recent: AirSeries,
  fromMs: number,
  hours: number,
  season?: { climate: Climate; kind: PlaceKind },
  earlier?: AirSeries,
): AirSeries {
  const day = earlier && earlier.hours >= 7 * hoursADay ? blend(usualDay(recent), usualDay(earlier)) : usualDay(recent)
  const startMs = Math.floor(fromMs / hourMs) * hourMs
  const temperature = new Float64Array(hours)
  const humidity = new Float64Array(hours)
  const drift = season ? seasonalDrift(season.climate, season.kind, startMs, day) : undefined
  let shiftC = 0
  let shiftRh = 0
  for (let i = 0; i < hours; i++) {
    const ms = startMs + i * hourMs
    const hour = Math.floor(ms / hourMs) % hoursADay
    if (drift && i % hoursADay === 0) ({ shiftC, shiftRh } = drift(ms))
    temperature[i] = day.temperatureC[hour]! + shiftC
    humidity[i] = Math.min(98, Math.max(15, day.relativeHumidityPct[hour]! + shiftRh))
  }
  return airSeries(startMs, temperature, humidity)
}

/** Recent days and the same weeks of earlier years, hour by hour: the mean pull is what is blended. */
function blend(recent: UsualDay, earlier: UsualDay): UsualDay {
  const mix = (a: number, b: number) => recentAirShare * a + (1 - recentAirShare) * b
  const temperatureC = recent.temperatureC.map((t, hour) => mix(t, earlier.temperatureC[hour]!))
  const pull = (day: UsualDay, hour: number) =>
    saturationVapourPressureKPa(day.temperatureC[hour]!) * (1 - day.relativeHumidityPct[hour]! / 100)
  return {
    temperatureC,
    relativeHumidityPct: temperatureC.map(
      (t, hour) => 100 * (1 - mix(pull(recent, hour), pull(earlier, hour)) / saturationVapourPressureKPa(t)),
    ),
  }
}

/**
 * How far a place's daily means will have moved from its recent ones.
 * Temperature follows the outdoor season by the kind's gain and lag (never below the kind's heated floor);
 * vapour follows the outdoor vapour, so a heated room grows dry in winter and a cellar stays damp.
 */
function seasonalDrift(climate: Climate, kind: PlaceKind, nowMs: number, day: ReturnType<typeof usualDay>) {
  const { usualHumidityPct, followsVapour } = placeKinds[kind]
  const mean = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / values.length
  const meanT = mean(day.temperatureC)
  const meanRh = mean(day.relativeHumidityPct)
  const usual = (ms: number) => usualAir(kind, climate, ms).temperatureC
  const oddC = meanT - usual(nowMs)
  const vapourNow = (saturationVapourPressureKPa(meanT) * meanRh) / 100
  const outNow = outdoorNormal(climate, nowMs).vapourPressureKPa
  return (ms: number) => {
    const fade = Math.exp(-(ms - nowMs) / (recentAirMemoryDays * dayMs))
    // half of what sets this place apart from its kind stays: a house differs from the book for good
    const t = usual(ms) + oddC * (0.5 + 0.5 * fade)
    const vapour = vapourNow + followsVapour * (outdoorNormal(climate, ms).vapourPressureKPa - outNow)
    const fromVapour = (100 * vapour) / saturationVapourPressureKPa(t)
    const rh = 0.6 * fromVapour + 0.4 * (meanRh * fade + usualHumidityPct * (1 - fade))
    return { shiftC: t - meanT, shiftRh: rh - meanRh }
  }
}

/** Hours after which what the forecast changed has left a place again. */
const forecastFadesHours = 96

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
