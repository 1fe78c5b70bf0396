import { passingFloats } from '../rows'
import type { LifeModel } from './life-model'
import type { End } from './rates'

/** Days are taken together so that no more than this many steps are summed. */
const mostSteps = 300

/**
 * Which end takes how much of the lot between two days, largest first; shares of all that is lost then.
 * @param fromDay day of the model, the first when left out
 * @param toDay its last when left out
 */
export function endShares(
  model: LifeModel,
  weights: Float64Array,
  fromDay = 0,
  toDay: number = model.days,
): { end: End; share: number }[] {
  const taken = passingFloats(model.hazard.length)
  const first = Math.min(model.days - 1, Math.floor(fromDay))
  const last = Math.min(model.days, Math.max(first + 1, Math.ceil(toDay)))
  const step = Math.max(1, Math.floor((last - first) / mostSteps))
  const rise = passingFloats(model.hazard.length)
  for (let j = 0; j < weights.length; j++) {
    const w = weights[j]!
    if (w < 1e-9) continue
    let before = 1
    for (let day = first + step; day <= last && before > 1e-6; day += step) {
      let all = 0
      for (let i = 0; i < rise.length; i++) {
        rise[i] = (model.hazard[i]![day]! - model.hazard[i]![day - step]!) * model.counts[i]![j]!
        all += rise[i]!
      }
      const now = before * Math.exp(-all)
      // what was lost in this step, shared out by how far each hazard rose
      if (all > 0) for (let i = 0; i < rise.length; i++) taken[i]! += (w * (before - now) * rise[i]!) / all
      before = now
    }
  }
  const total = taken.reduce((a, b) => a + b, 0) || 1
  const shares = new Map<string, number>()
  model.names.forEach((end, i) => shares.set(end, (shares.get(end) ?? 0) + taken[i]! / total))
  return [...shares].map(([end, share]) => ({ end: end as End, share })).sort((a, b) => b.share - a.share)
}
