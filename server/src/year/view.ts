import type { YearView } from '@vadose/contract/year'
import { cropAhead, weeksAhead, type House } from '@vadose/core/forecast'
import { addDays, daysBetween, seasonYearOf } from '@vadose/core/households'
import { reckoningOf, stockOn, weeksOf } from '@vadose/core/year'
import type { Move } from '../projections'

/** crops of which there was never so much are in the reckoning only, g */
const leastShownG = 300

export function yearView(house: House, moves: Iterable<Move>): YearView {
  const { startsOn: from, endsOn: to } = seasonYearOf(house.today, house.household.seasonStart)
  const days = weeksOf(from, house.today)
  const stock = stockOn(moves, days)
  const weeks = Math.max(1, Math.min(weeksAhead - 1, Math.ceil(daysBetween(house.today, to) / 7)))
  const lines = [...stock]
    .map(([crop, past]) => lineOf(house, moves, crop, days, past, weeks))
    .filter(({ past, nowG }) => nowG > 0 || Math.max(...past.map(({ g }) => g)) >= leastShownG)
    .sort((a, b) => Math.max(...b.past.map(({ g }) => g)) - Math.max(...a.past.map(({ g }) => g)))
  return { from, to, today: house.today, lines, reckoning: reckoningOf(moves, from) }
}

function lineOf(
  house: House,
  moves: Iterable<Move>,
  crop: string,
  days: readonly string[],
  past: readonly number[],
  weeks: number,
): YearView['lines'][number] {
  const { ahead, ...against } = cropAhead(house, moves, crop)
  return {
    crop,
    nowG: past.at(-1) ?? 0,
    past: days.map((on, i) => ({ on, g: past[i]! })),
    ahead: ahead.slice(0, weeks + 1).map((g, week) => ({
      on: addDays(house.today, 7 * week),
      g: { p10: Math.round(g.p10), p50: Math.round(g.p50), p90: Math.round(g.p90) },
    })),
    ...against,
  }
}
