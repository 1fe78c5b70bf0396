/**
 * Our own judgements, each with why. What is a matter of house and habit a household sets for itself
 * (almanac/habits.ts); numbers with a book behind them stand with the crop instead, where it may set those too.
 */
export * from './beds'
export * from './drying'
export * from './keeping'
export * from './kitchen'
export * from './larder'
export * from './looking'
export * from './places'
