import { saturationVapourPressureKPa, hourMs } from '../air'
import type { Spread } from '../chance'
import type { Crop, Dehydrating } from '../almanac'
import { term, told } from '../message'
import { Refusal, requireWithin } from '../refusal'
import { dryBasis, dryWeight, wetBasisPct } from './dry-weight'
import { backBelowShare, kitchenVapourKPa, leastAgainHours, weighedLogSd } from '../assumptions'

/** One spell in a dehydrator. */
export interface DryerLoad {
  atMs: number
  /** on the trays, g, prepared */
  weightG: number
  airC: number
  /** all of it on the scale since, g, by rising time */
  weighings: { atMs: number; weightG: number }[]
  rotatedAtMs: number | null
}

export interface DryerState {
  /** weight at which it is done, g */
  targetG: number
  /** water now, % of the weight: weighed, or by the hours */
  moisturePct: number
  /** share of the water to lose that has gone, 0…1 */
  progress: number
  doneAtMs: Spread
  /** when the trays should change places: half way */
  rotateAtMs: number
}

const q90 = 1.2816

/**
 * What a crop's drying in warm air asks.
 * @throws Refusal `not-dehydrated`
 */
export function dehydratingOf(crop: Crop): Dehydrating {
  if (!crop.dehydrating)
    throw new Refusal('not-dehydrated', told('line.notDehydrated', { crop: term(crop.name) }), 'crop')
  return crop.dehydrating
}

/** Water in what goes on the trays, % of its weight. @throws Refusal `not-dehydrated` */
export const traysMoisturePct = (crop: Crop): number => (dehydratingOf(crop).startMoisturePct ?? crop.waterPct).value

/**
 * How far a load has dried and when it will be done: one falling-rate constant (Newton) from the crop's usual hours,
 * scaled by the pull of the air it is set to, sharpened by the last weighing.
 * @param first weight of the first load, g: its dry matter stays the same however often it goes back
 */
export function dryerState(crop: Crop, load: DryerLoad, firstG: number, nowMs: number): DryerState {
  const { hours, airC, finalMoisturePct } = dehydratingOf(crop)
  const fresh = traysMoisturePct(crop)
  requireWithin(load.airC, 20, 80, 'airC', '°C')
  const dryG = firstG * (1 - fresh / 100)
  const targetG = dryWeight(firstG, fresh, finalMoisturePct.value).targetWeightG
  const end = dryBasis(finalMoisturePct.value)
  // what went on the trays may be less than its first dry matter says only by what was nibbled
  const start = Math.max(end, load.weightG / Math.min(dryG, load.weightG * 0.999) - 1)
  const [lo, hi] = hours.value
  const usualC = (airC.value[0] + airC.value[1]) / 2
  const pull = (c: number) => saturationVapourPressureKPa(c) - kitchenVapourKPa
  const toDry = Math.log(dryBasis(fresh) / end)
  let logPace = Math.log((toDry / Math.sqrt(lo * hi)) * (pull(load.airC) / pull(usualC)))
  let logSd = Math.max(0.1, Math.log(hi / lo) / 2 / q90)
  const last = load.weighings.filter((w) => w.atMs > load.atMs + hourMs / 4).at(-1)
  if (last) {
    const now = Math.max(end / 2, last.weightG / dryG - 1)
    const weighed = Math.log(
      Math.max(0.002, Math.log(start / Math.min(now, start * 0.98)) / ((last.atMs - load.atMs) / hourMs)),
    )
    const trust = logSd ** 2 / (logSd ** 2 + weighedLogSd ** 2)
    logPace += trust * (weighed - logPace)
    logSd *= Math.sqrt(1 - trust)
  }
  const again = load.weightG < backBelowShare * firstG
  const need = Math.log(start / end)
  const after = (logPaceAt: number) =>
    load.atMs + Math.max(again ? leastAgainHours : 0, need / Math.exp(logPaceAt)) * hourMs
  const elapsed = Math.max(0, (nowMs - load.atMs) / hourMs)
  const reckoned = start * Math.exp(-Math.exp(logPace) * elapsed)
  const p50 = after(logPace)
  return {
    targetG,
    moisturePct: wetBasisPct(100 * Math.max(end / 2, reckoned)),
    progress: start > end ? Math.min(1, Math.max(0, (start - reckoned) / (start - end))) : 1,
    doneAtMs: { p10: after(logPace + q90 * logSd), p50, p90: after(logPace - q90 * logSd) },
    rotateAtMs: load.atMs + (p50 - load.atMs) / 2,
  }
}
