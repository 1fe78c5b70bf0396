import { useWithinShare } from '../larder'
import { useWithin } from './eating'
import type { House } from './house'
import { keepingOf, soundSharesAhead } from './keeping'
import type { LotState } from './lot'

/** What is left of a load's weight when it comes out of the dehydrator. Judgement: most fresh produce is four fifths water or more. */
const dryerLeaves = 0.25

const weekDays = 7
const weeksAhead = 53

/** Share of a lot's weight likely to be there and sound so many weeks on, if nobody eats it; by week, from now. */
export function sharesAhead(house: House, lot: LotState): Float64Array {
  const weeks = (share: (days: number) => number) =>
    Float64Array.from({ length: weeksAhead }, (_, week) => share(week * weekDays))
  const soon = useWithin(house, lot)
  if (soon) return weeks((days) => useWithinShare(soon.age + days, soon.days))
  if (lot.stage === 'dryer') return weeks(() => dryerLeaves)
  if (lot.stage === 'conditioning') return weeks(() => 1)
  if (lot.stage === 'drying') return weeks(() => lot.cropData.curing?.finalWeightRatio.value ?? 1)
  const keeping = keepingOf(house, lot)
  return house.once(lot, 'ahead', [keeping], () => soundSharesAhead(house, lot, weekDays, weeksAhead))
}

/** Sound weight likely to be in the house week by week from today, if nobody eats any, g. */
export function stockAhead(house: House): number[] {
  const sums = new Float64Array(weeksAhead)
  for (const lot of house.lots) {
    const shares = sharesAhead(house, lot)
    for (let week = 0; week < weeksAhead; week++) sums[week]! += lot.weightG * shares[week]!
  }
  return Array.from(sums, Math.round)
}
