import { told, type Message } from '../message'
import { findCrops, pantry, unitG, unitNames, units, type Crop, type Form, type Origin, type Unit } from '../almanac'
import type { CivilDate } from '../households'

/** What a line of a pad was understood as; what was not said stays null. */
export interface PadLine {
  text: string
  crop: string
  /** of its own, where it is more or other than the crop's */
  name: string | null
  form: Form
  source: Origin
  unit: Unit | null
  pieces: number | null
  weightG: number | null
  /** “about”, or a part of one: nobody weighed it */
  about: boolean
  size: string | null
  /** the day it was put by, at the middle of what was said */
  on: CivilDate
  dated: 'day' | 'month' | 'year' | 'today'
  /** the place named, if one was */
  placeId: string | null
  /** what should be looked at before it is kept */
  doubts: Message[]
}

export interface PadHouse {
  crops: readonly Crop[]
  places: readonly { id: string; name: string; kind: string }[]
  today: CivilDate
}

const months = 'january february march april may june july august september october november december'.split(' ')
const numbers: Record<string, number> = {
  a: 1,
  an: 1,
  one: 1,
  two: 2,
  three: 3,
  four: 4,
  five: 5,
  six: 6,
  seven: 7,
  eight: 8,
  nine: 9,
  ten: 10,
  eleven: 11,
  twelve: 12,
  dozen: 12,
  half: 0.5,
  '½': 0.5,
  '¼': 0.25,
  '¾': 0.75,
}
const grams: Record<string, number> = {
  kg: 1000,
  kilo: 1000,
  kilos: 1000,
  g: 1,
  gram: 1,
  grams: 1,
  lb: 453.592,
  lbs: 453.592,
  pound: 453.592,
  pounds: 453.592,
  oz: 28.3495,
}
const unitWords = new Map<string, Unit>([
  ...unitNames.flatMap((unit): [string, Unit][] => [
    [unit, unit],
    [units[unit], unit],
  ]),
  ['can', 'tin'],
  ['cans', 'tin'],
  ['packet', 'box'],
  ['packets', 'box'],
  ['pack', 'box'],
  ['packs', 'box'],
  ['tray', 'crate'],
  ['trays', 'crate'],
  ['string', 'plait'],
  ['strings', 'plait'],
  ['tub', 'box'],
  ['tubs', 'box'],
  ['bulb', 'head'],
  ['bulbs', 'head'],
])
const formWords: [RegExp, Form][] = [
  [/\b(frozen|freezer)\b/, 'frozen'],
  [/\b(dried)\b/, 'dried'],
  [/\b(brined|fermented|kraut|sauerkraut|kimchi|in brine)\b/, 'brined'],
  [/\b(canned|bottled|jarred|jam|chutney|pickled|relish|marmalade|jelly)\b/, 'jarred'],
  [/\b(cooked|stew|soup|leftover|leftovers)\b/, 'cooked'],
]
const sourceWords: [RegExp, Origin][] = [
  [/\b(bought|shop|market)\b/, 'bought'],
  [/\b(given|gift|from (?:a |the )?neighbours?|present)\b/, 'given'],
  [/\b(caught|hunted|gathered|foraged)\b/, 'caught'],
]
/** words that say nothing of what it is */
const small = /\b(of|in|the|from|with|and a|about|around|approx|ca|circa|some|roughly|put by|ones?)\b/g

const wordEnd = '(?![a-z])'
const number = String.raw`(\d+(?:[.,]\d+)?|½|¼|¾|${Object.keys(numbers)
  .filter((w) => /^[a-z]+$/.test(w))
  .join('|')})`

const valueOf = (word: string): number => numbers[word] ?? Number(word.replace(',', '.'))

/** Takes what matches out of the line. */
class Line {
  constructor(public rest: string) {}
  take(pattern: RegExp): RegExpExecArray | undefined {
    const found = pattern.exec(this.rest)
    if (!found) return undefined
    this.rest = `${this.rest.slice(0, found.index)} ${this.rest.slice(found.index + found[0].length)}`
    return found
  }
}

/** The last such month or year that is not after today. */
function dateOf(line: Line, today: CivilDate): Pick<PadLine, 'on' | 'dated'> {
  const whole = line.take(/\b(\d{4}-\d{2}-\d{2})\b/)
  if (whole) return { on: whole[1]! > today ? today : whole[1]!, dated: 'day' }
  const month = line.take(
    new RegExp(`\\b(${months.map((m) => `${m}|${m.slice(0, 3)}`).join('|')})\\b\\.?(?:\\s+(20\\d\\d))?`),
  )
  const year = Number(month?.[2] ?? line.take(/(?:\(|'|\b)(20\d\d)\b\)?/)?.[1] ?? NaN)
  const [thisYear, thisMonth] = [Number(today.slice(0, 4)), Number(today.slice(5, 7))]
  const notAfter = (on: CivilDate) => (on > today ? today : on)
  if (month) {
    const m = months.findIndex((name) => name.startsWith(month[1]!.slice(0, 3))) + 1
    const y = Number.isFinite(year) ? year : m > thisMonth ? thisYear - 1 : thisYear
    return { on: notAfter(`${y}-${String(m).padStart(2, '0')}-15`), dated: 'month' }
  }
  // what is put by is put by in late summer, of most things
  if (Number.isFinite(year)) return { on: notAfter(`${year}-09-01`), dated: 'year' }
  return { on: today, dated: 'today' }
}

/** What something is, where the line does not say: by what it stands in and where. */
function usualForm(crop: Crop, unit: Unit | null, freezer: boolean): Form {
  if (crop.id === pantry.id) return 'fresh'
  if (freezer && (crop.freezing || unit)) return 'frozen'
  if (unit === 'jar' || unit === 'bottle') return crop.keeping.keptDry && crop.waterPct.value < 25 ? 'fresh' : 'jarred'
  if (unit === 'portion') return 'cooked'
  // what does not lie for months in a bag, and is frozen in one
  if ((unit === 'bag' || unit === 'block') && crop.freezing && crop.keeping.lifeDays.value[1] < 60) return 'frozen'
  return 'fresh'
}

const plain = (text: string) => text.toLowerCase().replace(/\s+/g, ' ').trim()

/**
 * Reads a line as people write it on a pad: “3 nets onions about 4 kg”, “12 jars plums 2025”, “half a bag of peas, March”.
 * @returns undefined for a line that is empty
 */
export function readPadLine(text: string, { crops, places, today }: PadHouse): PadLine | undefined {
  const line = new Line(` ${plain(text).replace(/[,;:()]/g, ' ')} `)
  if (line.rest.trim() === '') return undefined
  const doubts: Message[] = []
  const place = [...places]
    .sort((a, b) => b.name.length - a.name.length)
    .find(({ name }) =>
      line.take(new RegExp(`\\b(?:in |on |at )?(?:the )?${name.toLowerCase().replace(/[^a-z0-9 ]/g, '.')}\\b`)),
    )
  const date = dateOf(line, today)
  const source = sourceWords.find(([words]) => line.take(words))?.[1]
  const size = line.take(/(?:\bx|×|\bof|@)?\s*(\d+(?:[.,]\d+)?\s?(?:ml|cl|dl|l))\b(?:\s+each)?/)?.[1]?.trim() ?? null
  const about = / (?:about|around|approx|ca|circa|roughly|~)/.test(line.rest)
  const weighed = line.take(new RegExp(`(?<![a-z])${number}\\s?(${Object.keys(grams).join('|')})${wordEnd}`))
  let weightG = weighed ? Math.round(valueOf(weighed[1]!) * grams[weighed[2]!]!) : null
  const unitPattern = [...unitWords.keys()].sort((a, b) => b.length - a.length).join('|')
  const count = line.take(
    new RegExp(`(?:^|\\s)${number}(?:\\s+(?:a|an|dozen))?\\s*(?:x|×)?\\s*(?:\\w+\\s)??(${unitPattern})${wordEnd}`),
  )
  let unit: Unit | null = count ? unitWords.get(count[2]!)! : null
  const bare = count ? undefined : line.take(new RegExp(`^\\s*${number}(?:\\s+(dozen))?\\s*(?:x|×)?\\s`))
  const trailing = count || bare ? undefined : line.take(new RegExp(`\\s${number}\\s*$`))
  const said = count ?? bare ?? trailing
  let amount = said ? valueOf(said[1]!) : null
  if (said && /dozen/.test(said[0]) && amount !== null && said[1] !== 'dozen') amount *= 12
  unit ??= unitWords.get(line.take(new RegExp(`\\b(${unitPattern})${wordEnd}`))?.[1] ?? '') ?? null
  const form = formWords.find(([words]) => words.test(line.rest))?.[1]
  const words = plain(line.rest.replace(/\b(frozen|freezer|dried|brined|cooked|in brine)\b/g, ' ').replace(small, ' '))
  if (words === '') doubts.push(told('larder.doubtWhat'))
  const known = words === '' ? undefined : bestCrop(crops, words)
  const crop = known?.crop ?? pantry
  if (!known && words !== '' && source === undefined) doubts.push(told('larder.doubtNoCrop', { named: words }))
  const whole = amount === null ? null : Math.ceil(amount)
  const name = known?.exact ? null : words === '' ? null : words[0]!.toUpperCase() + words.slice(1)
  const is = form ?? usualForm(crop, unit, place?.kind === 'freezer')
  if (is === 'jarred' && unit === null) unit = 'jar'
  if (is === 'frozen' && unit === null && whole !== null) unit = 'bag'
  const line0: PadLine = {
    text: text.trim(),
    crop: crop.id,
    name,
    form: is,
    source: source ?? (known ? 'grown' : 'bought'),
    unit,
    pieces: whole,
    weightG,
    about: about || (amount !== null && amount !== whole),
    size,
    ...date,
    placeId: place?.id ?? null,
    doubts,
  }
  if (weightG === null && amount === null) doubts.push(told('larder.doubtHowMany'))
  // half a bag is one bag, half full
  if (weightG === null && amount !== null && amount !== whole) {
    weightG = Math.max(1, Math.round(amount * (unit ? unitG[unit] : crop.pieceG.value)))
    line0.weightG = weightG
  }
  return line0
}

/** The crop a few words speak of, and whether they are all its name; found by none of its names it is something else. */
function bestCrop(crops: readonly Crop[], words: string): { crop: Crop; exact: boolean } | undefined {
  const crop = findCrops(crops, words)[0]?.crop
  if (!crop) return undefined
  const singular = (w: string) =>
    w
      .replace(/ies$/, 'y')
      .replace(/(ch|sh|x|o)es$/, '$1')
      .replace(/(?<!s)s$/, '')
  const names = new Set(
    [crop.name, crop.plural, crop.id.replaceAll('-', ' '), ...crop.synonyms]
      .flatMap((n) => n.toLowerCase().split(/[^a-z]+/))
      .map(singular),
  )
  const all = words.split(' ')
  // “tomato sauce”, “spiced plums”: some of them are
  const other = all.filter((w) => !names.has(singular(w)))
  return other.length < all.length ? { crop, exact: other.length === 0 } : undefined
}
