export { serveKitchen } from './routes'
export { writeDish } from './write'
