import { inWords, type Language, type Values } from '@vadose/words'
import { shallowRef } from 'vue'

/** The language of the household that the page is open on; what shows a sentence is shown anew when it changes. */
const language = shallowRef<Language>('en-GB')
export const useLanguage = (next: Language): void => void (language.value = next)
export const languageHere = (): Language => language.value

/** Says a room's messages by their key. */
export const speaker =
  <Table extends Record<string, string>>(table: Table) =>
  (key: keyof Table & string, values: Values = {}): string =>
    inWords(table[key]!, values, language.value)
