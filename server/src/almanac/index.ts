export * from './household-almanac'
