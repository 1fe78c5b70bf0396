import { useWithinShare } from '../larder'
import { floatsOf } from '../rows'
import type { House } from './house'
import { keepingOf } from './keeping'
import type { LotState } from './lot'
import { soundSharesAhead } from './sound-ahead'
import { useWithin } from './use-within'
import { dryerLeaves } from '../assumptions'

const weekDays = 7
export const weeksAhead = 53

/** Share of a lot's weight likely to be there and sound so many weeks on, if nobody eats it; by week, from now. */
export const sharesAhead = (house: House, lot: LotState): Float64Array =>
  house.seenOf(lot, 'shares', () => sharesOf(house, lot))

function sharesOf(house: House, lot: LotState): Float64Array {
  const weeks = (share: (days: number) => number) => floatsOf(weeksAhead, (week) => share(week * weekDays))
  const soon = useWithin(house, lot)
  if (soon) return weeks((days) => useWithinShare(soon.age + days, soon.days))
  if (lot.stage === 'dryer') return weeks(() => dryerLeaves)
  if (lot.stage === 'conditioning') return weeks(() => 1)
  if (lot.stage === 'drying') return weeks(() => lot.cropData.curing?.finalWeightRatio.value ?? 1)
  const keeping = keepingOf(house, lot)
  return house.once(lot, 'ahead', [keeping], () => soundSharesAhead(house, lot, weekDays, weeksAhead))
}
