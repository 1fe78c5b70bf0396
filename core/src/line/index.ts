export * from './curing-clock'
export * from './drying-power'
export * from './posterior'
export * from './what-if'
