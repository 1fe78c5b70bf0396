import { floats } from '../rows'
import type { House } from './house'
import { sharesAhead, weeksAhead } from './shares-ahead'
import { workable } from './trouble'

/** Sound weight likely to be in the house week by week from today, if nobody eats any, g. */
export const stockAhead = (house: House): number[] =>
  house.shown('stock ahead', [], () => {
    const sums = floats(weeksAhead)
    for (const lot of workable(house)) {
      const shares = sharesAhead(house, lot)
      for (let week = 0; week < weeksAhead; week++) sums[week]! += lot.weightG * shares[week]!
    }
    return Array.from(sums, Math.round)
  })
