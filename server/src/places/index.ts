export * from './queries'
export { placeView } from './routes'
