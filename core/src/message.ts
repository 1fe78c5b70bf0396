import type { CivilDate } from './households'

/**
 * What the computation has to say, as data: the key of a message and what it is filled with. The tables of `words/` say
 * it in a household's language and units.
 */
export interface Message {
  /** room and key: `lots.weighed` */
  readonly says: string
  readonly [name: string]: Part
}

/** Several things said one after the other, joined; what is empty is left out. */
export interface Listing {
  readonly list: readonly Part[]
  /** what stands between two of them */
  readonly by: string
}

type DayAs = 'short' | 'weekday' | 'weekday-only' | 'month'

/** Another part, with which a sentence begins: its first letter is large. */
export interface Sentence {
  readonly sentence: Part
}

/** A text of the almanac: as it is written, or a message where it names a quantity. */
export type Prose = string | Message

/** What a message is filled with: as it is, a quantity with its unit, or another message. */
export type Part = string | number | null | undefined | Quantity | Message | Listing | Sentence

/** Grams, degrees Celsius, millimetres of rain, a day, a month, a word of the almanac, the name of an input. */
export type Quantity =
  | { readonly g: number; readonly as?: 'kg'; readonly digits?: number }
  | { readonly c: number; readonly to?: number; readonly digits?: number }
  | { readonly rainMm: number }
  | { readonly on: CivilDate; readonly as?: DayAs }
  | { readonly term: string }
  | { readonly field: string }

export const told = (says: string, values: Readonly<Record<string, Part>> & { says?: never } = {}): Message => ({
  ...values,
  says,
})
export const listing = (list: readonly Part[], by = ', '): Listing => ({ list: list.filter(isSaid), by })
export const sentence = (part: Part): Sentence => ({ sentence: part })
export const grams = (g: number): Quantity => ({ g })
export const kilos = (g: number, digits = 1): Quantity => ({ g, as: 'kg', digits })
export const rain = (rainMm: number): Quantity => ({ rainMm })
export const degrees = (c: number, digits = 0): Quantity => ({ c, digits })
/** From one to the other: “50–70 °C”. */
export const degreesBetween = (c: number, to: number, digits = 0): Quantity => ({ c, to, digits })
/** A day: “4 October”; short “4 Oct”, with its weekday “Sunday 4 October”, its month alone “October”. */
export const onDay = (on: CivilDate, as?: DayAs): Quantity => (as ? { on, as } : { on })
/** A text of the almanac as a part of a message. */
export const prose = (text: Prose): Part => (typeof text === 'string' ? term(text) : text)
/** A word of the almanac, which another region may call otherwise: “courgettes”. */
export const term = (word: string): Quantity => ({ term: word })
/** An input of a calculator, by its name on the wire. */
export const fieldNamed = (field: string): Quantity => ({ field })

const isSaid = (part: Part): boolean => part !== '' && part !== null && part !== undefined
