export * from './curing'
export * from './eating'
export * from './house'
export * from './keeping'
export * from './line-advice'
export { cropIn, driedFormOf, lotState, type LotState } from './lot'
export * from './move'
export {
  comingHour,
  placeState,
  sameRecord,
  unsettles,
  withWeather,
  type PlaceFacts,
  type PlaceState,
} from './place'
export * from './place-months'
export * from './plan'
export * from './stock-ahead'
export * from './verdict'
export * from './weather-days'
