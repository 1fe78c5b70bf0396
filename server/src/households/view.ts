import type { Frame } from '@vadose/contract/households'
import { bedVerdict, planOf, stockAhead, type House } from '@vadose/core/forecast'
import { daysBetween, seasonYearOf } from '@vadose/core/households'
import type { Move } from '../projections'
import type { HouseholdRow } from './queries'

/** The year as a strip: what was in the house day by day, what is likely to be, and the days with jobs. */
export function frameOf(household: HouseholdRow, house: House, moves: Iterable<Move>): Frame {
  const { today } = house
  const { startsOn, endsOn, days } = seasonYearOf(today, household.seasonStart)
  const todayDay = daysBetween(startsOn, today)
  return {
    household: {
      id: household.id,
      address: household.address,
      name: household.name,
      clock: household.practiceNow ? 'practice' : 'real',
      demo: household.demo,
      timeZone: household.timeZone,
      units: household.units,
      language: household.language,
      altitudeM: household.altitudeM,
      authority: household.authorityUrl
        ? { name: household.authorityName ?? household.authorityUrl, url: household.authorityUrl }
        : null,
    },
    now: new Date(house.nowMs).toISOString(),
    today,
    year: {
      startsOn,
      endsOn,
      stock: house.once(null, 'stock', [house.lots, moves, today], () => stockOf(house, moves, startsOn, days)),
      harvests: harvestsAhead(house, startsOn, days),
      jobDays: house.once(null, 'job days', [house.lots, house.places, house.stands, today], () =>
        [...new Set(planOf(house).map((job) => Math.max(todayDay, daysBetween(startsOn, job.dueOn))))]
          .filter((day) => day < days)
          .sort((a, b) => a - b),
      ),
    },
  }
}

/** What is likely to be lifted in this year, by its beds. */
function harvestsAhead(house: House, startsOn: string, days: number): Frame['year']['harvests'] {
  const todayDay = daysBetween(startsOn, house.today)
  return house.stands.flatMap((stand) => {
    const window = stand.over ? null : bedVerdict(house, stand)?.window
    if (!window) return []
    const from = Math.max(todayDay, daysBetween(startsOn, window.from))
    const to = Math.min(days - 1, Math.max(from, daysBetween(startsOn, window.to)))
    return from < days ? [{ crop: stand.crop, bed: stand.bed, from, to }] : []
  })
}

function stockOf(house: House, moves: Iterable<Move>, startsOn: string, days: number): Frame['year']['stock'] {
  const todayDay = daysBetween(startsOn, house.today)
  const byDay = new Float64Array(todayDay + 1)
  for (const { on, weightG } of moves) {
    const day = daysBetween(startsOn, on)
    if (day >= 0 && day <= todayDay) byDay[day]! += weightG
  }
  // what was there before the year began is what is there now less what has come and gone since
  let weightG = house.lots.reduce((sum, lot) => sum + lot.weightG, 0) - byDay.reduce((a, b) => a + b, 0)
  const stock: Frame['year']['stock'] = []
  byDay.forEach((change, day) => {
    weightG += change
    stock.push({ day, weightG, forecast: false })
  })
  const ahead = stockAhead(house)
  for (let week = 1; todayDay + 7 * week <= days; week++) {
    stock.push({ day: todayDay + 7 * week, weightG: ahead[week]!, forecast: true })
  }
  return stock
}
