export * from './check-size'
export * from './next-check'
export * from './posterior'
export * from './update'
