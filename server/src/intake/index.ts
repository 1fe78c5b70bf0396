export * from './queries'
