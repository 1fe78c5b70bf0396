export * from './almanac'
export { outlineOf } from './glyphs'
export { default as LearntLine } from './LearntLine.vue'
