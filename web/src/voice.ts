import type { Units } from '@vadose/core/households'
import type { Message } from '@vadose/core/message'
import { inWords, retell, said, type Language, type Values } from '@vadose/words'
import { shallowRef } from 'vue'

/** How the household that the page is open on is spoken to; what shows a sentence is shown anew when it changes. */
const language = shallowRef<Language>('en-GB')
export const useLanguage = (next: Language): void => void (language.value = next)
export const languageHere = (): Language => language.value
/** For dates and numbers, of which no pseudo-language is known. */
export const localeHere = (): 'en-GB' | 'en-US' => (language.value === 'en-US' ? 'en-US' : 'en-GB')

const units = shallowRef<Units>('metric')
export const useUnits = (next: Units): void => void (units.value = next)
export const unitsHere = (): Units => units.value

const day = shallowRef<string>()
/** The household's day: a date of another year says its year. */
export const useToday = (next: string): void => void (day.value = next)

/** Says a room's messages by their key. */
export const speaker =
  <Table extends Record<string, string>>(table: Table) =>
  (key: keyof Table & string, values: Values = {}): string =>
    inWords(table[key]!, values, language.value)

/** A word of the almanac's, or a sentence of core's, as the household's English has it. */
export const sayWord = (word: string): string => retell(word, language.value)

/** Says what core or the server mean. */
export const sayFact = (message: Message): string =>
  said(message, { language: language.value, units: units.value, ...(day.value ? { today: day.value } : {}) })
