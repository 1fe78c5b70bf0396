export { larderLots } from './routes'
