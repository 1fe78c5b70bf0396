import { IntlMessageFormat } from 'intl-messageformat'

type MessageFormatElement = ReturnType<IntlMessageFormat['getAst']>[number]
import { pseudo } from './pseudo'
import { inAmerican } from './american'

/**
 * The languages a household may choose from. `en-XA` is the pseudo-language of the tests: English with every letter
 * changed, so that a sentence that does not come from the tables shows.
 * @source Unicode CLDR: en-XA is the name of its accented pseudo-locale
 */
export const languages = ['en-GB', 'en-US', 'en-XA'] as const
export type Language = (typeof languages)[number]
export const isLanguage = (text: string): text is Language => (languages as readonly string[]).includes(text)

/** What a message is filled with. What is null or missing is said as nothing. */
export type Values = Readonly<Record<string, string | number | null | undefined>>

const retold: Record<Language, ((text: string) => string) | undefined> = {
  'en-GB': undefined,
  'en-US': inAmerican,
  'en-XA': pseudo,
}

/** A word or name of the almanac's, as a language calls it. */
export const retell = (text: string, language: Language): string => retold[language]?.(text) ?? text

/** A message as it stands in a table: its text, or what that was read into when the page was built. */
export type Text = string | MessageFormatElement[]

const made = new Map<Language, Map<Text, IntlMessageFormat>>(languages.map((language) => [language, new Map()]))

/**
 * A message in ICU MessageFormat as it is said in a language.
 * @param message British English, which is the source of the others
 * @throws SyntaxError where the message is not ICU's
 * @source Unicode ICU User Guide, “Formatting Messages”
 */
export function inWords(message: Text, values: Values, language: Language): string {
  if (typeof message === 'string' && !/[{<']/.test(message)) return retell(message, language)
  const known = made.get(language)!
  let format = known.get(message)
  if (!format) {
    format = new IntlMessageFormat(message, language === 'en-US' ? 'en-US' : 'en-GB')
    const retelling = retold[language]
    if (retelling)
      format = new IntlMessageFormat(
        format.getAst().map((part) => retoldPart(part, retelling)),
        'en-GB',
      )
    known.set(message, format)
  }
  return String(format.format(filled(format, values)))
}

/** An argument that is not there is said as nothing: a screen shows the rest. */
function filled(format: IntlMessageFormat, values: Values): Record<string, string | number> {
  const given: Record<string, string | number> = {}
  const chooses = argumentsOf(format.getAst(), select)
  for (const name of argumentsOf(format.getAst())) {
    const value = values[name] ?? ''
    // what is chosen by has no hyphen in ICU: “eat-first” is chosen by as eatFirst
    given[name] = typeof value === 'string' && chooses.has(name) ? camel(value) : value
  }
  return given
}

const camel = (code: string) => code.replace(/-([a-z])/g, (_, letter: string) => letter.toUpperCase())

// kinds of a message's parts, as the parser numbers them
const literal = 0
const argument = 1
const select = 5
const plural = 6
const tag = 8

function retoldPart(part: MessageFormatElement, retell: (text: string) => string): MessageFormatElement {
  switch (part.type) {
    case literal:
      return { ...part, value: retell(part.value) }
    case select:
    case plural:
      return {
        ...part,
        options: Object.fromEntries(
          Object.entries(part.options).map(([name, { value, ...rest }]) => [
            name,
            { ...rest, value: value.map((inner) => retoldPart(inner, retell)) },
          ]),
        ),
      } as MessageFormatElement
    default:
      return part
  }
}

/** Names of what a message is to be filled with; only those of one kind of part, where one is asked for. */
export function argumentsOf(parts: readonly MessageFormatElement[], kind?: number): Set<string> {
  const names = new Set<string>()
  const add = (name: string, of: number) => (kind === undefined || kind === of) && names.add(name)
  for (const part of parts) {
    if (part.type === argument) add(part.value, argument)
    if (part.type === select || part.type === plural) {
      add(part.value, part.type)
      for (const { value } of Object.values(part.options)) for (const name of argumentsOf(value, kind)) names.add(name)
    }
    if (part.type === tag) for (const name of argumentsOf(part.children, kind)) names.add(name)
  }
  return names
}
