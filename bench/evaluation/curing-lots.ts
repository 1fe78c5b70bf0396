import { airSeries, hourMs, joinSeries, seriesFromReadings, type AirReading, type AirSeries } from '@vadose/core/air'
import { normalDeviate, stream } from '@vadose/core/chance'
import { cropById } from '@vadose/core/almanac'
import { dayMs } from '@vadose/core/households'
import { curingState, type CuringLot } from '@vadose/core/line'
import { climateFor, dailyOf, expectedAir, outdoorDays, placeFit } from '@vadose/core/places'
import { days, earlierYears, hourly, summerStarts } from './weather'

const garlic = cropById('garlic-hardneck')
/** Three weeks: what the calendar says. */
const calendarDays = 21
const nowDay = 15

export type Ahead = 'hidden' | 'forecast' | 'known'

export interface LotResult {
  /** days the lot really took */
  days: number
  missDays: number
  calendarMissDays: number
  /** miss before any weighing, from the air alone, as a share of the duration */
  unweighedShare: number
  covered: boolean
}

/**
 * One lot dried by a truth that is not the model it tests: water in the skins and in the neck and core, which hands it
 * out to the skins at its own pace, faster when warm; wind that comes and goes in the shed; a scale that misses by
 * 0.5 % and now and then by more; a logger with gaps; real summers. The model sees four weighings in the first fifteen
 * days, the logger up to then and the logger's same weeks of other years.
 * @param ahead what is told of the weather to come: nothing, a week's forecast, or all of it to see what of the miss
 *   is the weather's
 * @returns undefined for a lot that was ready before the fifteen days were out
 */
export function oneLot(seed: number, ahead: Ahead): LotResult | undefined {
  const next = stream(seed * 2654435761)
  const starts = summerStarts(seed % 2 ? 'Seattle' : 'New York', 75)
  const start = starts[Math.floor(next() * starts.length)]!
  const { air, wind } = hourly(start, 70, next)
  const lotPace = Math.exp(0.19 * normalDeviate(next))
  const skinPace = 0.0074 * lotPace
  const corePace = 0.03 * Math.exp(0.12 * normalDeviate(next))
  const shelter = seed % 2 ? 0.95 : 1.05
  // shares of the losable water
  let skin = 0.4
  let core = 0.6
  let gust = 0
  const left = new Float64Array(air.hours + 1)
  left[0] = 1
  let trueHour = -1
  for (let i = 0; i < air.hours; i++) {
    gust = 0.85 * gust + 0.13 * normalDeviate(next)
    const moving = shelter * Math.exp(gust) * (0.8 + 0.07 * Math.min(6, wind[i]!))
    const pull = Math.max(0, air.vpdKPa[i]! - 0.12)
    const out = Math.min(skin, (skinPace * moving * pull * skin) / 0.4 ** 0.5)
    const handed = corePace * 1.05 ** (air.temperatureC[i]! - 20) * Math.max(0, core - skin * 0.6)
    skin += handed - out
    core -= handed
    left[i + 1] = skin + core
    if (trueHour < 0 && left[i + 1]! <= 0.05) trueHour = i + 1
  }
  if (trueHour < 0 || trueHour <= nowDay * 24) return undefined
  const loss = 0.27 + 0.045 * normalDeviate(next)
  const first = 400 + 300 * next()
  const weighHours = [0, 4.5, 9.5, 14.5].map((d) => Math.max(0, Math.round(d * 24 + 10 * (next() - 0.5)) + 4))
  const weighings = weighHours.map((h) => ({
    atMs: h * hourMs,
    weightG: Math.round(
      first * (1 - loss * (1 - left[h]!)) * (1 + 0.005 * normalDeviate(next) * (next() < 0.05 ? 3 : 1)),
    ),
  }))
  const readings = logger(air, nowDay * 24, next)
  const nowMs = nowDay * dayMs
  const past = seriesFromReadings(readings, 0, nowMs)
  const recent = seriesFromReadings(readings, nowMs - 10 * dayMs, nowMs)
  const usual = () => expectedFrom(recent, start)
  const toCome = () => (ahead === 'hidden' ? usual() : joinSeries(forecastAir(air, nowDay * 24, stream(seed)), usual()))
  const lot: CuringLot = {
    crop: garlic,
    air: ahead === 'known' ? air : joinSeries(past, toCome()),
    nowMs,
    airflow: [{ atMs: 0, airflow: 'breezy' }],
    weighings,
    tests: [],
  }
  const { p10, p50, p90 } = curingState(lot).readyAtMs
  const unweighed = curingState({ ...lot, weighings: [] }).readyAtMs.p50
  const trueMs = trueHour * hourMs
  return {
    days: trueMs / dayMs,
    missDays: Math.abs(p50 - trueMs) / dayMs,
    calendarMissDays: Math.abs(calendarDays * dayMs - trueMs) / dayMs,
    unweighedShare: Math.abs(unweighed - trueMs) / trueMs,
    covered: p10 <= trueMs && trueMs <= p90,
  }
}

/** What the place is expected to have after its recent days, by all its logger ever wrote, as the product reckons it. */
function expectedFrom(recent: AirSeries, start: number): AirSeries {
  const { date, location } = days[start]!
  const nowMs = Date.parse(date) + nowDay * dayMs
  const startMs = nowMs - 1200 * dayMs
  const record = {
    startMs,
    temperatureC: new Float64Array(1200 * 24).fill(NaN),
    relativeHumidityPct: new Float64Array(1200 * 24).fill(NaN),
  }
  const put = (air: AirSeries, from: number, count: number, atMs: number) => {
    const at = Math.round((atMs - startMs) / hourMs)
    record.temperatureC.set(air.temperatureC.subarray(from, from + count), at)
    record.relativeHumidityPct.set(air.relativeHumidityPct.subarray(from, from + count), at)
  }
  const weeks = 45 * 24
  const earlier = earlierYears(start, nowDay, 35)
  for (let year = 0; (year + 1) * weeks <= earlier.hours; year++) {
    put(earlier, year * weeks, weeks, nowMs - (365 * (year + 1) + 10) * dayMs)
  }
  put(recent, 0, recent.hours, nowMs - recent.hours * hourMs)
  const climate = climateFor(location === 'Seattle' ? 47.6 : 40.7, 50)
  const outdoors = outdoorDays(climate, startMs - 60 * dayMs, nowMs + 125 * dayMs)
  const read = dailyOf(record, startMs, nowMs)
  const shifted = airSeries(nowMs - recent.hours * hourMs, recent.temperatureC, recent.relativeHumidityPct)
  const fit = placeFit('veranda', outdoors, read)
  const { temperatureC, relativeHumidityPct } = expectedAir(shifted, fit, 'veranda', nowMs, 120 * 24, read)
  return airSeries(nowDay * dayMs, temperatureC, relativeHumidityPct)
}

const forecastDays = 7

/** A week's forecast made on the day: each of its days is off by more than the one before (sizes from memory). */
function forecastAir(air: AirSeries, fromHour: number, next: () => number): AirSeries {
  const hours = forecastDays * 24
  const t = air.temperatureC.slice(fromHour, fromHour + hours)
  const rh = air.relativeHumidityPct.slice(fromHour, fromHour + hours)
  for (let day = 0; day < forecastDays; day++) {
    const offC = (0.8 + 0.3 * day) * normalDeviate(next)
    const offPct = (4 + day) * normalDeviate(next)
    for (let i = day * 24; i < (day + 1) * 24; i++) {
      t[i]! += offC
      rh[i] = Math.min(99, Math.max(15, rh[i]! + offPct))
    }
  }
  return airSeries(fromHour * hourMs, t, rh)
}

/** A cheap logger: every hour, half a degree and three per cent off in noise, gone for hours now and then. */
function logger(air: ReturnType<typeof hourly>['air'], hours: number, next: () => number): AirReading[] {
  const readings: AirReading[] = []
  let gap = 0
  for (let i = 0; i <= hours; i++) {
    if (gap > 0) gap--
    else if (next() < 0.006) gap = Math.floor(3 + 20 * next())
    if (gap > 0 && i > 0 && i < hours) continue
    readings.push({
      at: new Date(i * hourMs).toISOString(),
      temperatureC: air.temperatureC[i]! + 0.3 * normalDeviate(next),
      relativeHumidityPct: Math.min(100, Math.max(5, air.relativeHumidityPct[i]! + 2 * normalDeviate(next))),
    })
  }
  return readings
}

export const quantile = (values: number[], share: number): number => {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.min(sorted.length - 1, Math.floor(share * sorted.length))]!
}

export interface CuringScore {
  lots: number
  meanDays: number
  missMedian: number
  missNineInTen: number
  calendarMedian: number
  coveredPct: number
  unweighedMedianPct: number
}

export function scoreCuring(count: number, ahead: Ahead = 'hidden', firstSeed = 1): CuringScore {
  const lots: LotResult[] = []
  for (let seed = firstSeed; lots.length < count; seed++) {
    const lot = oneLot(seed, ahead)
    if (lot) lots.push(lot)
  }
  return {
    lots: lots.length,
    meanDays: lots.reduce((sum, l) => sum + l.days, 0) / lots.length,
    missMedian: quantile(
      lots.map((l) => l.missDays),
      0.5,
    ),
    missNineInTen: quantile(
      lots.map((l) => l.missDays),
      0.9,
    ),
    calendarMedian: quantile(
      lots.map((l) => l.calendarMissDays),
      0.5,
    ),
    coveredPct: (100 * lots.filter((l) => l.covered).length) / lots.length,
    unweighedMedianPct:
      100 *
      quantile(
        lots.map((l) => l.unweighedShare),
        0.5,
      ),
  }
}
