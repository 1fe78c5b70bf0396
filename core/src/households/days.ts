import type { CivilDate } from './dates'

interface Calendar {
  format: Intl.DateTimeFormat
  /** the days asked for, by the quarter of an hour: screens ask for the same few of every lot */
  known: Map<number, CivilDate>
}

const calendars = new Map<string, Calendar>()
const quarterMs = 900_000
const mostKnown = 20_000
/** since then every clock on earth has been whole quarters of an hour from another, and days begin at quarters */
const quartersFromMs = Date.UTC(1973, 0)

/** Day of the household's calendar an instant falls on. @param timeZone IANA name */
export function civilDateOf(ms: number, timeZone: string): CivilDate {
  let calendar = calendars.get(timeZone)
  if (!calendar) {
    const day = { year: 'numeric', month: '2-digit', day: '2-digit' } as const
    calendar = { format: new Intl.DateTimeFormat('en-CA', { ...day, timeZone }), known: new Map() }
    calendars.set(timeZone, calendar)
  }
  const { format, known } = calendar
  if (!(ms >= quartersFromMs)) return format.format(ms)
  const quarter = Math.floor(ms / quarterMs)
  let date = known.get(quarter)
  if (date === undefined) {
    if (known.size >= mostKnown) known.clear()
    known.set(quarter, (date = format.format(ms)))
  }
  return date
}
