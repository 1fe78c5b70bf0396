export { addBedEntry, bedEntriesSince } from './queries'
