export * from './calculators'
