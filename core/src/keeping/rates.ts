import { homeToleranceFactor, packingFactor } from '../assumptions'
import type { AirSeries } from '../air'
import type { Crop } from '../crops'

export type Packing = keyof typeof packingFactor

/** The ways keeping ends. */
export const ends = ['sprouting', 'drying out', 'rot', 'rooting', 'mould', 'frost'] as const
export type End = (typeof ends)[number]

/**
 * How alike the pieces of a lot are for each end: Weibull shape, 1 = any day alike, 5 = nearly all at once.
 * Judgement: sprouting and shrivel come to a whole net within weeks, rot comes piece by piece.
 */
export const endShape: Record<End, number> = {
  sprouting: 5,
  'drying out': 5,
  rot: 2.5,
  rooting: 3,
  mould: 2,
  frost: 2,
}

/** Temperatures the keeping model answers for, °C, and humidities, %. */
export const keepingRange = { temperatureC: [-10, 40], relativeHumidityPct: [10, 100] } as const

const tableFromC = -40
const tableStepC = 0.1
const tableSize = 1201

interface TemperatureTables {
  rot: Float64Array
  sprouting: Float64Array
}

const tables = new WeakMap<Crop, TemperatureTables>()

/** Rates that hang on temperature alone, a tenth of a degree apart, worked out once a crop. */
function tablesFor(crop: Crop): TemperatureTables {
  let made = tables.get(crop)
  if (!made) {
    made = { rot: new Float64Array(tableSize), sprouting: new Float64Array(tableSize) }
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
 * Heat of respiration, W/kg.
 * @param temperatureC °C; fitted for 0–27 °C or so
 * @source Becker, Misra & Fricke 1996: CO2 = f (9T/5 + 32)^g mg/(kg·h), 10.7 J a mg CO2. Trust the slope more than the level.
 */
export function respirationWPerKg(crop: Crop, temperatureC: number): number {
  const { f, g } = crop.keeping.respiration.value
  return (f * Math.max(0, (9 * temperatureC) / 5 + 32) ** g * 10.7) / 3600
}

/** Ageing and rot a day in dry air, as a share of the time in which half are gone: faster as the crop breathes faster. */
function rotRatePerDay(crop: Crop, temperatureC: number): number {
  const slope = (Math.max(10, (9 * temperatureC) / 5 + 32) / 32) ** crop.keeping.respiration.value.g
  return slope / crop.keeping.ageingDaysAtZero.value
}

/** Sprouting a day: straight lines between the crop's known times, which have a worst temperature in the middle. */
function sproutingRatePerDay(crop: Crop, temperatureC: number): number {
  const points = crop.keeping.sproutingDays.value
  const first = points[0]!
  if (temperatureC <= first[0]) return 1 / first[1]
  for (let i = 1; i < points.length; i++) {
    const [t1, d1] = points[i]!
    const [t0, d0] = points[i - 1]!
    if (temperatureC <= t1) return 1 / (d0 + ((temperatureC - t0) / (t1 - t0)) * (d1 - d0))
  }
  return 1 / points[points.length - 1]![1]
}

/** Weight lost, % an hour, for 1 kPa of pull: ng/(kg·s·Pa) × 1000 Pa × 3600 s, slowed by the packing. */
export const lossPctPerHourPerKPa = (crop: Crop, packing: Packing): number =>
  crop.keeping.transpiration.value * 1e-12 * 1000 * 3600 * 100 * packingFactor[packing]

/** Loss of weight at which a household calls it dried out, %. */
export const bearableLossPct = (crop: Crop): number => crop.keeping.largestLossPct.value * homeToleranceFactor

/**
 * How far each end has come, day by day: 1 is the point where half the pieces of a usual lot have met it.
 * @param air hourly, from the day the lot was ready to store
 * @returns one array an end (order of `ends`), each of days + 1 values, never falling; and weight lost, %
 */
export function agesByDay(
  crop: Crop,
  air: AirSeries,
  packing: Packing,
): { ages: Float64Array[]; lossPct: Float64Array } {
  const days = Math.floor(air.hours / 24)
  const { rot, sprouting } = tablesFor(crop)
  const ages = ends.map(() => new Float64Array(days + 1))
  const lossPct = new Float64Array(days + 1)
  const [sproutAge, dryAge, rotAge, rootAge, mouldAge, frostAge] = ages as [
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
    Float64Array,
  ]
  const { temperatureC, relativeHumidityPct, vpdKPa, mouldExcessPct } = air
  const lossRate = lossPctPerHourPerKPa(crop, packing)
  const bearable = bearableLossPct(crop)
  const rootsAbove = crop.keeping.rootsAbovePct.value
  const rootScale = 1 / ((90 - rootsAbove) * crop.keeping.rootingDays.value * 24)
  const freezesAt = crop.keeping.freezesAtC.value
  let sproutSum = 0
  let rotSum = 0
  let rootSum = 0
  let mouldSum = 0
  let frostSum = 0
  let loss = 0
  for (let day = 0; day < days; day++) {
    for (let i = day * 24; i < day * 24 + 24; i++) {
      const t = temperatureC[i]!
      const rh = relativeHumidityPct[i]!
      const cell = Math.min(tableSize - 1, Math.max(0, Math.round((t - tableFromC) / tableStepC)))
      sproutSum += sprouting[cell]!
      rotSum += rot[cell]! * (rh > 75 ? 1 + (rh - 75) * 0.08 : 1)
      loss += vpdKPa[i]! * lossRate
      if (rh > rootsAbove && t > 0) rootSum += (rh - rootsAbove) * rootScale * (t < 16 ? t * 0.1 : 1.6)
      mouldSum += mouldExcessPct[i]!
      if (t < freezesAt) frostSum += freezesAt - t
    }
    sproutAge[day + 1] = sproutSum / 24
    rotAge[day + 1] = rotSum / 24
    rootAge[day + 1] = rootSum
    // judgement: ten points above the mould limit for forty days takes half; a degree of frost for a day takes half
    mouldAge[day + 1] = mouldSum / (10 * 40 * 24)
    frostAge[day + 1] = frostSum / 24
    lossPct[day + 1] = loss
    dryAge[day + 1] = loss / bearable
  }
  return { ages, lossPct }
}
