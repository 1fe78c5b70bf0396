import { almanacChanges } from './almanac'
import { ofHousehold } from './endpoint'
import { allViews } from './households'
import { between, closed, nullable, optional, whole } from './shapes'

/** Limits of what is a matter of house and habit, in the order they are asked. */
const habit = {
  bearableLoss: between(1, 3),
  bearableBadPct: between(0.5, 10),
  longestLookGapDays: whole(7, 120),
  joinHangingDays: whole(0, 14),
  joinStoredDays: whole(0, 60),
  eatFirstDays: whole(3, 60),
  cookDays: whole(1, 7),
  bedYears: whole(1, 12),
}
/** How a household does it, where it is not the usual way, as its file has it. */
export const habits = closed({
  bearableLoss: optional(habit.bearableLoss),
  bearableBadPct: optional(habit.bearableBadPct),
  longestLookGapDays: optional(habit.longestLookGapDays),
  joinHangingDays: optional(habit.joinHangingDays),
  joinStoredDays: optional(habit.joinStoredDays),
  eatFirstDays: optional(habit.eatFirstDays),
  cookDays: optional(habit.cookDays),
  bedYears: optional(habit.bedYears),
})
/** Habits as they are set: nothing puts the usual one back. */
export const newHabits = closed({
  bearableLoss: optional(nullable(habit.bearableLoss)),
  bearableBadPct: optional(nullable(habit.bearableBadPct)),
  longestLookGapDays: optional(nullable(habit.longestLookGapDays)),
  joinHangingDays: optional(nullable(habit.joinHangingDays)),
  joinStoredDays: optional(nullable(habit.joinStoredDays)),
  eatFirstDays: optional(nullable(habit.eatFirstDays)),
  cookDays: optional(nullable(habit.cookDays)),
  bedYears: optional(nullable(habit.bedYears)),
})

export const setHabits = ofHousehold('set-habits', {
  method: 'PUT',
  path: '/almanac/habits',
  says: 'How the household does it: each habit that is named is set, or is the usual one again.',
  body: newHabits,
  answer: almanacChanges,
  stale: allViews,
})
