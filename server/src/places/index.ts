export * from './queries'
export { placeView } from './routes'
export { weatherOf } from './weather'
