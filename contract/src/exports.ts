import { ofHousehold } from './endpoint'
import { civilDate, closed, nullable, optional, requestId, textUpTo, words } from './shapes'

export const exportLots = ofHousehold('export-lots', {
  method: 'GET',
  path: '/exports/lots.csv',
  says: 'Every lot there ever was, as it stands.',
  answer: { file: 'text/csv' },
})

export const exportLedger = ofHousehold('export-ledger', {
  method: 'GET',
  path: '/exports/ledger.csv',
  says: 'Every event of the ledger, oldest first.',
  answer: { file: 'text/csv' },
})

const table = <N extends string>(name: N, says: string) =>
  ofHousehold(`export-${name}`, { method: 'GET', path: `/exports/${name}.csv`, says, answer: { file: 'text/csv' } })

export const exportLarder = table('larder', 'What there is to eat, soonest lost first, with how long it keeps.')
export const exportRound = table('round', 'The open jobs, as on the round.')
export const exportYear = table('year', 'Where every gram of each crop went since the season began.')
export const exportCounts = table('counts', 'Every line of every count of the shelves.')
export const exportBeds = table('beds', 'What was written down of the beds.')

export const exportReadings = ofHousehold('export-readings', {
  method: 'GET',
  path: '/exports/readings.csv',
  says: 'Readings of one place from a day on.',
  query: closed({ place: optional(textUpTo(40)), from: optional(civilDate) }),
  answer: { file: 'text/csv' },
  aside: true,
})

export const exportJobs = ofHousehold('export-jobs', {
  method: 'GET',
  path: '/exports/jobs.ics',
  says: 'The open jobs as a calendar.',
  answer: { file: 'text/calendar' },
})

/** Where a calendar program reads the jobs by itself: whoever knows the address reads them, and nothing else. */
const calendarAddress = closed({ path: nullable(words) })

export const readCalendarAddress = ofHousehold('calendar-address', {
  method: 'GET',
  path: '/calendar',
  says: 'The private address of the calendar feed; null where there is none.',
  answer: calendarAddress,
})

export const makeCalendarAddress = ofHousehold('make-calendar-address', {
  method: 'POST',
  path: '/calendar',
  says: 'A new private address for the calendar feed; the one before stops working.',
  body: closed({ requestId }),
  answer: calendarAddress,
  status: 201,
  stale: ['calendar-address'],
})

export const endCalendarAddress = ofHousehold('end-calendar-address', {
  method: 'DELETE',
  path: '/calendar',
  says: 'The calendar feed stops; its address is forgotten.',
  answer: calendarAddress,
  stale: ['calendar-address'],
})

export const calendarFeed = ofHousehold('calendar-feed', {
  method: 'GET',
  path: '/calendar/:key/jobs.ics',
  says: 'The open jobs as a calendar, at its private address; not found for any other.',
  answer: { file: 'text/calendar' },
})
