export * from './now'
export * from './queries'
