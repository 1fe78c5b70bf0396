import { gridSpread, type Spread } from '../chance'
import { leastWeight, type LotBelief } from './forecast'
import type { LifeModel } from './life-model'
import { badShare, noneBad, stand } from './standing'

/** Means over as many points on either side, fewer at the ends: what falls goes on falling, without a coarse grid's steps. */
function smoothed(values: readonly number[], reach: number): number[] {
  return values.map((_, i) => {
    const r = Math.min(reach, i, values.length - 1 - i)
    const around = values.slice(i - r, i + r + 1)
    return around.reduce((a, b) => a + b, 0) / around.length
  })
}

/** Share sound, by day from the start, middle and 8-in-10 band. */
export function survivalCurve(model: LifeModel, nowDay: number, belief: LotBelief, spread = 0, stepDays = 3) {
  const days = Array.from({ length: Math.floor(model.days / stepDays) + 1 }, (_, i) => i * stepDays)
  const believed = [...belief.weights.keys()].filter((j) => belief.weights[j]! >= leastWeight)
  const weights = believed.map((j) => belief.weights[j]!)
  const sound = believed.map((j) => {
    let bad = noneBad
    let at = 0
    return Float64Array.from(days, (day) => {
      if (at < nowDay && day >= nowDay) [bad, at] = [belief.bad[j]!, nowDay]
      bad = stand(model, j, bad, at, day, spread)
      at = Math.max(at, day)
      return 1 - badShare(bad)
    })
  })
  const points = days.map((_, i) =>
    gridSpread(
      sound.map((of) => of[i]!),
      weights,
    ),
  )
  const half = points.findIndex(({ p50 }) => p50 < 0.5)
  const reach = Math.min(3, Math.floor((half < 0 ? points.length : half) / 8))
  const smooth = (level: keyof Spread) =>
    smoothed(
      points.map((point) => point[level]),
      reach,
    )
  const [p10, p50, p90] = [smooth('p10'), smooth('p50'), smooth('p90')]
  return days.map((day, i) => ({ day, p10: p10[i]!, p50: p50[i]!, p90: p90[i]! }))
}
