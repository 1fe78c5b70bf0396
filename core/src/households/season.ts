import { addDays, daysBetween, type CivilDate } from './dates'

/** The household's year: from its season start to the day before the next. */
export interface SeasonYear {
  startsOn: CivilDate
  endsOn: CivilDate
  days: number
}

/**
 * The season year a day falls in.
 * @param seasonStart month and day the household's year begins, `MM-DD` (May in the north, November in the south)
 */
export function seasonYearOf(today: CivilDate, seasonStart: string): SeasonYear {
  const year = Number(today.slice(0, 4))
  const thisYear = `${year}-${seasonStart}`
  const startsOn = thisYear <= today ? thisYear : `${year - 1}-${seasonStart}`
  const endsOn = addDays(`${Number(startsOn.slice(0, 4)) + 1}-${seasonStart}`, -1)
  return { startsOn, endsOn, days: daysBetween(startsOn, endsOn) + 1 }
}
