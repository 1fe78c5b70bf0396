export * from './logger-file'
export { clockZone, winterClock, type TimeOrder } from './stamp'
