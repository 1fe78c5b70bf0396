import {
  asideDays,
  bearableBadShare,
  bedYears,
  checkIntervalDays,
  homeToleranceFactor,
  joinsWithinDays,
} from '../assumptions'

interface Limits {
  /** our own judgement, which holds where a household says nothing */
  usual: number
  lo: number
  hi: number
}

/** Judgements that are a matter of house and habit: each household may set its own, within what makes sense. */
export const habitLimits = {
  /** weight lost that is still eaten, as a multiple of what a shop could still sell */
  bearableLoss: { usual: homeToleranceFactor, lo: 1, hi: 3 },
  /** spoilt by neighbours between two looks, in a hundred pieces, before somebody wants to look, % */
  bearableBadPct: { usual: 100 * bearableBadShare, lo: 0.1, hi: 10 },
  /** looks are no further apart than this, days */
  longestLookGapDays: { usual: checkIntervalDays.hi, lo: 7, hi: 120 },
  /** what comes in later than this does not join what hangs, days */
  joinHangingDays: { usual: joinsWithinDays.hanging, lo: 0, hi: 14 },
  /** nor what lies in store, days */
  joinStoredDays: { usual: joinsWithinDays.stored, lo: 0, hi: 60 },
  /** days that firm ones set aside to be eaten first have */
  eatFirstDays: { usual: asideDays['eat-first'].firm, lo: 3, hi: 60 },
  /** days that what is set aside to cook, freeze or dry has */
  cookDays: { usual: asideDays.cook, lo: 1, hi: 7 },
  /** a diseased bed is told of for so many years */
  bedYears: { usual: bedYears, lo: 1, hi: 12 },
} as const satisfies Record<string, Limits>

export type Habit = keyof typeof habitLimits
export type Habits = Readonly<Record<Habit, number>>

export const habitNames = Object.keys(habitLimits) as Habit[]

/** A household's habits: its own where it has said so. */
export const habitsWith = (own: Partial<Habits>): Habits =>
  Object.fromEntries(habitNames.map((name) => [name, own[name] ?? habitLimits[name].usual])) as Habits

export const usualHabits: Habits = habitsWith({})
