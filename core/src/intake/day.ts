import { oldestHarvestDays } from '../assumptions'
import { daysBetween } from '../households'
import { told } from '../message'
import { Refusal } from '../refusal'

/** @throws Refusal for a day ahead, or so far back that the year is a slip */
export function requireDay(on: string, today: string, field: string, oldestDays = oldestHarvestDays): void {
  if (on > today) throw new Refusal('invalid', told('intake.liesAhead', { on, today }), field)
  if (daysBetween(on, today) > oldestDays) {
    const back = oldestDays > 1000 ? `${Math.round(oldestDays / 365.25)} years` : `${oldestDays} days`
    throw new Refusal('invalid', told('intake.tooFarBack', { on, back }), field)
  }
}
