export { serveCount } from './routes'
export { writeWholeCount } from './write'
