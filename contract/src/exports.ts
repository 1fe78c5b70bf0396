import { ofHousehold } from './endpoint'
import { civilDate, closed, optional, textUpTo } from './shapes'

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
