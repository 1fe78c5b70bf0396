import { saturationVapourPressureKPa } from '../air'
import { dayMs } from '../households'
import { allOf, type Pieces } from '../pieces'
import { floatsOf } from '../rows'
import { outdoorNormal, type Climate } from './climate'
import { dayOf, type DailyAir } from './daily'
import { behindWall, blended, likelyNoises, observed, stateFor, type State } from './filter'
import { placeKinds, type PlaceKind } from './kinds'
import {
  byHourC,
  guessedYearShare,
  hourTimes,
  lagLogSd,
  monthC,
  monthKPa,
  strayKPa,
  straysC,
  unmodelledC,
  unmodelledKPa,
  unsureOfKind,
  unsureVapour,
  vapourLagDays,
  vapourStray,
  weatherC,
} from '../assumptions'

/** The air outdoors day by day without a gap: as it was measured, and what is usual where it was not, and ahead. */
export interface OutdoorDays {
  firstDay: number
  temperatureC: Float64Array
  vapourPressureKPa: Float64Array
  /** up to this day it is what was; from then on, and where `known` is 0, what is usual */
  known: Uint8Array
  meanC: number
  meanKPa: number
}

/** @param measured in the garden; what is usual is put right by it */
export const outdoorDays = (...of: Parameters<typeof outdoorDaysInPieces>): OutdoorDays =>
  allOf(outdoorDaysInPieces(...of))

/** The same piece by piece, for whoever must not be kept long. */
export function* outdoorDaysInPieces(
  climate: Climate,
  fromMs: number,
  toMs: number,
  measured?: DailyAir,
): Pieces<OutdoorDays> {
  const firstDay = dayOf(fromMs)
  const days = dayOf(toMs) - firstDay + 1
  const at = (d: number) => outdoorNormal(climate, (firstDay + d + 0.5) * dayMs)
  const normal = Array.from({ length: days }, (_, d) => at(d))
  const plain: OutdoorDays = {
    firstDay,
    temperatureC: floatsOf(normal.length, (i) => normal[i]!.temperatureC),
    vapourPressureKPa: floatsOf(normal.length, (i) => normal[i]!.vapourPressureKPa),
    known: new Uint8Array(days),
    meanC: climate.meanC,
    meanKPa: (saturationVapourPressureKPa(climate.meanC) * climate.humidityPct) / 100,
  }
  if (!measured) return plain
  yield
  const usual = yield* placeFitInPieces('outdoors', plain, measured)
  const out: OutdoorDays = {
    ...plain,
    temperatureC: usual.temperatureC.slice(),
    vapourPressureKPa: usual.vapourPressureKPa.slice(),
    known: new Uint8Array(days),
  }
  for (let i = 0; i < measured.hours.length; i++) {
    const d = measured.firstDay + i - firstDay
    // a look at noon is no day's mean out of doors
    if (d < 0 || d >= days || measured.hours[i]! < 12) continue
    out.temperatureC[d] = measured.temperatureC[i]!
    out.vapourPressureKPa[d] = measured.vapourPressureKPa[i]!
    out.known[d] = 1
  }
  return out
}

const lagsDays = [0.3, 0.7, 1.5, 3, 5, 8, 13, 20, 30, 45, 65]

/** The air expected in a place day by day, with how sure of a month's mean. */
export interface PlaceFit {
  firstDay: number
  temperatureC: Float64Array
  vapourPressureKPa: Float64Array
  /** standard deviation of the mean of the month about each day, °C and kPa; what the weather does is in it */
  sdC: Float64Array
  sdKPa: Float64Array
  /** share of the outdoor season that comes through, and days it comes late: middle of what is believed */
  gain: number
  lagDays: number
  /** days with readings that it was fitted to */
  days: number
}

/**
 * What is to be expected of a place from whatever was read there, three times by hand or hourly for years, and from what
 * places of its kind are like: T = level + gain · outdoors behind a wall with a time constant; vapour likewise.
 * @param outdoors for all days it is asked about, from well before the first reading
 * @param read daily means of what was read; none: what is thought of its kind
 * @source first-order lag of a building's mass; priors are judgement, the book's figures of the kinds their middle
 */
export const placeFit = (kind: PlaceKind, outdoors: OutdoorDays, read?: DailyAir): PlaceFit =>
  allOf(placeFitInPieces(kind, outdoors, read))

/** The same lag by lag, for whoever must not be kept long. */
export function* placeFitInPieces(kind: PlaceKind, outdoors: OutdoorDays, read?: DailyAir): Pieces<PlaceFit> {
  const { gain, lagDays, usualMeanC, usualHumidityPct, followsVapour, airflow } = placeKinds[kind]
  const unsure = unsureOfKind[kind]
  const days = outdoors.temperatureC.length
  const yearShare = (tau: number) => 1 / Math.hypot(1, (2 * Math.PI * tau) / 365.25)
  const offset = read ? read.firstDay - outdoors.firstDay : 0
  // where the weather of those days is not known, it strays with it
  const unknown = read ? unknownShare(outdoors, read, offset) : 1
  const self = kind === 'outdoors'
  const centreC = self ? outdoors.meanC : usualMeanC
  const outC = outdoors.temperatureC.map((t) => t - outdoors.meanC)
  const seenC = read ? observed(read.temperatureC, read.hours, offset, days) : []
  const weather = (self ? 1 : unknown * gain * yearShare(lagDays)) * weatherC
  const noisesC = straysC.flatMap((stray) =>
    hourTimes.map((hour) => ({
      stray: Math.hypot(stray, weather),
      hour: hour * byHourC[airflow],
    })),
  )
  const priorFor = (tau: number) => ({
    level: centreC,
    levelSd: unsure.meanC,
    gain: gain / yearShare(tau),
    // the year outdoors is itself a guess where nobody measured it
    gainSd: Math.hypot(unsure.gain, self ? 0 : guessedYearShare * gain * unknown) / yearShare(tau),
  })
  const own = behindWall(outC, Math.max(0.3, lagDays))
  const noises = likelyNoises(own, priorFor(lagDays), seenC, noisesC)
  yield
  const states: State[] = []
  for (const tau of self ? [0.3] : lagsDays) {
    const x = behindWall(outC, tau)
    const lagWeight = -0.5 * (Math.log((tau + 0.2) / (lagDays + 0.2)) / lagLogSd) ** 2
    for (const noise of noises) {
      const state = stateFor(x, tau, priorFor(tau), noise, seenC)
      states.push({ ...state, logWeight: state.logWeight + lagWeight })
    }
    yield
  }
  const temperature = blended(
    states,
    (state) => (self ? monthC : (state.gain * monthC) / Math.sqrt(1 + state.lagDays / 30)),
    unmodelledC,
    outdoors.known,
  )
  yield
  const outE = behindWall(
    outdoors.vapourPressureKPa.map((e) => e - outdoors.meanKPa),
    vapourLagDays,
  )
  const seenE = read ? observed(read.vapourPressureKPa, read.hours, offset, days) : []
  const priorE = {
    level: self ? outdoors.meanKPa : (saturationVapourPressureKPa(usualMeanC) * usualHumidityPct) / 100,
    levelSd: unsureVapour.meanKPa,
    gain: self ? 1 : followsVapour,
    gainSd: gain === 0 ? unsureVapour.shut : unsureVapour.share,
  }
  const noiseE = {
    stray: self ? vapourStray.outdoorsKPa : Math.hypot(strayKPa, vapourStray.unknownKPa * unknown * followsVapour),
    hour: vapourStray.byHourKPa,
  }
  const vapour = blended(
    [stateFor(outE, vapourLagDays, priorE, noiseE, seenE)],
    (state) => state.gain * monthKPa,
    unmodelledKPa,
    outdoors.known,
  )
  return {
    firstDay: outdoors.firstDay,
    temperatureC: temperature.mean,
    vapourPressureKPa: vapour.mean.map((e) => Math.max(0.05, e)),
    sdC: temperature.sd,
    sdKPa: vapour.sd,
    gain: temperature.gain,
    lagDays: temperature.lagDays,
    days: seenC.length,
  }
}

function unknownShare(outdoors: OutdoorDays, read: DailyAir, offset: number): number {
  let [unknown, all] = [0, 0]
  for (let i = 0; i < read.hours.length; i++) {
    if (read.hours[i]! <= 0) continue
    all++
    if (!outdoors.known[i + offset]) unknown++
  }
  return all === 0 ? 1 : unknown / all
}
