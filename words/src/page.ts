export { facts } from './facts'
export * from './in-words'
export * from './said'
