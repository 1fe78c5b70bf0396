export { serveKitchen } from './routes'
