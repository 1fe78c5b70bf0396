export * from './mould'
export * from './psychrometrics'
export * from './series'
