export * from './eat-first'
export * from './run-out'
