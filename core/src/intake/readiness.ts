import { term, told, type Message, prose } from '../message'
import { addDays, type CivilDate } from '../households'
import type { Crop, ReadinessSchool } from '../almanac'

export interface SchoolVerdict {
  school: ReadinessSchool
  verdict: 'wait' | 'lift' | 'late'
  /** in plain words, with what it would cost */
  says: Message
  /** when this school would lift at the usual pace; today when it would now */
  liftFrom: CivilDate
}

/**
 * What each school would do about a crop in the ground.
 * @param share of the sign reached, 0…1: leaves browned, tops fallen
 */
export function readinessVerdicts(crop: Crop, share: number, today: CivilDate): SchoolVerdict[] {
  if (!crop.readiness) return []
  const { schools, sharePerWeek, earlyCost, lateCost } = crop.readiness
  return schools.map((school): SchoolVerdict => {
    const from = school.from.value
    const to = school.to.value
    if (share < from - 1e-9) {
      const days = Math.max(1, Math.round(((from - share) / sharePerWeek.value) * 7))
      return {
        school,
        verdict: 'wait',
        says: told('intake.wait', { days, cost: term(earlyCost) }),
        liftFrom: addDays(today, days),
      }
    }
    if (share > to + 1e-9) {
      return { school, verdict: 'late', says: told('intake.late', { cost: prose(lateCost) }), liftFrom: today }
    }
    return { school, verdict: 'lift', says: told('intake.lift', { cost: prose(lateCost) }), liftFrom: today }
  })
}
