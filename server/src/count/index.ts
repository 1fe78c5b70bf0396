export { writeWholeCount } from './write'
