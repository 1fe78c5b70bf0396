export { decodeText } from './decode'
export * from './logger-file'
export { clockZone, winterClock, type TimeOrder } from './stamp'
export * from './hours'
