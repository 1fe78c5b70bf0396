import { IANAZone, FixedOffsetZone, type Zone } from 'luxon'
import { told } from '../message'
import { Refusal } from '../refusal'

/** How a file writes its instants. */
export type TimeOrder = 'year-first' | 'day-first' | 'month-first' | 'seconds' | 'milliseconds'

const minuteMs = 60_000
const dayMs = 86_400_000

/**
 * The clock a logger was set to.
 * @param name IANA name, `UTC`, or a clock without summer time such as `UTC+1` or `UTC+05:30`
 * @throws Refusal `invalid`
 */
export function clockZone(name: string): Zone {
  const fixed = /^(?:UTC|GMT)(?:([+-])(\d{1,2})(?::?(\d\d))?)?$/i.exec(name)
  if (fixed) {
    const minutes = Number(fixed[2] ?? 0) * 60 + Number(fixed[3] ?? 0)
    if (minutes <= 14 * 60) return FixedOffsetZone.instance(fixed[1] === '-' ? -minutes : minutes)
  }
  const zone = IANAZone.create(name)
  if (!fixed && zone.isValid) return zone
  throw new Refusal('invalid', told('readings.noTimeZone', { name }), 'zone')
}

/**
 * A zone's clock without summer time, as `clockZone` reads it: “UTC+1” for Europe/Vienna. Loggers are often left on it.
 * @param year whose rules hold
 */
export function winterClock(name: string, year: number): string {
  const zone = clockZone(name)
  // summer time is ahead, in whichever half of the year it falls
  const minutes = Math.min(...[0, 6].map((month) => zone.offset(Date.UTC(year, month, 1))))
  const [hours, rest] = [Math.trunc(Math.abs(minutes) / 60), Math.abs(minutes) % 60]
  return `UTC${minutes < 0 ? '-' : '+'}${hours}${rest ? `:${String(rest).padStart(2, '0')}` : ''}`
}

const yearFirst = /^(\d{4})[-/.](\d{1,2})[-/.](\d{1,2})(?:[ T,]+(\d{1,2}):(\d\d)(?::(\d\d)(?:[.,]\d+)?)?)?\s*(.*)$/
const yearLast = /^(\d{1,2})[-/.](\d{1,2})[-/.](\d{4}|\d\d)(?:[ T,]+(\d{1,2}):(\d\d)(?::(\d\d)(?:[.,]\d+)?)?)?\s*(.*)$/
const offsetText = /^(?:Z|([+-])(\d\d):?(\d\d)?)$/

/** Reads the instants of one file, line after line; keeps what the zone says of each day. */
export class StampReader {
  private readonly zone: Zone
  private readonly offsets = new Map<number, [number, number]>()
  private lastMs = -Infinity

  constructor(
    private readonly order: TimeOrder,
    zone: string,
  ) {
    this.zone = clockZone(zone)
  }

  /** @returns ms since 1970 UTC, NaN where the text is no instant */
  read(text: string): number {
    const ms = this.instant(text.trim())
    if (Number.isFinite(ms)) this.lastMs = ms
    return ms
  }

  private instant(text: string): number {
    if (this.order === 'seconds' || this.order === 'milliseconds') {
      return /^\d{9,14}(\.\d+)?$/.test(text) ? Number(text) * (this.order === 'seconds' ? 1000 : 1) : NaN
    }
    const found = (this.order === 'year-first' ? yearFirst : yearLast).exec(text)
    if (!found) return NaN
    const [, a, b, c, hourText = '0', minute = '0', second = '0', rest = ''] = found
    const part = /^([ap])\.?m\.?$/i.exec(rest)
    let hour = Number(hourText)
    if (part) {
      if (hour < 1 || hour > 12) return NaN
      hour = (hour % 12) + (part[1]!.toLowerCase() === 'p' ? 12 : 0)
    }
    const [year, month, day] =
      this.order === 'year-first' ? [a!, b!, c!] : this.order === 'day-first' ? [c!, b!, a!] : [c!, a!, b!]
    const fullYear = year.length === 2 ? 2000 + Number(year) : Number(year)
    if (hour > 23 || Number(minute) > 59 || Number(second) > 59) return NaN
    const local = Date.UTC(fullYear, Number(month) - 1, Number(day), hour, Number(minute), Number(second))
    const back = new Date(local)
    // 31 April would otherwise become the first of May
    if (back.getUTCMonth() !== Number(month) - 1 || back.getUTCDate() !== Number(day)) return NaN
    if (part || rest === '') return this.toUtc(local)
    const offset = offsetText.exec(rest)
    if (!offset) return NaN
    const minutes = offset[1] ? Number(offset[2]) * 60 + Number(offset[3] ?? 0) : 0
    return local - (offset[1] === '-' ? -minutes : minutes) * minuteMs
  }

  /**
   * Local to UTC. In the hour that autumn repeats the first of the two is meant, until the file has passed it; an hour
   * that spring leaves out is read by the clock of the day before.
   */
  private toUtc(local: number): number {
    const day = Math.floor(local / dayMs)
    let offsets = this.offsets.get(day)
    if (!offsets) {
      offsets = [this.zone.offset(day * dayMs - dayMs / 2), this.zone.offset((day + 1) * dayMs + dayMs / 2)]
      this.offsets.set(day, offsets)
    }
    const [before, after] = offsets
    if (before === after) return local - before * minuteMs
    const first = local - before * minuteMs
    const second = local - after * minuteMs
    const firstHolds = this.zone.offset(first) === before
    const secondHolds = this.zone.offset(second) === after
    if (firstHolds && secondHolds) return first <= this.lastMs ? second : first
    return secondHolds ? second : first
  }
}
