export { senseUntil } from './sense'
