import { saturationVapourPressureKPa } from '../air'
import { dayMs } from '../households'

/** The year outdoors in its simplest form: a mean, a swing, and the damp that goes with it. */
export interface Climate {
  /** yearly mean, °C */
  meanC: number
  /** half the difference between the warmest and the coldest month, °C */
  swingC: number
  /** usual humidity outdoors over the day, % */
  humidityPct: number
  /** day of the year of the warmest days: about 200 in the north, 20 in the south */
  warmestDay: number
}

/**
 * A climate to begin with, from latitude and altitude, until the household has measured its own year.
 * Judgement from memory: means fall 0.6 °C a degree of latitude beyond 30° and 0.6 °C every 100 m.
 */
export function climateFor(latitudeDeg: number, altitudeM: number): Climate {
  const away = Math.abs(latitudeDeg)
  return {
    meanC: 20.5 - 0.6 * Math.max(0, away - 30) - 0.006 * altitudeM + 1.5,
    swingC: Math.min(16, 2 + 0.17 * away),
    humidityPct: 77,
    warmestDay: latitudeDeg >= 0 ? 201 : 19,
  }
}

/** The usual daily mean outdoors at an instant. */
export function outdoorNormal(climate: Climate, ms: number): { temperatureC: number; vapourPressureKPa: number } {
  const yearMs = 365.25 * dayMs
  // 1970 began on day 1: the phase within a mean year is all that counts
  const day = ((ms % yearMs) / dayMs + 365.25) % 365.25
  const temperatureC =
    climate.meanC + climate.swingC * Math.cos((2 * Math.PI * (day + 1 - climate.warmestDay)) / 365.25)
  return {
    temperatureC,
    vapourPressureKPa: (saturationVapourPressureKPa(temperatureC) * climate.humidityPct) / 100,
  }
}
