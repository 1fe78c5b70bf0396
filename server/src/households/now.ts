import type { HouseholdRow } from './queries'

/** The household's now: its practice clock, or the real one. The only place that reads a clock for the household. */
export const nowOf = (household: Pick<HouseholdRow, 'practiceNow'>): number =>
  household.practiceNow ? household.practiceNow.getTime() : Date.now()
