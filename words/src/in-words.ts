import { IntlMessageFormat, type Formatters } from 'intl-messageformat'
import { inAmerican } from './american'
import { pseudo } from './pseudo'

/**
 * The languages a household may choose from. `en-XA` is the pseudo-language of the tests: English with every letter
 * changed, so that a sentence that does not come from the tables shows.
 * @source Unicode CLDR: en-XA is the name of its accented pseudo-locale
 */
export const languages = ['en-GB', 'en-US', 'en-XA'] as const
export type Language = (typeof languages)[number]

/** What a message is filled with. What is null or missing is said as nothing. */
export type Values = Readonly<Record<string, string | number | null | undefined>>

const retold: Record<Language, ((text: string) => string) | undefined> = {
  'en-GB': undefined,
  'en-US': inAmerican,
  'en-XA': pseudo,
}

/** A word or name of the almanac's, as a language calls it. */
export const retell = (text: string, language: Language): string => retold[language]?.(text) ?? text

type Element = ReturnType<IntlMessageFormat['getAst']>[number]

/** A message as it stands in a table: its text, or what that was read into when the page was built. */
export type Text = string | Element[]

/** A message ready to be said: what it asks for, and of what it chooses by, what there is to choose from. */
interface Ready {
  format: IntlMessageFormat
  wants: ReadonlyMap<string, ReadonlySet<string>>
}
/** What a browser takes long to make is made once for all messages. */
function once<Asked extends unknown[], Made>(make: (...asked: Asked) => Made): (...asked: Asked) => Made {
  const known = new Map<string, Made>()
  return (...asked) => {
    const key = JSON.stringify(asked)
    const made = known.get(key) ?? make(...asked)
    known.set(key, made)
    return made
  }
}
// a browser asked which locales it knows takes 27 ms for its first answer; English it knows
IntlMessageFormat.resolveLocale = once((locales) => new Intl.Locale([locales].flat()[0]!))
const formatters: Formatters = {
  getNumberFormat: once((...asked) => new Intl.NumberFormat(...asked)),
  getDateTimeFormat: once((...asked) => new Intl.DateTimeFormat(...asked)),
  getPluralRules: once((...asked) => new Intl.PluralRules(...asked)),
}

const made = new Map<Language, Map<Text, Ready>>(languages.map((language) => [language, new Map()]))

/**
 * A message in ICU MessageFormat as it is said in a language.
 * @param message British English, which is the source of the others
 * @throws SyntaxError where the message is not ICU's
 * @source Unicode ICU User Guide, “Formatting Messages”
 */
export function inWords(message: Text, values: Values, language: Language): string {
  if (typeof message === 'string' && !/[{<']/.test(message)) return retell(message, language)
  const known = made.get(language)!
  const ready = known.get(message) ?? readied(message, language)
  known.set(message, ready)
  return String(ready.format.format(filled(ready, values)))
}

function readied(message: Text, language: Language): Ready {
  const parts = typeof message === 'string' ? new IntlMessageFormat(message, 'en-GB').getAst() : message
  const retelling = retold[language]
  const told = retelling ? parts.map((part) => retoldPart(part, retelling)) : parts
  const locale = language === 'en-US' ? 'en-US' : 'en-GB'
  return { format: new IntlMessageFormat(told, locale, undefined, { formatters }), wants: wantsOf(parts) }
}

/** An argument that is not there is said as nothing: a screen shows the rest. */
function filled({ wants }: Ready, values: Values): Record<string, string | number> {
  return Object.fromEntries(
    [...wants].map(([name, choices]) => {
      const value = values[name] ?? ''
      // what is chosen by has no hyphen and no gap in ICU: “eat-first” is chosen by as eatFirst
      const choice =
        typeof value === 'string' ? value.replace(/[- ]([a-z])/g, (_, letter: string) => letter.toUpperCase()) : ''
      return [name, choices.has(choice) ? choice : value]
    }),
  )
}

// kinds of a message's parts, as the parser numbers them
const literal = 0
const argument = 1
const select = 5
const plural = 6
const tag = 8

function retoldPart(part: Element, retelling: (text: string) => string): Element {
  if (part.type === literal) return { ...part, value: retelling(part.value) }
  if (part.type !== select && part.type !== plural) return part
  const options = Object.entries(part.options).map(([name, option]) => [
    name,
    { ...option, value: option.value.map((inner) => retoldPart(inner, retelling)) },
  ])
  return { ...part, options: Object.fromEntries(options) } as Element
}

/** The names of what a message is to be filled with, each with what it chooses from where it chooses by it. */
export function wantsOf(parts: readonly Element[], found = new Map<string, Set<string>>()): Map<string, Set<string>> {
  const choicesOf = (name: string) => found.get(name) ?? found.set(name, new Set()).get(name)!
  for (const part of parts) {
    if (part.type === argument) choicesOf(part.value)
    if (part.type === tag) wantsOf(part.children, found)
    if (part.type !== select && part.type !== plural) continue
    const choices = choicesOf(part.value)
    for (const [name, { value }] of Object.entries(part.options)) {
      if (part.type === select) choices.add(name)
      wantsOf(value, found)
    }
  }
  return found
}
