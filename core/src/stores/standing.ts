import { hazardAt, runs, soundShare, type LifeModel } from './life-model'
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

const longestStepDays = 7
const shortestStepDays = 0.05
const stepsToHalf = 24

interface Standing {
  /** step in which a lot is let stand, days: a part of the time in which half of the usual lot go */
  step: number
  /** the ends that ever come */
  active: number[]
  /** of those, the ones that run to neighbours */
  running: number[]
}

const standings = new WeakMap<LifeModel, Standing>()

function standingOf(model: LifeModel): Standing {
  let made = standings.get(model)
  if (!made) {
    const active = [...model.hazard.keys()].filter((i) => model.hazard[i]![model.days]! > 0)
    const usual = (model.scales.length - 1) / 2
    let half = 1
    while (half < model.days && soundShare(model, half, usual) > 0.5) half *= 1.25
    const step = Math.min(longestStepDays, Math.max(shortestStepDays, half / stepsToHalf))
    made = { step, active, running: active.filter((i) => runs.has(model.names[i]!)) }
    standings.set(model, made)
  }
  return made
}

/** what has begun to go in the last weeks is what lies there running, days */
const runningForDays = 20

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
  const { step, active, running } = standingOf(model)
  const sum = (ends: readonly number[], day: number) => {
    let total = 0
    for (const i of ends) total += hazardAt(model, i, day) * model.scalePower[i]![j]!
    return total
  }
  let sumFrom = sum(active, from)
  for (let day = from; day < to - 1e-9;) {
    const next = spread > 0 || each ? Math.min(to, (Math.floor(day / step + 1e-6) + 1) * step) : to
    const sumNext = sum(active, next)
    // those going bad in this step spoil others for half of it
    const going = (1 - bad) * -Math.expm1(sumFrom - sumNext)
    let spoilt = 0
    if (spread > 0 && running.length > 0 && bad + going > 1e-9) {
      const since = day - runningForDays
      const risen = sumNext - sum(active, since)
      const ran = running.length === active.length ? risen : sum(running, next) - sum(running, since)
      const share = risen > 0 ? ran / risen : 0
      spoilt = (spread / 7) * (next - day) * share * (bad + going / 2) * (1 - bad - going)
    }
    bad = Math.min(1, bad + going + spoilt)
    day = next
    sumFrom = sumNext
    // nothing is left to go bad
    if (each?.(day, bad) || (!each && bad > 1 - 1e-9)) break
  }
  return bad
}
