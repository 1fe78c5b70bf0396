export * from './forecast'
export * from './life-model'
export * from './rates'
export * from './seed-life'
