export * from './sensors'
export { placeAt, type Weather } from './weather'
