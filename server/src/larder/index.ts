export { writeStock } from './write'
