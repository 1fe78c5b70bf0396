export { serveCount } from './routes'
