export * from './logger-file'
export { clockZone, type TimeOrder } from './stamp'
