export * from './plan'
export * from './place-verdict'
export * from './weather-says'
