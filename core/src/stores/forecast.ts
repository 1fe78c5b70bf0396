import { degrees, term, told, type Message } from '../message'
import { airSeries, type AirSeries } from '../air'
import { leastEndedDays, spreadPerWeek, timeLeftLogSd } from '../assumptions'
import { gridSpread, type Spread } from '../chance'
import type { Crop, EndWord } from '../almanac'
import { requireWithin } from '../refusal'
import { passingFloats } from '../rows'
import { endShares } from './end-shares'
import { lifeModel, priorWeights, unitLife, type LifeModel } from './life-model'
import { badShare, noneBad, stand, type Bad } from './standing'
import { agesByDay } from './anchor'
import {
  bearableLossPct,
  keepingRange,
  respirationWPerKg,
  usualPacking,
  ends,
  type End,
  type Packing,
  type Surroundings,
} from './rates'

export interface KeepingForecast {
  /** days from the start of storing, from the lot's view today, when 9 in 10 of what is there now are still sound */
  nineInTenDay: Spread
  /** the same for half */
  halfDay: Spread
  endedBy: { end: End; share: number }[]
  weightLossPctPerMonth: number
}

/** What is believed of a lot, by state: what looks leave behind. */
export interface LotBelief {
  weights: Float64Array
  /** shares bad among what is there now */
  bad: Bad[]
}

/**
 * How long a stored lot will keep.
 * @param model the lot's life over the air it had and the air expected
 * @param nowDay day of the model that is today
 * @param belief what checks have taught; the prior when nobody has looked
 * @param spread new bad ones a week for each bad one lying there
 * @param airLogSd log standard deviation of the pace of life for not knowing the air to come
 */
export function keepingForecast(
  model: LifeModel,
  lossPct: Float64Array,
  nowDay: number,
  belief: LotBelief = unlooked(model, nowDay),
  spread = 0,
  airLogSd = 0,
): KeepingForecast {
  const { weights } = belief
  const ends = endDays(model, nowDay, belief, spread)
  const nineInTenDay = widened(gridSpread(ends.nineInTen, weights), nowDay, airLogSd)
  const today = Math.floor(Math.min(nowDay, model.days - 1))
  const ahead = Math.min(model.days, today + 30)
  // what takes the next tenth, in the air there is and will be: not what would be last in a year
  const until = Math.max(nineInTenDay.p50, Math.min(model.days, nowDay + leastEndedDays))
  return {
    nineInTenDay,
    halfDay: widened(gridSpread(ends.half, weights), nowDay, airLogSd),
    endedBy: culpritFirst(endShares(model, weights, nowDay, until)),
    weightLossPctPerMonth: ((lossPct[ahead]! - lossPct[today]!) / (ahead - today)) * 30,
  }
}

/** Days when nine in ten of what was there on a day are still sound. */
export const nineInTenFrom = (
  model: LifeModel,
  fromDay: number,
  belief: LotBelief,
  spread: number,
  airLogSd: number,
): Spread =>
  widened(gridSpread(endDays(model, fromDay, belief, spread, 0.1).nineInTen, belief.weights), fromDay, airLogSd)

/** Hurt ones go whatever the air: what else takes the next tenth is named first, unless they are most of it. */
const culpritFirst = (shares: { end: End; share: number }[]) => {
  const early = shares.find(({ end }) => end === 'early rot')
  return !early || early.share > 0.5 ? shares : [...shares.filter((share) => share !== early), early]
}

/** a life nobody believes in any more costs time and changes nothing */
export const leastWeight = 1e-5

/** What is left of the time is known no better than the model and the air are: the middle stays. */
function widened({ p10, p50, p90 }: Spread, nowDay: number, airLogSd: number): Spread {
  const left = Math.max(0, p50 - nowDay)
  const own = inTenth * Math.hypot(timeLeftLogSd, airLogSd)
  return {
    p10: p50 - Math.min(Math.max(left, p50 - p10), Math.hypot(p50 - p10, left * -Math.expm1(-own))),
    p50,
    p90: p50 + Math.hypot(p90 - p50, left * Math.expm1(own)),
  }
}
/** Standard deviations from the middle to one in ten. */
const inTenth = 1.2816

/**
 * For each state, the days on which nine in ten and half of the lot are still sound; today where that has passed.
 * @param enough share bad beyond which nothing more is asked
 */
function endDays(model: LifeModel, nowDay: number, belief: LotBelief, spread: number, enough = 0.5) {
  const { weights } = belief
  const nineInTen = passingFloats(weights.length).fill(nowDay)
  const half = passingFloats(weights.length).fill(nowDay)
  for (let j = 0; j < weights.length; j++) {
    if (weights[j]! < leastWeight) continue
    let day = nowDay
    let bad = badShare(belief.bad[j]!)
    nineInTen[j] = bad > 0.1 ? nowDay : model.days
    half[j] = bad > 0.5 ? nowDay : model.days
    if (bad > enough) continue
    stand(model, j, belief.bad[j]!, nowDay, model.days, spread, (next, then) => {
      const crossed = (level: number) => day + ((level - bad) / (then - bad)) * (next - day)
      if (bad <= 0.1 && then > 0.1) nineInTen[j] = crossed(0.1)
      if (then > 0.5) half[j] = crossed(0.5)
      day = next
      bad = then
      return then > enough
    })
  }
  return { nineInTen, half }
}

/** Nobody has looked: the prior, and as many bad as each state says by itself. */
export function unlooked(model: LifeModel, nowDay: number): LotBelief {
  const weights = priorWeights(model)
  return { weights, bad: Array.from(weights, (_, j) => stand(model, j, noneBad, 0, nowDay, 0)) }
}

/** Life model of a lot over an hourly series. */
export function lotLife(
  crop: Crop,
  air: AirSeries,
  packing: Packing,
  around: Surroundings = {},
): { model: LifeModel; lossPct: Float64Array } {
  const { ages, lossPct } = agesByDay(crop, air, packing, around)
  return { model: lifeModel(ages), lossPct }
}

/** Steady lives are followed until hardly anything is left, at most 15 years. */
const longestSteadyDays = 5475

/** Life model in air that never changes: one day's ages, multiplied; weight lost as the water runs out. */
export function steadyLife(
  crop: Crop,
  temperatureC: number,
  relativeHumidityPct: number,
  packing: Packing,
  around: Surroundings = {},
) {
  const day = airSeries(0, new Float64Array(24).fill(temperatureC), new Float64Array(24).fill(relativeHumidityPct))
  const one = agesByDay(crop, day, packing, around)
  const water = crop.waterPct.value
  // the share of its water that stays after one day, day after day
  const stays = 1 - one.lossPct[1]! / water
  const lossAt = (i: number) => water * (1 - stays ** i)
  // hurt ones go long before the rest
  const fastest = Math.max(...one.ages.filter((_, end) => end !== earlyRot).map((a) => a[1]!), 1e-9)
  const days = Math.min(longestSteadyDays, Math.max(60, Math.ceil(8 / fastest)))
  const ages = one.ages.map((a, end) =>
    Float64Array.from({ length: days + 1 }, (_, i) =>
      end === dryingOut ? lossAt(i) / bearableLossPct(crop) : a[1]! * i,
    ),
  )
  return { model: lifeModel(ages), lossPct: Float64Array.from({ length: days + 1 }, (_, i) => lossAt(i)) }
}
const dryingOut = ends.indexOf('drying out')
const earlyRot = ends.indexOf('early rot')

export interface KeepAnswer {
  /** life of one piece picked blindly */
  lifeDays: Spread
  /** days until a tenth of a lot has gone, by lot */
  nineInTenDays: Spread
  endedBy: End
  weightLossPctPerMonth: number
  respirationWPerKg: number
  hazards: { end: End; sharePct: number; note: Message }[]
  packing: Packing
}

const frozenFromC = -30

/**
 * How long a crop keeps in steady air: life of one piece picked blindly from a lot nobody has looked at.
 * @param packing what it lies in; the crop's usual one when left out
 * @throws Refusal `out-of-range` outside −10…40 °C and 10…100 %; what is frozen is known down to −30 °C
 */
export function keepAt(
  crop: Crop,
  temperatureC: number,
  relativeHumidityPct: number,
  packing: Packing = usualPacking(crop),
  around: Surroundings = {},
): KeepAnswer {
  const { temperatureC: t, relativeHumidityPct: rh } = keepingRange
  const coldestC = crop.keeping.ageingAtC.value < t[0] ? frozenFromC : t[0]
  requireWithin(temperatureC, coldestC, t[1], 'temperatureC', '°C')
  requireWithin(relativeHumidityPct, rh[0], rh[1], 'relativeHumidityPct', '%')
  const { model, lossPct } = steadyLife(crop, temperatureC, relativeHumidityPct, packing, around)
  const weights = priorWeights(model)
  const { nineInTenDay, endedBy: shares } = keepingForecast(
    model,
    lossPct,
    0,
    unlooked(model, 0),
    spreadPerWeek[packing],
  )
  return {
    lifeDays: unitLife(model, weights),
    nineInTenDays: nineInTenDay,
    endedBy: shares[0]!.end,
    weightLossPctPerMonth: lossPct[30]!,
    respirationWPerKg: respirationWPerKg(crop, temperatureC),
    hazards: shares
      .filter((s) => s.share > 0.005)
      .map((s) => ({
        end: s.end,
        sharePct: Math.round(s.share * 1000) / 10,
        note: endReason(crop, s.end, temperatureC, relativeHumidityPct),
      })),
    packing,
  }
}

/** What ends it, in a word: what does not breathe does not rot, it grows old. */
export const endWord = (crop: Crop, end: End): EndWord =>
  end === 'rot' && !crop.keeping.respiration && crop.keeping.keptDry ? 'age' : end

/** Why an end comes in this air. */
export function endReason(crop: Crop, end: End, temperatureC: number, relativeHumidityPct: number): Message {
  const { keeping } = crop
  const air = { t: degrees(temperatureC), rh: Math.round(relativeHumidityPct) }
  switch (end) {
    case 'sprouting': {
      const times = keeping.sproutingDays?.value ?? [[temperatureC, 1]]
      const worst = times.reduce((a, b) => (b[1] < a[1] ? b : a))
      return told('keeping.whySprouting', { t: air.t, worst: degrees(worst[0]) })
    }
    case 'drying out':
      return told('keeping.whyDryingOut', { t: air.t, rh: air.rh, loss: Math.round(bearableLossPct(crop)) })
    case 'rot':
      return told('keeping.whyRot', { t: air.t, breathes: keeping.respiration ? 'yes' : 'no' })
    case 'rooting':
      return told('keeping.whyRooting', { rh: air.rh, from: keeping.rootsAbovePct?.value ?? 0 })
    case 'mould':
      return told('keeping.whyMould', { t: air.t, rh: air.rh })
    case 'frost':
      return told('keeping.whyFrost', { freezes: fine(keeping.freezesAtC?.value ?? 0) })
    case 'chilling':
      return told('keeping.whyChilling', { t: air.t, chills: fine(keeping.chillsBelowC?.value ?? 0) })
    case 'greening':
      return told('keeping.whyGreening')
    case 'early rot':
      return told('keeping.whyEarlyRot')
    case 'ethylene':
      return told('keeping.whyEthylene', { does: term(keeping.ethyleneShows ?? 'ages sooner') })
  }
}

/** A threshold of the almanac, with the decimals it is written with. */
const fine = (c: number) => degrees(c, Number.isInteger(c) ? 0 : 1)
