export * from './count'
