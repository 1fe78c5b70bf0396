import { oldestHarvestDays } from '../assumptions'
import { daysBetween } from '../households'
import { Refusal } from '../refusal'

/** @throws Refusal for a day ahead, or so far back that the year is a slip */
export function requireDay(on: string, today: string, field: string): void {
  if (on > today) throw new Refusal('invalid', `${on} lies ahead of today, ${today}.`, field)
  if (daysBetween(on, today) > oldestHarvestDays) {
    throw new Refusal('invalid', `${on} is more than ${oldestHarvestDays} days back; check the year.`, field)
  }
}
