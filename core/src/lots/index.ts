export * from './code'
export * from './quantity'
