export * from './dates'
export * from './season'
export * from './weights'
