export * from './keep-back'
export * from './planting'
