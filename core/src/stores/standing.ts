import { runningShare, soundShare, type LifeModel } from './life-model'
import type { Packing } from './rates'

/**
 * How fast one bad piece makes its neighbours bad: new ones a week, by how the lot lies. Judgement. In a closed jar of
 * dry goods nothing runs.
 */
export const spreadPerWeek: Record<Packing, number> = {
  net: 0.3,
  sack: 0.4,
  box: 0.35,
  plait: 0.15,
  bare: 0.12,
  'damp-sand': 0.25,
  bag: 0.35,
  jar: 0,
}

const longestStepDays = 4
const shortestStepDays = 0.05
const stepsToHalf = 50

const steps = new WeakMap<LifeModel, number>()

/** Step in which a lot is let stand, days: a fiftieth of the time in which half of the usual lot go. */
function stepOf(model: LifeModel): number {
  let step = steps.get(model)
  if (step === undefined) {
    const usual = (model.scales.length - 1) / 2
    let half = 1
    while (half < model.days && soundShare(model, half, usual) > 0.5) half *= 1.25
    steps.set(model, (step = Math.min(longestStepDays, Math.max(shortestStepDays, half / stepsToHalf))))
  }
  return step
}

/** New bad share when a lot of one life scale stands from one day to another, at most a step apart. */
function stood(model: LifeModel, j: number, bad: number, from: number, to: number, spread: number): number {
  const before = soundShare(model, from, j)
  const kept = before > 1e-12 ? soundShare(model, to, j) / before : 0
  // those going bad in this step spoil others for half of it
  const going = (1 - bad) * (1 - kept)
  const running = spread > 0 ? runningShare(model, from - 20, to, j) : 0
  const spoilt = (spread / 7) * (to - from) * running * (bad + going / 2) * (1 - bad - going)
  return Math.min(1, bad + going + spoilt)
}

/**
 * Lets a lot stand: sound pieces go bad as the model says, and bad ones spoil others. One law for what is believed now and
 * for what is forecast, on one grid of days, so that what is said of an untouched lot today is said of it tomorrow.
 * @param spread new bad ones a week for each bad one lying there
 * @param each hears of the share bad at the end of every step; true stops
 * @returns the share bad at the end
 */
export function stand(
  model: LifeModel,
  j: number,
  bad: number,
  from: number,
  to: number,
  spread: number,
  each?: (day: number, bad: number) => boolean | void,
): number {
  const step = stepOf(model)
  for (let day = from; day < to - 1e-9;) {
    const next = spread > 0 || each ? Math.min(to, (Math.floor(day / step + 1e-6) + 1) * step) : to
    bad = stood(model, j, bad, day, next, spread)
    day = next
    if (each?.(day, bad)) break
  }
  return bad
}
