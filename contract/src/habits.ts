import type { TSchema } from 'typebox'
import { almanacChanges } from './almanac'
import { ofHousehold } from './endpoint'
import { allViews } from './households'
import { between, closed, nullable, number, optional, whole } from './shapes'

/** What is a matter of house and habit, with what makes sense for each. */
export const habit = {
  bearableLoss: between(1, 3),
  bearableBadPct: between(0.1, 10),
  longestLookGapDays: whole(7, 120),
  joinHangingDays: whole(0, 14),
  joinStoredDays: whole(0, 60),
  eatFirstDays: whole(3, 60),
  cookDays: whole(1, 7),
  bedYears: whole(1, 12),
}

/** Each of them by a schema made of its own; any may be left out. */
const each = <T extends TSchema>(of: (one: TSchema) => T) =>
  closed(
    Object.fromEntries(Object.entries(habit).map(([name, one]) => [name, optional(of(one))])) as Record<
      keyof typeof habit,
      ReturnType<typeof optional<T>>
    >,
  )
/** How a household does it, where it is not the usual way, as its file has it. */
export const habits = each((one) => one as typeof number)
/** Habits as they are set: nothing puts the usual one back. */
const newHabits = each((one) => nullable(one as typeof number))

export const setHabits = ofHousehold('set-habits', {
  method: 'PUT',
  path: '/almanac/habits',
  says: 'How the household does it: each habit that is named is set, or is the usual one again.',
  body: newHabits,
  answer: almanacChanges,
  stale: allViews,
})
