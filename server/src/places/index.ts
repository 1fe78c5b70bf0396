export * from './queries'
export { placeView } from './view'
