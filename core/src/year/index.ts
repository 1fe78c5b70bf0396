export * from './planting'
