export { inWords, isLanguage, languages, type Language, type Values } from './in-words'
