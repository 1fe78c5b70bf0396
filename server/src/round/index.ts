export { jobView } from './view'
