export * from './almanac'
