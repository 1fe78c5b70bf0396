export * from './queries'
export * from './job-view'
export * from './sync'
