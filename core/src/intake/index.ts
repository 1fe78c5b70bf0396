export * from './heaps'
export * from './readiness'
export * from './weather'
export * from './propose-place'
