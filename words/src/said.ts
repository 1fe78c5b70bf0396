import { rainWords, weightWords, type Units } from '@vadose/core/households'
import type { Listing, Message, Part, Quantity, Sentence } from '@vadose/core/message'
import { inWords, retell, type Language, type Text } from './in-words'

/** How a household is spoken to. */
export interface Voice {
  language: Language
  units: Units
  /** the household's day: a date of another year says its year */
  today?: string
  /** what an input is called where it is asked for; its name on the wire otherwise */
  fieldNamed?: (field: string) => string
}

const figure = (value: number, digits: number) =>
  value.toLocaleString('en-GB', { minimumFractionDigits: digits, maximumFractionDigits: digits }).replace('-', '−')

/** Tables by room, each of messages by key. */
export type Tables = Readonly<Record<string, Readonly<Record<string, Text>>>>

/** Says messages and what they are filled with. */
export interface Sayer {
  /**
   * A message in the household's words.
   * @throws Error for a key that no table has
   */
  said: (message: Message, voice: Voice) => string
  /** What a message is filled with, in the household's words; nothing where there is nothing. */
  saidPart: (part: Part, voice: Voice) => string
}

function noWords({ says }: Message): never {
  throw new Error(`There are no words for “${says}”.`)
}

/**
 * @param tablesNow those known now
 * @param unknown what is said for a message that none of them has: a page may still be loading its words
 */
export function sayerOf(tablesNow: () => readonly Tables[], unknown: (message: Message) => string = noWords): Sayer {
  function said(message: Message, voice: Voice): string {
    const [room, key] = message.says.split('.') as [string, string]
    const text = tablesNow().reduce<Text | undefined>((found, table) => found ?? table[room]?.[key], undefined)
    if (text === undefined) return unknown(message)
    const values = Object.fromEntries(
      Object.entries(message)
        .filter(([name]) => name !== 'says')
        .map(([name, part]) => [name, typeof part === 'number' ? part : saidPart(part, voice)]),
    )
    return inWords(text, values, voice.language)
  }
  function saidPart(part: Part, voice: Voice): string {
    if (part === null || part === undefined) return ''
    if (typeof part === 'string') return part
    if (typeof part === 'number') return String(part)
    if (isMessage(part)) return said(part, voice)
    if (isListing(part)) return part.list.map((one) => saidPart(one, voice)).join(part.by)
    if (isSentence(part)) return large(saidPart(part.sentence, voice))
    return quantity(part as Quantity, voice)
  }
  return { said, saidPart }
}

/** Whether a value is a message, or several. */
export const isSaid = (value: unknown): value is Message | Listing =>
  typeof value === 'object' &&
  value !== null &&
  (('says' in value && typeof value.says === 'string') || ('list' in value && 'by' in value))

// a message's values may be called anything, `list` and `g` too: what it says comes first
const isMessage = (part: object): part is Message => 'says' in part
const isSentence = (part: object): part is Sentence => 'sentence' in part
const large = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)
const isListing = (part: object): part is Listing => 'list' in part

function quantity(part: Quantity, { language, units, today, fieldNamed }: Voice): string {
  if ('g' in part) {
    if (units === 'us') return weightWords(part.g, units)
    // a scale's reading is told as it was read; what is too much for it, in kilos
    if (part.as === 'kg') return `${figure(part.g / 1000, part.digits ?? 1)} kg`
    return Math.abs(part.g) >= 10_000 ? `${figure(part.g / 1000, 1)} kg` : `${figure(part.g, 0)} g`
  }
  if ('c' in part) {
    const read = (c: number) => (units === 'us' ? figure((c * 9) / 5 + 32, 0) : figure(c, part.digits ?? 0))
    const between = part.to === undefined ? '' : `–${read(part.to)}`
    return `${read(part.c)}${between} ${units === 'us' ? '°F' : '°C'}`
  }
  if ('field' in part) return fieldNamed?.(part.field) ?? part.field
  if ('rainMm' in part) return rainWords(part.rainMm, units)
  if ('on' in part) return dayWords(part.on, part.as, language, today)
  return retell(part.term, language)
}

const formats: Record<string, Intl.DateTimeFormatOptions> = {
  long: { day: 'numeric', month: 'long' },
  short: { day: 'numeric', month: 'short' },
  weekday: { weekday: 'long', day: 'numeric', month: 'long' },
  'weekday-only': { weekday: 'long' },
  month: { month: 'long' },
}
const made = new Map<string, Intl.DateTimeFormat>()

function dayWords(on: string, as: string | undefined, language: Language, today: string | undefined): string {
  const otherYear =
    today !== undefined && as !== 'month' && as !== 'weekday-only' && on.slice(0, 4) !== today.slice(0, 4)
  const key = `${language} ${as ?? 'long'} ${otherYear}`
  let format = made.get(key)
  if (!format) {
    format = new Intl.DateTimeFormat(language === 'en-US' ? 'en-US' : 'en-GB', {
      ...formats[as ?? 'long'],
      ...(otherYear ? { year: 'numeric' } : {}),
      timeZone: 'UTC',
    })
    made.set(key, format)
  }
  return retell(format.format(new Date(`${on}T12:00:00Z`)), language === 'en-US' ? 'en-GB' : language)
}
