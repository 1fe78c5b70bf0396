import { ends, lifeLaws } from '../stores'
import { keepingOf } from './keeping'
import { lifePriorOf } from './learnt'
import type { House } from './house'
import type { LotState } from './lot'

/** How far each end comes, by end: now, and after each month in a place. */
export type AgesIn = readonly (readonly number[])[]

/** states hardly anybody believes in change no proposal */
const leastWeight = 1e-4

/**
 * What would be lost of a lot on a way through the months, of what is still there in each.
 * @param kgThen kilos there in each month if none were lost
 * @param seen ages in every place it may come to, to know which ends come at all
 */
export function wayLosses(house: House, lot: LotState, kgThen: readonly number[], seen: readonly AgesIn[]) {
  const comes = ends.map((_, end) => seen.some((ages) => ages[end]!.at(-1)! > 0))
  const { belief, model } = keepingOf(house, lot)
  const { prior, laws } = lifeLaws(comes, model.driesFirst, lifePriorOf(house, lot, house.placeOf(lot)?.id ?? null))
  const believed = belief.weights
  const all = believed.length === prior.length ? believed : prior
  const states = [...all.keys()].filter((j) => all[j]! >= leastWeight)
  const total = states.reduce((sum, j) => sum + all[j]!, 0)
  const weights = states.map((j) => all[j]! / total)
  const counts = laws.map((law) => Float64Array.from(states, (j) => law.counts[j]!))
  const risen = new Float64Array(states.length)
  const months = kgThen.length
  /**
   * @param way the place of each month
   * @param at where it lies now
   * @param ages by place
   */
  return (way: readonly number[], at: number, ages: readonly AgesIn[]): number => {
    const age = laws.map(({ end }) => ages[at]![end]![0]!)
    const first = laws.map(({ hazard }, i) => (age[i]! > 0 ? hazard(age[i]!) : 0))
    let [lost, before] = [0, 1]
    for (let m = 0; m < months; m++) {
      const here = ages[way[m]!]!
      risen.fill(0)
      laws.forEach(({ end, hazard }, i) => {
        age[i]! += here[end]![m + 1]! - here[end]![m]!
        const rise = age[i]! > 0 ? hazard(age[i]!) - first[i]! : 0
        const own = counts[i]!
        if (rise > 0) for (let s = 0; s < risen.length; s++) risen[s]! += rise * own[s]!
      })
      let sound = 0
      for (let s = 0; s < risen.length; s++) sound += weights[s]! * Math.exp(-risen[s]!)
      lost += kgThen[m]! * Math.max(0, before - sound)
      before = sound
    }
    return lost
  }
}
