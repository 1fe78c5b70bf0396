import { hourMs, steadyAir } from '../air'
import type { Crop } from '../almanac'
import { doesFrom, doesWellFrom, nightC, stillC, timeLeftLogSd } from '../assumptions'
import { normalQuantile, normalShare, type Spread } from '../chance'
import { daysBetween } from '../households'
import { airKindOf, dayOf, likeOf, placeFit } from '../places'
import { agesByDay, ends, paceSlopePerC, usualPacking, type Packing } from '../stores'
import type { House } from './house'
import { meanAhead, spreadAheadC } from './air-ahead'
import { keepsUntil } from './keeping'
import type { PlaceState } from './place'
import { workable } from './trouble'

export interface MonthAhead {
  /** 2026-10 */
  month: string
  /** the month's mean, 8 chances in 10 */
  temperatureC: Spread
  relativeHumidityPct: Spread
  /** nights to be expected below freezing in there */
  frostNights: number
}

const months = 12
const inTenth = normalQuantile(0.9)

/** The twelve months to come in a place: mean air and how sure, and the nights that freeze in there. */
export const climateAhead = (house: House, place: PlaceState): MonthAhead[] =>
  house.once(null, `climate ${place.id}`, [place, house.today], () => {
    const { ahead, fit, kind } = place
    const by = new Map<string, { t: number; rh: number; n: number; sdC: number; sdKPa: number; frost: number }>()
    // what the household calls frost-safe is not guessed to freeze: only its own thermometer says otherwise
    const safe = likeOf(place).frostSafe && place.measuredAtMs === null
    const nightSd = kind === 'outdoors' ? nightC : Math.hypot(stillC, nightC * Math.max(0, fit.gain))
    for (let day = 0; (day + 1) * 24 <= ahead.hours; day++) {
      const startMs = ahead.startMs + day * 24 * hourMs
      const month = house.dateOf(startMs).slice(0, 7)
      if (!by.has(month)) {
        if (by.size === months) break
        by.set(month, { t: 0, rh: 0, n: 0, sdC: 0, sdKPa: 0, frost: 0 })
      }
      const sum = by.get(month)!
      const at = Math.min(fit.sdC.length - 1, dayOf(startMs) - fit.firstDay)
      let coldest = Infinity
      for (let i = day * 24; i < (day + 1) * 24; i++) {
        sum.t += ahead.temperatureC[i]! / 24
        sum.rh += ahead.relativeHumidityPct[i]! / 24
        coldest = Math.min(coldest, ahead.temperatureC[i]!)
      }
      sum.n++
      sum.sdC += fit.sdC[at]!
      sum.sdKPa += fit.sdKPa[at]!
      if (!safe) sum.frost += below(0, coldest, Math.hypot(fit.sdC[at]!, nightSd))
    }
    return [...by].map(([month, { t, rh, n, sdC, sdKPa, frost }]) => {
      const [meanC, meanPct] = [t / n, rh / n]
      // a kilopascal more is so many per cent at that warmth; half of what a place may be damper shows
      const pctSd = Math.min(12, (60 * (sdKPa / n)) / Math.max(0.3, vapourAt(meanC)) + 2)
      return {
        month,
        temperatureC: about(meanC, (inTenth * sdC) / n),
        relativeHumidityPct: {
          p10: Math.max(5, meanPct - inTenth * pctSd),
          p50: meanPct,
          p90: Math.min(99, meanPct + inTenth * pctSd),
        },
        frostNights: frost,
      }
    })
  })

const about = (p50: number, off: number): Spread => ({ p10: p50 - off, p50, p90: p50 + off })
const vapourAt = (temperatureC: number) => steadyAir(temperatureC, 0, 1).vpdKPa[0]!

/** Chance of lying below a limit. */
const below = (limit: number, mean: number, sd: number) => normalShare((limit - mean) / sd)

/** How a crop takes a month's air: against how it would keep in its best. */
export type Comfort = 'well' | 'will do' | 'loses'

const steadyPace = (crop: Crop, temperatureC: number, relativeHumidityPct: number, packing: Packing): number => {
  const { ages } = agesByDay(crop, steadyAir(temperatureC, relativeHumidityPct, 24), packing)
  return Math.max(...ages.map((age, end) => (ends[end] === 'early rot' ? 0 : age[1]!)), 1e-6)
}

const bestPaces = new WeakMap<Crop, Map<Packing, number>>()
function bestPace(crop: Crop, packing: Packing): number {
  const own = bestPaces.get(crop) ?? new Map<Packing, number>()
  bestPaces.set(crop, own)
  const known = own.get(packing)
  if (known !== undefined) return known
  const { bestTemperatureC, bestHumidityPct } = crop.keeping
  const middle = ([a, b]: readonly [number, number]) => (a + b) / 2
  const pace = steadyPace(crop, middle(bestTemperatureC.value), middle(bestHumidityPct.value), packing)
  own.set(packing, pace)
  return pace
}

/** @returns share of its best life that a crop has in steady air */
export const lifeShare = (
  crop: Crop,
  temperatureC: number,
  relativeHumidityPct: number,
  packing = usualPacking(crop),
) => Math.min(1, bestPace(crop, packing) / steadyPace(crop, temperatureC, relativeHumidityPct, packing))

/** How a crop would take the months to come in a place. */
export const comfortAhead = (house: House, place: PlaceState, crop: Crop): Comfort[] =>
  house.once(null, `comfort ${place.id} ${crop.id} ${crop.name}`, [place.ahead, crop], () =>
    climateAhead(house, place).map(({ temperatureC, relativeHumidityPct }) => {
      const share = lifeShare(crop, temperatureC.p50, relativeHumidityPct.p50)
      return share >= doesWellFrom ? 'well' : share >= doesFrom ? 'will do' : 'loses'
    }),
  )

/** What a thermometer would tell in a place: how much surer the dates of what lies there would be. */
export interface ThermometerWorth {
  place: PlaceState
  lots: number
  weightG: number
  /** the dates there are sure to so many days now, and would be after six weeks of readings: by weight */
  daysNow: number
  daysThen: number
}

const readFor = 42

/** Where a cheap thermometer would tell most: by kilos and days of date that it would settle, the most first. */
export function thermometerWorth(house: House): ThermometerWorth[] {
  return house.places
    .filter(({ kind }) => !['outdoors', 'fridge', 'freezer'].includes(kind))
    .flatMap((place): ThermometerWorth[] => {
      const lots = workable(house).filter((lot) => lot.stage === 'stored' && lot.placeId === place.id)
      const weightG = lots.reduce((sum, lot) => sum + lot.weightG, 0)
      if (lots.length === 0) return []
      const sdNow = spreadAheadC(house, place)
      const sdThen = Math.min(sdNow, spreadOnceRead(house, place))
      const { temperatureC } = meanAhead(house, place)
      let [daysNow, daysThen] = [0, 0]
      for (const lot of lots) {
        const left = Math.max(0, daysBetween(house.today, keepsUntil(house, lot).nineInTenUntil.p50))
        const slope = paceSlopePerC(lot.cropData, temperatureC)
        const spread = (sdC: number) => left * Math.expm1(inTenth * Math.hypot(timeLeftLogSd, sdC * slope))
        daysNow += (spread(sdNow) * lot.weightG) / weightG
        daysThen += (spread(sdThen) * lot.weightG) / weightG
      }
      return [{ place, lots: lots.length, weightG, daysNow, daysThen }]
    })
    .sort((a, b) => (b.daysNow - b.daysThen) * b.weightG - (a.daysNow - a.daysThen) * a.weightG)
}

/** How sure of a place one would be had it been read every day for six weeks, as expected. */
function spreadOnceRead(house: House, place: PlaceState, days = 120): number {
  return house.once(null, `once read ${place.id}`, [place.fit, house.today], () => {
    const { fit, outdoors } = place
    const today = dayOf(house.nowMs) - fit.firstDay
    const read = placeFit(airKindOf(place), outdoors, {
      firstDay: fit.firstDay + today,
      temperatureC: fit.temperatureC.slice(today, today + readFor),
      vapourPressureKPa: fit.vapourPressureKPa.slice(today, today + readFor),
      hours: new Float64Array(readFor).fill(8),
    })
    const ahead = read.sdC.subarray(today, today + days)
    return ahead.reduce((sum, sd) => sum + sd, 0) / Math.max(1, ahead.length)
  })
}
