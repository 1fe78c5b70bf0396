import type { Units } from '@vadose/core/households'
import { prose, type Message, type Part, type Prose } from '@vadose/core/message'
import {
  facts,
  inWords,
  retell,
  sayerOf,
  type Language,
  type Tables,
  type Values,
  type Voice,
} from '@vadose/words/page'
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

const more = shallowRef<readonly Tables[]>([])
/** Loads the words that no page begins with; what waited for them is shown anew. */
export const loadWords = async (): Promise<void> => {
  if (more.value.length === 0) more.value = (await import('@vadose/words/more')).more
}
const { said, saidPart } = sayerOf(
  () => [facts, ...more.value],
  ({ says }) => {
    // nothing that is said takes a screen down
    if (more.value.length > 0) return says
    // with the server away there are none to be had: it is asked again with the next thing that is said
    void loadWords().catch(() => undefined)
    return ''
  },
)

/** Names an input by its label where it has one: “freshMoisturePct” is “Water in it, fresh” on a worksheet. */
export type FieldNames = (field: string) => string

/** Says what core or the server mean. */
export const sayFact = (message: Message, fieldNamed?: FieldNames): string => said(message, voiceHere(fieldNamed))
/** A text of the almanac. */
export const sayProse = (text: Prose): string => sayPart(prose(text))
/** Says a part of what they mean: a quantity, a word, several things. */
export const sayPart = (part: Part): string => saidPart(part, voiceHere())

const voiceHere = (fieldNamed?: FieldNames): Voice => ({
  language: language.value,
  units: units.value,
  ...(day.value ? { today: day.value } : {}),
  ...(fieldNamed ? { fieldNamed } : {}),
})

/**
 * Says a refusal once its words are loaded.
 * @param otherwise what is said where they cannot be, with the server away
 */
export const refusalSaid = async (message: Message, otherwise: string): Promise<string> =>
  loadWords().then(
    () => sayFact(message),
    () => otherwise,
  )
