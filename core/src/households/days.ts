import { DateTime } from 'luxon'
import type { CivilDate } from './dates'

/** Day of the household's calendar an instant falls on. */
export const civilDateOf = (ms: number, timeZone: string): CivilDate =>
  DateTime.fromMillis(ms, { zone: timeZone }).toISODate() ?? '1970-01-01'

/** Time of day of an instant, 14:05. */
export const clockTimeOf = (ms: number, timeZone: string): string =>
  DateTime.fromMillis(ms, { zone: timeZone }).toFormat('HH:mm')

/** Instant of a local hour on a civil day, ms. */
export const instantOf = (date: CivilDate, hour: number, timeZone: string): number =>
  DateTime.fromISO(date, { zone: timeZone }).set({ hour }).toMillis()

export const isTimeZone = (zone: string): boolean => DateTime.local({ zone }).isValid

/** Half past seven on the morning so many days on. */
export const morningAfter = (ms: number, days: number, timeZone: string): number =>
  DateTime.fromMillis(ms, { zone: timeZone })
    .plus({ days })
    .set({ hour: 7, minute: 30, second: 0, millisecond: 0 })
    .toMillis()
