export * from './queries'
export * from './view'
export * from './write'
