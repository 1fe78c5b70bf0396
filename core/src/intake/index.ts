export * from './heaps'
export * from './readiness'
