import { gridSpread } from '../chance'
import { airSeries, type AirSeries } from '../air'
import { leastPace, mostPace, soundAtBooksMiddle, spreadPerWeek } from '../assumptions'
import type { Crop } from '../almanac'
import { lifeModel } from './life-model'
import { agesAtPace, exposureOver, usualPacking, type Exposure, type Packing, type Surroundings } from './rates'
import { badShare, noneBad, stand } from './standing'

const paces = new WeakMap<Crop, number>()

/**
 * How much longer a crop's common clock (ageing and sprouting) runs than its tables say, so that the handbook means what
 * it means: its storage life is how long a lot stays good to sell, some nine in ten sound, not half gone. The pace is the
 * one at which the book's geometric middle leaves `soundAtBooksMiddle` sound, in the book's air and the usual packing.
 * Where a household has set when half have aged, that stands.
 */
export function paceOf(crop: Crop): number {
  let pace = paces.get(crop)
  if (pace === undefined) {
    pace = crop.keeping.ageingDays.source === 'household' ? 1 : anchoredPace(crop)
    paces.set(crop, pace)
  }
  return pace
}

function anchoredPace(crop: Crop): number {
  const { lifeDays, homeDays, bestTemperatureC, bestHumidityPct, ageingAtC } = crop.keeping
  const middle = ([a, b]: readonly [number, number]) => (a + b) / 2
  const [lo, hi] = (homeDays ?? lifeDays).value
  const at = homeDays || bestTemperatureC.source !== 'hb66' ? ageingAtC.value : middle(bestTemperatureC.value)
  const days = Math.max(1, Math.round(Math.sqrt(lo * hi)))
  const day = airSeries(
    0,
    new Float64Array(24).fill(at),
    new Float64Array(24).fill(Math.min(98, middle(bestHumidityPct.value))),
  )
  const one = exposureOver(crop, day)
  const whole: Exposure = {
    days,
    sums: Object.fromEntries(
      Object.entries(one.sums).map(([name, sum]) => [
        name,
        Float64Array.from({ length: days + 1 }, (_, i) => sum[1]! * i),
      ]),
    ),
  }
  const sound = (pace: number) => {
    const model = lifeModel(agesAtPace(crop, whole, usualPacking(crop), {}, pace).ages)
    const spread = spreadPerWeek[usualPacking(crop)]
    const sound = Array.from(model.prior, (_, j) => 1 - badShare(stand(model, j, noneBad, 0, days, spread)))
    // half of the lots do better, half worse, left to themselves
    return gridSpread(sound, model.prior).p50
  }
  return Math.exp(rootOf((logPace) => logit(sound(Math.exp(logPace))) - logit(soundAtBooksMiddle)))
}

const logit = (share: number): number => {
  const inside = Math.min(1 - 1e-9, Math.max(1e-9, share))
  return Math.log(inside / (1 - inside))
}
const closeEnough = 5e-4

/** Where a rising function of the pace's logarithm crosses nought, by regula falsi (Illinois); an end of the range where it does not. */
function rootOf(f: (logPace: number) => number): number {
  let [low, high] = [Math.log(leastPace), Math.log(mostPace)]
  let above = f(high)
  if (above < 0) return high
  let below = f(low)
  if (below >= 0) return low
  let last = 0
  for (;;) {
    const at = (low * above - high * below) / (above - below)
    const value = f(at)
    // an end that stays counts for half, so that the other side is reached too
    if (value < 0) {
      if (Math.abs(at - low) < closeEnough) return at
      if (last < 0) above /= 2
      ;[low, below, last] = [at, value, -1]
    } else {
      if (Math.abs(high - at) < closeEnough) return at
      if (last > 0) below /= 2
      ;[high, above, last] = [at, value, 1]
    }
  }
}

/** How far each end has come, day by day, at the crop's own pace. */
export const agesOf = (crop: Crop, exposure: Exposure, packing: Packing, around: Surroundings = {}) =>
  agesAtPace(crop, exposure, packing, around, paceOf(crop))

/** The ages of a lot over an hourly series, from the day it was ready to store. */
export const agesByDay = (crop: Crop, air: AirSeries, packing: Packing, around: Surroundings = {}) =>
  agesOf(crop, exposureOver(crop, air), packing, around)
