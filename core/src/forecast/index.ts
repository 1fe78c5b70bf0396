export { meanAhead } from './air-ahead'
export * from './alarms'
export * from './arrangement'
export * from './beds'
export * from './conflicts'
export * from './crop-ahead'
export * from './curing'
export * from './eating'
export * from './house'
export * from './keeping'
export * from './learnt'
export * from './line-advice'
export * from './line-options'
export { cropIn, cropNow, formOf, lotState, stateOf, type LotState } from './lot'
export * from './move'
export * from './moved'
export {
  comingHour,
  outdoorsInPieces,
  outdoorsOf,
  placeState,
  placeStateInPieces,
  sameRecord,
  unsettles,
  withWeather,
  type PlaceFacts,
  type PlaceState,
} from './place'
export * from './place-climate'
export * from './place-months'
export { ifRelabelled } from './relabel'
export * from './plan'
export * from './shares-ahead'
export * from './seed'
export * from './stock-ahead'
export * from './trouble'
export { useWithin } from './use-within'
export * from './verdict'
export * from './weather-days'
