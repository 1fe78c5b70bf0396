import Papa from 'papaparse'
import { told, type Message } from '../message'
import { Refusal } from '../refusal'
import { orderDoubt, shareDoubt, unitDoubt, yearsDoubt, type Doubt } from './doubts'
import { StampReader, type TimeOrder } from './stamp'

/** Which column of a logger's file says what. Columns count from 0. */
export interface ColumnMapping {
  /** the instant, or its date where the time of day has a column of its own */
  time: number
  clock?: number | undefined
  order: TimeOrder
  /** the clock the logger was set to: IANA name, `UTC`, or `UTC+1` for one without summer time */
  zone: string
  temperature: number
  unit: 'C' | 'F'
  humidity: number
  /** humidity is written as a share of 1, not in % */
  share?: boolean | undefined
  /** mm since the line before, of a weather station */
  rain?: number | undefined
}

export interface FileHead {
  /** what stands above the columns; numbered where nothing does */
  headings: string[]
  /** lines before the first reading */
  skip: number
  /** first readings as written */
  rows: string[][]
}

const headLines = 60
const number = (text: string | undefined): number => {
  const plain = (text ?? '').trim().replace('−', '-')
  return /^[-+]?\d+([.,]\d+)?$|^[-+]?[.,]\d+$/.test(plain) ? Number(plain.replace(',', '.')) : NaN
}
const stampLike = (text: string) =>
  /^\d{1,4}[-/.]\d{1,2}[-/.]\d{1,4}/.test(text.trim()) || /^1\d{9}(\d{3})?$/.test(text.trim())

/**
 * The top of a delimited file (comma, semicolon, tab), past whatever the logger writes above its table.
 * @param text the first part of the file is enough
 * @throws Refusal `invalid` where no line looks like a reading
 */
export function readHead(text: string): FileHead {
  const { data } = Papa.parse<string[]>(withoutMark(text), { preview: headLines, skipEmptyLines: 'greedy' })
  const first = data.findIndex(
    (row) => row.some(stampLike) && row.some((cell) => Number.isFinite(number(cell)) && !stampLike(cell)),
  )
  if (first < 0) {
    throw new Refusal('invalid', told('readings.noReadingInFile'), 'file')
  }
  const width = data[first]!.length
  const above = first > 0 ? data[first - 1]! : []
  const headings = Array.from({ length: width }, (_, i) => above[i]?.trim() || `column ${i + 1}`)
  return { headings, skip: first, rows: data.slice(first, first + 5) }
}

const withoutMark = (text: string) => (text.charCodeAt(0) === 0xfeff ? text.slice(1) : text)

/**
 * What the columns most likely are, by their headings and what stands in them.
 * @param zone the household's, where the file does not name another
 */
export function guessMapping({ headings, rows }: FileHead, zone: string): ColumnMapping {
  const cells = (column: number) => rows.map((row) => row[column] ?? '')
  const columns = headings.map((_, i) => i)
  const time = Math.max(
    0,
    columns.findIndex((i) => stampLike(cells(i)[0]!)),
  )
  const clock = columns.find((i) => i !== time && /^\d{1,2}:\d\d/.test(cells(i)[0]!.trim()))
  const finite = (column: number) => cells(column).map(number).filter(Number.isFinite)
  const numbers = columns.filter((i) => i !== time && i !== clock && finite(i).length * 2 >= rows.length)
  const named = (pattern: RegExp) => numbers.find((i) => pattern.test(headings[i]!))
  const rain = named(/rain|precip|regen|niederschlag|pluie/i)
  const humidity = named(/hum|\brh\b|feucht|r\.?h\.?|%/i)
  const temperature = named(/temp|°\s?[cf]|t\b/i) ?? numbers.find((i) => i !== humidity && i !== rain)
  const left = numbers.find((i) => i !== temperature && i !== rain && Math.max(...finite(i)) <= 100)
  const inHeading = /(?:GMT|UTC)\s*([+-]\d{1,2}:?\d{0,2})/i.exec(headings[time]!)
  return {
    time,
    ...(clock === undefined || cells(time)[0]!.includes(':') ? {} : { clock }),
    order: guessOrder(cells(time)),
    zone: inHeading ? `UTC${inHeading[1]}` : zone,
    temperature: temperature ?? -1,
    unit: /°\s?F|\bF\b|fahrenheit/i.test(headings[temperature ?? -1] ?? '') ? 'F' : 'C',
    humidity: humidity ?? left ?? -1,
    ...(rain === undefined ? {} : { rain }),
  }
}

function guessOrder(stamps: string[]): TimeOrder {
  const first = stamps[0]!.trim()
  if (/^\d{10}$/.test(first)) return 'seconds'
  if (/^\d{13}$/.test(first)) return 'milliseconds'
  if (/^\d{4}/.test(first)) return 'year-first'
  const parts = stamps.map((text) => text.split(/[-/.]/).map(Number))
  if (parts.some(([a]) => a! > 12)) return 'day-first'
  if (parts.some(([, b]) => b! > 12)) return 'month-first'
  // 03/04/2026 can be either; dots are written with the day first
  return first.includes('/') && /[ap]\.?m/i.test(first) ? 'month-first' : 'day-first'
}

/** Readings of a file, rising in time, one an instant. */
export interface LoggerFile {
  /** seconds since 1970 UTC */
  at: number[]
  temperatureC: number[]
  relativeHumidityPct: number[]
  rainMm: number[] | null
  /** lines that hold a reading */
  lines: number
  /** lines that could not be read; the first of them with why */
  unreadable: number
  why: { line: number; says: Message }[]
  /** lines that repeat an instant and were left out */
  repeated: number
  /** stretches in which the logger wrote nothing for more than three of its steps */
  gaps: { from: number; to: number }[]
  /** usual time between readings, s */
  stepS: number
  /** what may not be meant as it was read */
  doubts: Doubt[]
}

export const mostReadings = 600_000
const mostShown = 12

/**
 * Reads a logger's whole file.
 * @param progress told the share read so far
 * @param nowMs against which a logger's clock is held, ms
 * @throws Refusal `invalid` for a mapping that cannot be, `too-large` past 600,000 readings
 */
export function readLoggerFile(
  text: string,
  mapping: ColumnMapping,
  progress: (share: number) => void = () => undefined,
  nowMs?: number,
): LoggerFile {
  const { skip, headings } = readHead(text.slice(0, 64_000))
  for (const field of ['time', 'temperature', 'humidity'] as const) {
    if (!Number.isInteger(mapping[field]) || mapping[field] < 0 || mapping[field] >= headings.length) {
      throw new Refusal('invalid', told('readings.whichColumn', { field }), field)
    }
  }
  if (mapping.temperature === mapping.humidity) {
    throw new Refusal('invalid', told('readings.sameColumn'), 'humidity')
  }
  const stamps = new StampReader(mapping.order, mapping.zone)
  const written: string[] = []
  const humidity: number[] = []
  const at: number[] = []
  const t: number[] = []
  const rh: number[] = []
  const rain: number[] = []
  const why: LoggerFile['why'] = []
  let unreadable = 0
  let line = 0
  let rising = true
  const readRow = (row: string[]) => {
    line++
    if (line <= skip) return
    const fault = rowFault(row, mapping, stamps)
    written.push(stampOf(row, mapping))
    if ('says' in fault) {
      unreadable++
      if (why.length < mostShown) why.push({ line, says: fault })
      return
    }
    if (at.length >= mostReadings) {
      throw new Refusal('too-large', told('readings.tooMany', { most: mostReadings.toLocaleString('en') }), 'file')
    }
    rising &&= at.length === 0 || fault.at > at[at.length - 1]!
    at.push(fault.at)
    t.push(fault.t)
    rh.push(fault.rh)
    humidity.push(number(row[mapping.humidity]))
    if (mapping.rain !== undefined) rain.push(fault.rain)
  }
  const whole = withoutMark(text)
  const newestFirst = fallsInTime(whole, skip, mapping)
  const rows: string[][] = []
  let openQuote: number | undefined
  Papa.parse<string[]>(whole, {
    skipEmptyLines: 'greedy',
    step: ({ data, errors, meta }) => {
      if (errors.some((error) => error.code === 'MissingQuotes')) openQuote ??= line + rows.length + 1
      // an hour written twice in autumn can only be told apart in order of time
      if (newestFirst && rows.push(data) > skip) return
      readRow(data)
      if (line % 5000 === 0) progress(meta.cursor / whole.length)
    },
  })
  for (const row of rows.slice(skip).reverse()) readRow(row)
  if (at.length === 0) {
    throw new Refusal(
      'invalid',
      told('readings.noLineRead', { known: why[0] ? 'yes' : 'no', line: why[0]?.line, why: why[0]?.says }),
      'file',
    )
  }
  const columns = { at, temperatureC: t, relativeHumidityPct: rh, rainMm: mapping.rain === undefined ? null : rain }
  const kept = rising ? columns : sorted(columns)
  return {
    ...kept,
    lines: at.length + unreadable,
    unreadable,
    why,
    repeated: at.length - kept.at.length,
    ...spacing(kept.at),
    doubts: [
      ...(openQuote === undefined
        ? []
        : [
            {
              about: 'quote' as const,
              says: told('readings.doubtQuote', { line: openQuote }),
            },
          ]),
      ...(newestFirst ? [{ about: 'turned' as const, says: told('readings.doubtTurned') }] : []),
      ...[
        orderDoubt(written, mapping),
        shareDoubt(humidity, mapping),
        unitDoubt(kept.temperatureC, mapping),
        nowMs === undefined ? undefined : yearsDoubt(kept.at, nowMs),
      ].filter((doubt) => doubt !== undefined),
    ],
  }
}

const stampOf = (row: string[], m: ColumnMapping): string =>
  m.clock === undefined ? (row[m.time] ?? '') : `${row[m.time] ?? ''} ${row[m.clock] ?? ''}`

/** Whether the last lines of a file are earlier than its first. */
function fallsInTime(text: string, skip: number, mapping: ColumnMapping): boolean {
  const stamps = new StampReader(mapping.order, mapping.zone)
  const read = (rows: string[][]) => rows.map((row) => stamps.read(stampOf(row, mapping))).filter(Number.isFinite)
  const options = { skipEmptyLines: 'greedy' as const }
  const top = Papa.parse<string[]>(text, { ...options, preview: skip + 5 }).data.slice(skip)
  // the first of the last lines is cut somewhere
  const end = Papa.parse<string[]>(text.slice(-1000), options).data.slice(text.length > 1000 ? 1 : skip)
  const [first] = read(top)
  const last = read(end).at(-1)
  return first !== undefined && last !== undefined && last < first
}

/** One line as a reading, or what is wrong with it. */
function rowFault(
  row: string[],
  m: ColumnMapping,
  stamps: StampReader,
): Message | { at: number; t: number; rh: number; rain: number } {
  const written = stampOf(row, m)
  const ms = stamps.read(written)
  if (!Number.isFinite(ms)) return told('readings.noStamp', { written: written.trim().slice(0, 40) })
  const shown = number(row[m.temperature])
  if (!Number.isFinite(shown)) return told('readings.noTemperature')
  const t = Math.round((m.unit === 'F' ? ((shown - 32) * 5) / 9 : shown) * 100) / 100
  if (t < -60 || t > 90) return told('readings.temperatureCannotBe', { shown, unit: m.unit })
  const rh = number(row[m.humidity]) * (m.share ? 100 : 1)
  if (!Number.isFinite(rh)) return told('readings.noHumidity')
  // sensors in wet air overshoot a little
  if (rh < 0 || rh > 106) return told('readings.humidityCannotBe', { humidity: rh })
  const rain = m.rain === undefined ? 0 : number(row[m.rain])
  return { at: Math.round(ms / 1000), t, rh: Math.min(100, rh), rain: Number.isFinite(rain) ? Math.max(0, rain) : 0 }
}

type Columns = Pick<LoggerFile, 'at' | 'temperatureC' | 'relativeHumidityPct' | 'rainMm'>

/** In order of time, the first of each instant. */
function sorted({ at, temperatureC, relativeHumidityPct, rainMm }: Columns): Columns {
  const order = at.map((_, i) => i).sort((a, b) => at[a]! - at[b]! || a - b)
  const kept = order.filter((i, n) => n === 0 || at[i] !== at[order[n - 1]!])
  const pick = (values: number[]) => kept.map((i) => values[i]!)
  return {
    at: pick(at),
    temperatureC: pick(temperatureC),
    relativeHumidityPct: pick(relativeHumidityPct),
    rainMm: rainMm && pick(rainMm),
  }
}

function spacing(at: number[]): Pick<LoggerFile, 'gaps' | 'stepS'> {
  const steps = Float64Array.from({ length: Math.max(0, at.length - 1) }, (_, i) => at[i + 1]! - at[i]!)
  const stepS = steps.length > 0 ? steps.slice().sort()[Math.floor(steps.length / 2)]! : 0
  const gaps: LoggerFile['gaps'] = []
  steps.forEach((step, i) => {
    if (step > 3 * stepS) gaps.push({ from: at[i]!, to: at[i + 1]! })
  })
  return { gaps, stepS }
}
