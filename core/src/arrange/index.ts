export * from './moves'
export * from './problem'
export * from './programme'
export * from './ways'
