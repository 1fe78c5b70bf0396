import { dayMs } from '@vadose/core/households'

/** How many of the newest days, weeks and months keep a backup. */
export const kept = { days: 7, weeks: 4, months: 12 }

const dayOf = (ms: number) => String(Math.floor(ms / dayMs))
// 1970-01-01 was a Thursday: weeks begin on Monday
const weekOf = (ms: number) => String(Math.floor((ms / dayMs + 3) / 7))
const monthOf = (ms: number) => new Date(ms).toISOString().slice(0, 7)

/** The backups that are not needed any more: all but the last of each of the newest days, weeks and months. */
export function outdated<T extends { atMs: number }>(backups: readonly T[]): T[] {
  const newestFirst = [...backups].sort((a, b) => b.atMs - a.atMs)
  const wanted = new Set<T>()
  for (const [period, most] of [
    [dayOf, kept.days],
    [weekOf, kept.weeks],
    [monthOf, kept.months],
  ] as const) {
    const seen = new Set<string>()
    for (const backup of newestFirst) {
      const key = period(backup.atMs)
      if (seen.has(key)) continue
      if (seen.add(key).size > most) break
      wanted.add(backup)
    }
  }
  return newestFirst.filter((backup) => !wanted.has(backup))
}
