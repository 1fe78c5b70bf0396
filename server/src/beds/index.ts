export { bedEntriesSince } from './queries'
