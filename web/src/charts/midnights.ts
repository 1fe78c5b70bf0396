import { addDays, civilDateOf, daysBetween, instantOf } from '@vadose/core/households'

/** A day's midnight in the household, where a chart counts instants. */
export const midnightOf = (on: string, timeZone: string): Date => new Date(instantOf(on, 0, timeZone))

/** Midnights of the household between two instants, about so many of them. */
export function midnightTicks(from: Date, to: Date, timeZone: string, about: number): { on: string; at: Date }[] {
  const first = civilDateOf(from.getTime(), timeZone)
  const days = daysBetween(first, civilDateOf(to.getTime(), timeZone))
  const every = Math.max(1, Math.ceil(days / about))
  return Array.from({ length: Math.floor(days / every) }, (_, i) => {
    const on = addDays(first, (i + 1) * every)
    return { on, at: midnightOf(on, timeZone) }
  })
}
