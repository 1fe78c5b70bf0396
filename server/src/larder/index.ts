export { serveLarder } from './routes'
export { writeStock } from './write'
