export * from './almanac'
export { outlineOf } from './glyphs'
export { longerWords, seenWords } from './learnt-words'
