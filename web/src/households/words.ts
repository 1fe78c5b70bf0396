import { gramsPerOunce, gramsPerPound, rainWords, weightWords } from '@vadose/core/households'
import { retell } from '@vadose/words/page'
import { shallowRef } from 'vue'
import { languageHere, localeHere, unitsHere } from '../voice'
import { say } from './say'

/** Weights, dates and air in the household's words. */

const number = (value: number, digits = 0) =>
  value.toLocaleString('en-GB', { minimumFractionDigits: digits, maximumFractionDigits: digits })

export { useUnits } from '../voice'
export const isUs = (): boolean => unitsHere() === 'us'

/** What a small and a large scale shows, and a thermometer. */
export const smallUnit = (): 'g' | 'oz' => (isUs() ? 'oz' : 'g')
export const largeUnit = (): 'kg' | 'lb' => (isUs() ? 'lb' : 'kg')
export const degree = (): '°C' | '°F' => (isUs() ? '°F' : '°C')

/** Grams as the small scale shows them. */
export const fromGrams = (g: number): number => (isUs() ? g / gramsPerOunce : g)

export const toCelsius = (shown: number): number => (isUs() ? ((shown - 32) * 5) / 9 : shown)
export const fromCelsius = (c: number): number => (isUs() ? (c * 9) / 5 + 32 : c)

/** A weight as a bare number in the large unit, for a field's placeholder. */
export const bareLarge = (g: number): string => (g / (isUs() ? gramsPerPound : 1000)).toFixed(isUs() ? 2 : 3)

/** A weight in the household's units, with sensible rounding. */
export const weight = (g: number): string => weightWords(g, unitsHere())

/** Rain in the household's units. */
export const rainfall = (mm: number, digits = 0): string => rainWords(mm, unitsHere(), digits)

/** Kilos to the gram, for sums that must agree. */
export const exactWeight = (g: number): string =>
  isUs() ? `${number(g / gramsPerPound, 3)} lb` : `${number(g / 1000, 3)} kg`

export const temperature = (c: number, digits = isUs() ? 0 : 1): string =>
  `${number(fromCelsius(c), digits).replace('-', '−')} ${degree()}`
export const humidity = (pct: number): string => `${number(pct)} %`

const day = (date: string) => new Date(`${date}T12:00:00Z`)
/** Dates by their parts, as the household's English has them. */
const format = (options: Intl.DateTimeFormatOptions) => {
  const made = new Map<string, Intl.DateTimeFormat>()
  return (): Intl.DateTimeFormat => {
    const locale = localeHere()
    const known = made.get(locale) ?? new Intl.DateTimeFormat(locale, { ...options, timeZone: 'UTC' })
    made.set(locale, known)
    return known
  }
}
const short = format({ day: 'numeric', month: 'short' })
const long = format({ day: 'numeric', month: 'long' })
const withYear = format({ day: 'numeric', month: 'short', year: 'numeric' })
const longWithYear = format({ day: 'numeric', month: 'long', year: 'numeric' })
const weekday = format({ weekday: 'short', day: 'numeric', month: 'long' })
const weekdayOnly = format({ weekday: 'short' })
const monthOnly = format({ month: 'short' })

/** The names of months and days stand in no table of ours: a date is retold whole. */
const spoken = (date: string) => (languageHere() === 'en-XA' ? retell(date, 'en-XA') : date)

/** The household's year; a date outside it says its year. */
const season = shallowRef<{ startsOn: string; endsOn: string }>()
export const useSeason = (next: { startsOn: string; endsOn: string }): void => void (season.value = next)
const outside = (date: string): boolean =>
  season.value !== undefined && (date < season.value.startsOn || date > season.value.endsOn)

export const shortDate = (date: string): string => spoken((outside(date) ? withYear() : short()).format(day(date)))
export const longDate = (date: string): string => spoken((outside(date) ? longWithYear() : long()).format(day(date)))
export const yearDate = (date: string): string => spoken(withYear().format(day(date)))
export const fullDate = (date: string): string => spoken(weekday().format(day(date)))
export const weekdayOf = (date: string): string => spoken(weekdayOnly().format(day(date)))
export const monthOf = (date: string): string => spoken(monthOnly().format(day(date)))

/** “4–6 Oct”, “28 Sep – 3 Oct”: a range, not a false date. */
export function dateRange(from: string | null, to: string | null): string {
  if (from === null) return say('notInThisAir')
  if (to === null) return say('orMuchLater', { shortDate: shortDate(from) })
  if (from === to) return shortDate(from)
  if (localeHere() === 'en-US')
    return spoken((outside(from) || outside(to) ? withYear() : short()).formatRange(day(from), day(to)))
  return from.slice(0, 7) === to.slice(0, 7)
    ? `${Number(from.slice(8))}–${shortDate(to)}`
    : `${shortDate(from)} – ${shortDate(to)}`
}

/** “until 12 February”, or that the forecast reaches no further. */
export const untilDate = (date: string, beyond: boolean): string => (beyond ? say('overAYear') : longDate(date))

/** First letter large, for a sentence that begins with a name. */
export const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1)

/** Words for how much: heads and kilos; “about” what nobody has counted or weighed. */
export function amount(
  pieces: number | null,
  g: number,
  piece: { one: string; many: string },
  guessed = { weight: false, pieces: false },
): string {
  const heavy = `${guessed.weight ? say('aboutSoMuch') : ''}${weight(g)}`
  if (pieces === null) return heavy
  return `${guessed.pieces ? say('aboutSoMuch') : ''}${number(pieces)} ${pieces === 1 ? piece.one : piece.many}, ${heavy}`
}

/**
 * Reads “2,19 kg”, “2190”, “2.2kg”, “850 g”, “3 lb” as whole grams; plain numbers are in `unit`, or in ounces for grams
 * and pounds for kilos where the household weighs so.
 */
export function gramsFrom(text: string, unit: 'g' | 'kg' = 'g'): number | null {
  const match = /^\s*(\d+(?:[.,]\d+)?)\s*(kg|g|lb|oz)?\s*$/i.exec(text.replace(/(\d)[  ](\d{3})/g, '$1$2'))
  if (!match) return null
  const value = Number(match[1]!.replace(',', '.'))
  const perUnit = { g: 1, kg: 1000, lb: gramsPerPound, oz: gramsPerOunce }[
    (match[2] ?? (isUs() ? (unit === 'g' ? 'oz' : 'lb') : unit)).toLowerCase()
  ]!
  const grams = Math.round(value * perUnit)
  return grams > 0 && grams <= 2_000_000 ? grams : null
}

/** Grams of a sum of weighings, “2.4 + 3.1 − 0.3”: buckets added, the tare taken off. Null where it cannot be read. */
export function gramsFromSum(text: string, unit: 'g' | 'kg'): number | null {
  const terms = text.replace(/\s*[+−-]\s*$/, '').split(/\s*([+−-])\s*/)
  let sum = 0
  for (let i = 0; i < terms.length; i += 2) {
    const grams = gramsFrom(terms[i]!, unit)
    if (grams === null) return null
    sum += terms[i - 1] === undefined || terms[i - 1] === '+' ? grams : -grams
  }
  return sum > 0 && sum <= 2_000_000 ? sum : null
}

/** An instant as the household's clock shows it: the time of day, with the weekday where it is not today. */
export function momentOf(iso: string, timeZone: string | undefined, today: string): string {
  const at = new Date(iso)
  const zone = timeZone ? { timeZone } : {}
  const time = new Intl.DateTimeFormat(localeHere(), { hour: '2-digit', minute: '2-digit', ...zone }).format(at)
  const on = new Intl.DateTimeFormat('en-CA', { ...zone }).format(at)
  return on === today ? time : `${weekdayOf(on)} ${time}`
}

/** An instant by this machine's clock: 2 Oct 2026, 03:00. */
export const dayAndTime = (iso: string): string =>
  spoken(new Intl.DateTimeFormat(localeHere(), { dateStyle: 'medium', timeStyle: 'short' }).format(new Date(iso)))

/** The size of a file: 2.1 MB. */
export const bytesWords = (bytes: number): string =>
  bytes < 1e6 ? say('kb', { ceil: Math.ceil(bytes / 1e3) }) : say('mb', { bytes: (bytes / 1e6).toFixed(1) })
