export * from './entry'
export * from './stands'
export * from './verdict'
export * from './says'
