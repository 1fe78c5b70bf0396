export * from './keep-back'
export * from './planting'
export * from './ribbons'
