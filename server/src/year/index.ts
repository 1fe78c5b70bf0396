export { yearView } from './view'
