export { decodeText } from './decode'
export * from './logger-file'
export { clockZone, winterClock } from './stamp'
export * from './hours'
