export { larderView } from './view'
export { writeStock } from './write'
