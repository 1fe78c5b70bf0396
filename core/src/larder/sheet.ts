import Papa from 'papaparse'
import { told } from '../message'
import { Refusal } from '../refusal'

/** What a column of somebody's own list says. */
export const sheetColumns = ['what', 'count', 'unit', 'weight', 'form', 'date', 'place', 'source', 'skip'] as const
export type SheetColumn = (typeof sheetColumns)[number]

const headings: [RegExp, SheetColumn][] = [
  [/^(what|item|name|product|thing|crop|food|description|contents?)\b/i, 'what'],
  [/^(how many|count|number|no\.?|qty|quantity|pieces|amount)\b/i, 'count'],
  [/^(unit|packed|pack|container|in)\b/i, 'unit'],
  [/^(weight|kg|g|grams?|kilos?|lbs?)\b/i, 'weight'],
  [/^(form|how|state|frozen|preserved|method)\b/i, 'form'],
  [/^(date|day|year|month|when|made|packed on|put by)\b/i, 'date'],
  [/^(place|where|shelf|location|freezer|room)\b/i, 'place'],
  [/^(from|source|origin|bought)\b/i, 'source'],
]

/** What each column most likely is, by its heading; what is named twice or not known is left out. */
export function guessColumns(names: readonly string[]): SheetColumn[] {
  const taken = new Set<SheetColumn>()
  const guessed = names.map((name): SheetColumn => {
    const found = headings.find(([words, column]) => words.test(name.trim()) && !taken.has(column))?.[1] ?? 'skip'
    if (found !== 'skip') taken.add(found)
    return found
  })
  // a list without a heading for it names things in its first column
  if (!taken.has('what') && guessed[0] === 'skip') guessed[0] = 'what'
  return guessed
}

/** “2025-09-14”, whatever order its day was written in; a year alone stays one. */
function dayOf(text: string): string {
  const dotted = /^(\d{1,2})[./](\d{1,2})[./](\d{4})$/.exec(text)
  if (!dotted) return text
  const [, first, second, year] = dotted.map(Number) as [number, number, number, number]
  // where only one of the two can be the month, it is
  const [day, month] = second! > 12 ? [second!, first!] : [first!, second!]
  return `${year}-${String(month).padStart(2, '0')}-${String(day).padStart(2, '0')}`
}

const bare = /^\d+(?:[.,]\d+)?$/

/**
 * A row of a list as a line of the pad, so that both are read by the same rules.
 * @param weightUnit of a weight without one: “kg” or “g”, as the heading says
 */
export function padLineOf(
  cells: readonly string[],
  columns: readonly SheetColumn[],
  weightUnit: 'kg' | 'g' | 'lb' = 'kg',
): string {
  const of = (column: SheetColumn) =>
    columns
      .flatMap((one, i) => (one === column ? [(cells[i] ?? '').trim()] : []))
      .filter(Boolean)
      .join(' ')
  const what = of('what')
  if (what === '') return ''
  const weight = of('weight')
  const place = of('place')
  return [
    of('count'),
    of('unit'),
    what,
    weight && bare.test(weight) ? `${weight} ${weightUnit}` : weight,
    of('form'),
    of('source'),
    place ? `in ${place}` : '',
    dayOf(of('date')),
  ]
    .filter(Boolean)
    .join(' ')
}

/** The unit a weight's heading names. */
export const weightUnitOf = (heading: string): 'kg' | 'g' | 'lb' =>
  /\b(lbs?|pounds?)\b/i.test(heading) ? 'lb' : /\b(g|grams?)\b/i.test(heading) ? 'g' : 'kg'

const mostRows = 500

/**
 * A list as its headings and rows; commas, semicolons or tabs between.
 * @throws Refusal `invalid` for what is no list
 */
export function readSheet(text: string): { headings: string[]; rows: string[][] } {
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' })
  const [headings, ...rows] = data
  if (!headings || rows.length === 0) {
    throw new Refusal('invalid', told('larder.noList'))
  }
  return { headings: headings.map((name) => name.trim()), rows: rows.slice(0, mostRows) }
}
