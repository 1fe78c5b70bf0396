export * from './eat-first'
export * from './run-out'
export * from './brine'
export * from './week'
