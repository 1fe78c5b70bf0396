import { guessedClimate } from '../assumptions'
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

/** A climate to begin with, from latitude and altitude, until the household has measured its own year. */
export function climateFor(latitudeDeg: number, altitudeM: number): Climate {
  const { meanC, fromDeg, perDegreeC, perMetreC, swing, humidityPct, warmestDay } = guessedClimate
  const away = Math.abs(latitudeDeg)
  return {
    meanC: meanC - perDegreeC * Math.max(0, away - fromDeg) - perMetreC * altitudeM,
    swingC: Math.min(swing.mostC, swing.atEquatorC + swing.perDegreeC * away),
    humidityPct,
    warmestDay: latitudeDeg >= 0 ? warmestDay.north : warmestDay.south,
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
