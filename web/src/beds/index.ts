export * from './write-down'
