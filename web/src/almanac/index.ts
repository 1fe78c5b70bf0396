export * from './almanac'
export { outlineOf } from './glyphs'
