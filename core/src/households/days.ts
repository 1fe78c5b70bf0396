import type { CivilDate } from './dates'

const calendars = new Map<string, Intl.DateTimeFormat>()

/** Day of the household's calendar an instant falls on. @param timeZone IANA name */
export function civilDateOf(ms: number, timeZone: string): CivilDate {
  let calendar = calendars.get(timeZone)
  if (!calendar) {
    const day = { year: 'numeric', month: '2-digit', day: '2-digit' } as const
    calendars.set(timeZone, (calendar = new Intl.DateTimeFormat('en-CA', { ...day, timeZone })))
  }
  return calendar.format(ms)
}
