export * from './dates'
export * from './season'
