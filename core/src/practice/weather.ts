import { saturationVapourPressureKPa } from '../air'
import { dayMs } from '../households'
import { outdoorNormal, placeKinds, type Climate, type PlaceKind } from '../places'

/**
 * Invented weather: a smooth function of the instant and a seed, so that any hour can be asked for in any order
 * and the same seed always gives the same year.
 */
export interface Weather {
  climate: Climate
  seed: number
}

/** A slow wave of several periods (days) that never repeats within a life, about −1…1. */
function wave(days: number, seed: number, periods: readonly number[]): number {
  let sum = 0
  periods.forEach((period, i) => {
    const phase = Math.sin((seed + 1) * 12.9898 + i * 78.233) * 43758.5453
    sum += Math.sin((2 * Math.PI * days) / period + phase) / (1 + 0.35 * i)
  })
  return sum / 1.9
}

const fronts = [8.3, 5.1, 13.7, 3.3, 22.9]
const skies = [6.7, 4.3, 11.9, 2.7]

/** Hash of an hour, 0…1: the jitter of a cheap sensor. */
function jitter(hour: number, salt: number): number {
  const x = Math.sin(hour * 127.1 + salt * 311.7) * 43758.5453
  return x - Math.floor(x)
}

export interface Air {
  temperatureC: number
  relativeHumidityPct: number
}

/** Cloud cover, 0 clear … 1 rain. */
const cloud = ({ seed }: Weather, days: number) => 1 / (1 + Math.exp(-2.6 * wave(days, seed + 3, skies)))

/** Air outdoors at an instant. */
export function outdoorsAt(weather: Weather, ms: number): Air {
  const days = ms / dayMs
  const hourOfDay = (days - Math.floor(days)) * 24
  const grey = cloud(weather, days)
  const mean =
    outdoorNormal(weather.climate, ms).temperatureC + 4.2 * wave(days, weather.seed, fronts) - 1.5 * (grey - 0.5)
  const temperatureC = mean + (1 - 0.65 * grey) * 5.2 * Math.cos((2 * Math.PI * (hourOfDay - 14.5)) / 24)
  const dewPoint = mean - 1.2 - 5.5 * (1 - grey)
  const rh = (100 * saturationVapourPressureKPa(dewPoint)) / saturationVapourPressureKPa(temperatureC)
  return { temperatureC, relativeHumidityPct: Math.min(98, Math.max(22, rh)) }
}

/** Rain in the hour that begins at an instant, mm: out of the thickest cloud only. */
export function rainAt(weather: Weather, ms: number): number {
  const grey = cloud(weather, ms / dayMs)
  const shower = jitter(Math.floor(ms / 3_600_000), weather.seed + 5)
  return grey > 0.82 && shower > 0.45 ? Math.round((grey - 0.82) * 130 * shower) / 10 : 0
}

/** What the weather station expects of an instant: the truth, off by more the further ahead it is. */
export function forecastAt(weather: Weather, madeMs: number, ms: number): Air {
  const { temperatureC, relativeHumidityPct } = outdoorsAt(weather, ms)
  const days = (ms - madeMs) / dayMs
  const off = wave(ms / dayMs, weather.seed + 11 + Math.floor(madeMs / dayMs), skies)
  return {
    temperatureC: temperatureC + off * (0.6 + 0.3 * days),
    relativeHumidityPct: Math.min(98, Math.max(20, relativeHumidityPct - off * (3 + days))),
  }
}

/** Hours over which a kind of place smooths the weather. */
const smoothHours: Record<PlaceKind, number> = {
  outdoors: 1,
  veranda: 2,
  loft: 10,
  room: 24,
  'cool-room': 48,
  shed: 14,
  cellar: 240,
  fridge: 1,
  freezer: 1,
  ground: 96,
  clamp: 160,
}

/** a lid is left ajar of an evening about so often */
const ajarOnceInDays = 40
const ajarHours = 5
const ajarWarmsC = 7.5
/** How much warmer a freezer is for its lid: most days not at all. */
function lidAjar(ms: number, salt: number): number {
  const day = Math.floor(ms / dayMs)
  if (jitter(day, salt + 31) > 1 / ajarOnceInDays) return 0
  const since = ms / 3_600_000 - (day * 24 + 17)
  if (since < 0) return 0
  return since < ajarHours ? (ajarWarmsC * since) / ajarHours : ajarWarmsC * Math.exp((ajarHours - since) / 1.5)
}

/** Air of a place of the house at an instant, as a logger there would see it. */
export function placeAt(weather: Weather, kind: PlaceKind, ms: number, salt: number): Air {
  if (kind === 'outdoors') return outdoorsAt(weather, ms)
  const profile = placeKinds[kind]
  const hours = smoothHours[kind]
  // four looks back over the smoothing time stand for its mean
  let outT = 0
  let outVapour = 0
  for (let i = 0; i < 4; i++) {
    const air = outdoorsAt(weather, ms - ((i + 0.5) * hours * 3_600_000) / 4)
    outT += air.temperatureC / 4
    outVapour += (saturationVapourPressureKPa(air.temperatureC) * air.relativeHumidityPct) / 400
  }
  const seasonal = outdoorNormal(weather.climate, ms - profile.lagDays * dayMs).temperatureC
  const normal = outdoorNormal(weather.climate, ms)
  const throughWall = profile.gain * (kind === 'cellar' ? 0.3 : 1)
  const noise = jitter(Math.floor(ms / 3_600_000), salt) - 0.5
  const temperatureC =
    profile.usualMeanC +
    profile.gain * (seasonal - weather.climate.meanC) +
    throughWall * (outT - normal.temperatureC) +
    noise * 0.5 +
    (kind === 'freezer' ? lidAjar(ms, salt) : 0)
  const usualVapour = (saturationVapourPressureKPa(profile.usualMeanC) * profile.usualHumidityPct) / 100
  const meanVapour = (saturationVapourPressureKPa(weather.climate.meanC) * weather.climate.humidityPct) / 100
  const vapour = Math.max(0.2, usualVapour + profile.followsVapour * (outVapour - meanVapour))
  const rh =
    (100 * vapour) / saturationVapourPressureKPa(temperatureC) +
    (jitter(Math.floor(ms / 3_600_000), salt + 9) - 0.5) * 2
  const damped = profile.usualHumidityPct + (rh - profile.usualHumidityPct) * (kind === 'veranda' ? 1 : 0.7)
  return { temperatureC, relativeHumidityPct: Math.min(97, Math.max(18, damped)) }
}
