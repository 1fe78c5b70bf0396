import type { YearView } from '@vadose/contract/year'
import { sharesAhead, weeksAhead, workable, type House } from '@vadose/core/forecast'
import { addDays, daysBetween, seasonYearOf } from '@vadose/core/households'
import { runOut } from '@vadose/core/larder'
import { aheadOf, lastsTo, reckoningOf, stockOn, weeksOf, type YearMove } from '@vadose/core/year'
import type { Move } from '../projections'

/** Days of eating that the pace is learnt from. */
const watchedDays = 120
const yearDays = 365
/** crops of which there was never so much are in the reckoning only, g */
const leastShownG = 300

export function yearView(house: House, moves: readonly Move[]): YearView {
  const { startsOn: from, endsOn: to } = seasonYearOf(house.today, house.household.seasonStart)
  const told: YearMove[] = moves.map(({ on, kind, crop, weightG, cause }) => ({ on, kind, crop, weightG, cause }))
  const days = weeksOf(from, house.today)
  const stock = stockOn(told, days)
  const weeks = Math.max(1, Math.min(weeksAhead - 1, Math.ceil(daysBetween(house.today, to) / 7)))
  const lines = [...stock]
    .map(([crop, past]) => lineOf(house, moves, crop, days, past, weeks))
    .filter(({ past, nowG }) => nowG > 0 || Math.max(...past.map(({ g }) => g)) >= leastShownG)
    .sort((a, b) => Math.max(...b.past.map(({ g }) => g)) - Math.max(...a.past.map(({ g }) => g)))
  return { from, to, today: house.today, lines, reckoning: reckoningOf(told, from) }
}

function lineOf(
  house: House,
  moves: readonly Move[],
  crop: string,
  days: readonly string[],
  past: readonly number[],
  weeks: number,
): YearView['lines'][number] {
  const own = workable(house).filter((lot) => lot.crop === crop && lot.fate !== 'plant')
  const sound = Array.from({ length: weeks + 1 }, (_, week) =>
    own.reduce((sum, lot) => sum + lot.weightG * (sharesAhead(house, lot)[week] ?? 0), 0),
  )
  const nextCropOn = nextCrop(moves, crop, house.today)
  const ahead = aheadOf(sound, paceOf(house, moves, crop, sound[0] ?? 0))
  const gone = ahead.findIndex(({ p50 }) => p50 <= 0)
  const gapFrom = gone > 0 ? addDays(house.today, 7 * gone) : null
  return {
    crop,
    nowG: past.at(-1) ?? 0,
    past: days.map((on, i) => ({ on, g: past[i]! })),
    ahead: ahead.map((g, week) => ({
      on: addDays(house.today, 7 * week),
      g: { p10: Math.round(g.p10), p50: Math.round(g.p50), p90: Math.round(g.p90) },
    })),
    gapFrom: gapFrom !== null && (nextCropOn === null || gapFrom < nextCropOn) ? gapFrom : null,
    nextCropOn,
    lasts: lastsTo(ahead, nextCropOn === null ? null : daysBetween(house.today, nextCropOn) / 7),
  }
}

/** What a household eats from store in a week, g, where nobody has eaten of something yet: shared out by what there is. Judgement. */
const appetiteG = 5000
const unsure = { p10: 0.4, p90: 1.8 }
function guessedPace(house: House, onHandG: number) {
  const allG = house.lots.reduce((sum, lot) => sum + (lot.fate === 'plant' ? 0 : lot.weightG), 0)
  const p50 = (appetiteG * onHandG) / Math.max(appetiteG, allG)
  return { p10: p50 * unsure.p10, p50, p90: p50 * unsure.p90 }
}

function paceOf(house: House, moves: readonly Move[], crop: string, onHandG: number) {
  const since = addDays(house.today, -watchedDays)
  const byDay = new Map<string, number>()
  for (const { on, kind, crop: of, weightG } of moves) {
    if (kind === 'used' && of === crop && on >= since && weightG < 0) byDay.set(on, (byDay.get(on) ?? 0) - weightG)
  }
  if (byDay.size === 0) return guessedPace(house, onHandG)
  const uses = [...byDay].sort(([a], [b]) => (a < b ? -1 : 1)).map(([date, amount]) => ({ date, amount }))
  return runOut(Math.max(1, onHandG), uses, house.today).perWeek
}

/** The day a crop first came in the year before, a year on: when the next is to be expected. */
function nextCrop(moves: readonly Move[], crop: string, today: string): string | null {
  const since = addDays(today, -yearDays)
  const first = moves
    .filter(({ kind, crop: of, on }) => kind === 'brought-in' && of === crop && on > since)
    .map(({ on }) => on)
  return first.length > 0 ? addDays(first.sort()[0]!, yearDays) : null
}
