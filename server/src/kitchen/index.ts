export { writeDish } from './write'
