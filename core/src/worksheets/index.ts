export * from './calculators'
export * from './cure'
