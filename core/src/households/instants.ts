import { DateTime } from 'luxon'
import type { CivilDate } from './dates'

/** Time of day of an instant, 14:05. */
export const clockTimeOf = (ms: number, timeZone: string): string =>
  DateTime.fromMillis(ms, { zone: timeZone }).toFormat('HH:mm')

/** Instant of a local hour on a civil day, ms. */
export const instantOf = (date: CivilDate, hour: number, timeZone: string): number =>
  DateTime.fromISO(date, { zone: timeZone }).set({ hour }).toMillis()

/**
 * Whether a name is one of the time zone database's: an area and a place, or UTC. Offsets are none: what `UTC+3` means
 * is the opposite to POSIX and to everybody else.
 */
export const isTimeZone = (zone: string): boolean =>
  (zone === 'UTC' || /^[A-Z][A-Za-z_]+(\/[A-Za-z0-9_+-]+)+$/.test(zone)) && DateTime.local({ zone }).isValid

/** Half past seven on the morning so many days on. */
export const morningAfter = (ms: number, days: number, timeZone: string): number =>
  DateTime.fromMillis(ms, { zone: timeZone })
    .plus({ days })
    .set({ hour: 7, minute: 30, second: 0, millisecond: 0 })
    .toMillis()
