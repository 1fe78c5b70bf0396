export * from './queries'
export * from './sync'
