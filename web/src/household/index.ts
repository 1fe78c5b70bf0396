export * from './frame'
export * from './words'
export { default as YearStrip } from './YearStrip.vue'
