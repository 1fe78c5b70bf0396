export * from './sensors'
export { placeAt } from './weather'
