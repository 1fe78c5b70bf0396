export { hasPhoto } from './queries'
