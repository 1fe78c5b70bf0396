import type { Crop } from '../almanac'
import { floats } from '../rows'
import { mostQ10, slopeFittedToC } from '../assumptions'

export const tableFromC = -40
export const tableStepC = 0.1
export const tableSize = 1201

interface TemperatureTables {
  rot: Float64Array
  sprouting: Float64Array
}

const tables = new WeakMap<Crop, TemperatureTables>()

/** Rates that hang on temperature alone, a tenth of a degree apart, worked out once a crop. */
export function tablesFor(crop: Crop): TemperatureTables {
  let made = tables.get(crop)
  if (!made) {
    made = { rot: floats(tableSize), sprouting: floats(tableSize) }
    for (let i = 0; i < tableSize; i++) {
      const t = tableFromC + i * tableStepC
      made.rot[i] = rotRatePerDay(crop, t)
      made.sprouting[i] = sproutingRatePerDay(crop, t)
    }
    tables.set(crop, made)
  }
  return made
}

/**
 * Ageing and rot a day in the air it likes, as a share of the time in which half are gone: faster as it breathes faster.
 * @param temperatureC °C; the crop's own Q10 where it has one, else its respiration's slope within its fit
 */
function rotRatePerDay(crop: Crop, temperatureC: number): number {
  const { ageingDays, ageingAtC, respiration, ageingQ10 } = crop.keeping
  const fahrenheit = (c: number) => Math.max(10, (9 * c) / 5 + 32)
  const breathes = (c: number) => {
    const fitted = (t: number) => fahrenheit(t) ** (respiration?.value.g ?? 0)
    return c <= slopeFittedToC
      ? fitted(c)
      : Math.min(fitted(c), fitted(slopeFittedToC) * mostQ10 ** ((c - slopeFittedToC) / 10))
  }
  const slope =
    ageingQ10 || !respiration
      ? (ageingQ10?.value ?? 2) ** ((temperatureC - ageingAtC.value) / 10)
      : breathes(temperatureC) / breathes(ageingAtC.value)
  return slope / ageingDays.value
}

/** Sprouting a day: straight lines between the crop's known times, which have a worst temperature in the middle. */
function sproutingRatePerDay(crop: Crop, temperatureC: number): number {
  const points = crop.keeping.sproutingDays?.value
  if (!points) return 0
  const first = points[0]!
  if (temperatureC <= first[0]) return 1 / first[1]
  for (let i = 1; i < points.length; i++) {
    const [t1, d1] = points[i]!
    const [t0, d0] = points[i - 1]!
    if (temperatureC <= t1) return 1 / (d0 + ((temperatureC - t0) / (t1 - t0)) * (d1 - d0))
  }
  return 1 / points[points.length - 1]![1]
}

/** How much quicker the common clock runs a degree warmer there: change of its logarithm, 1/K, the steeper of its ends. */
export function paceSlopePerC(crop: Crop, temperatureC: number): number {
  const slope = (rate: (t: number) => number) => {
    const [below, above] = [rate(temperatureC - 1), rate(temperatureC + 1)]
    return below > 0 && above > 0 ? Math.abs(Math.log(above / below)) / 2 : 0
  }
  return Math.max(
    slope((t) => rotRatePerDay(crop, t)),
    slope((t) => sproutingRatePerDay(crop, t)),
  )
}
