import { IntlMessageFormat } from 'intl-messageformat'

type MessageFormatElement = ReturnType<IntlMessageFormat['getAst']>[number]
import { pseudo } from './pseudo'
import { american } from './american'

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
  'en-US': american,
  'en-XA': pseudo,
}

const made = new Map<string, IntlMessageFormat>()

/**
 * A message in ICU MessageFormat as it is said in a language.
 * @param message British English, which is the source of the others
 * @throws SyntaxError where the message is not ICU's
 * @source Unicode ICU User Guide, “Formatting Messages”
 */
export function inWords(message: string, values: Values, language: Language): string {
  if (!/[{<']/.test(message)) return retold[language]?.(message) ?? message
  const key = `${language} ${message}`
  let format = made.get(key)
  if (!format) {
    format = new IntlMessageFormat(message, language === 'en-US' ? 'en-US' : 'en-GB')
    const retell = retold[language]
    if (retell)
      format = new IntlMessageFormat(
        format.getAst().map((part) => retoldPart(part, retell)),
        'en-GB',
      )
    made.set(key, format)
  }
  return String(format.format(filled(format, values)))
}

/** An argument that is not there is said as nothing: a screen shows the rest. */
function filled(format: IntlMessageFormat, values: Values): Record<string, string | number> {
  const given: Record<string, string | number> = {}
  for (const name of argumentsOf(format.getAst())) given[name] = values[name] ?? ''
  return given
}

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

/** Names of what a message is to be filled with. */
export function argumentsOf(parts: readonly MessageFormatElement[]): Set<string> {
  const names = new Set<string>()
  for (const part of parts) {
    if (part.type === argument) names.add(part.value)
    if (part.type === select || part.type === plural) {
      names.add(part.value)
      for (const { value } of Object.values(part.options)) for (const name of argumentsOf(value)) names.add(name)
    }
    if (part.type === tag) for (const name of argumentsOf(part.children)) names.add(name)
  }
  return names
}
