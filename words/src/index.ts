export { inWords, retell, type Language, type Values } from './in-words'
export { inPlainWords, said, saidPart, type Voice } from './said'
