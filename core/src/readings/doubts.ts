import { told, type Message } from '../message'
import type { ColumnMapping } from './logger-file'
import { StampReader, type TimeOrder } from './stamp'
import { coldestStoreC, warmestStoreC } from '../assumptions'

/** Something about a file that may not be meant as it was read: asked before anything of it is kept. */
export interface Doubt {
  about: 'humidity' | 'unit' | 'order' | 'quote' | 'turned' | 'years'
  says: Message
  /** how the file is to be read if the answer is yes; without it, there is nothing to do but to look */
  mend?: Partial<ColumnMapping>
}

const yearMs = 365.25 * 86_400_000
const middle = (values: readonly number[]): number => values.slice().sort((a, b) => a - b)[values.length >> 1] ?? NaN

/** Whether humidity is written as a share of 1: nothing is that dry for long. */
export function shareDoubt(humidity: readonly number[], mapping: ColumnMapping): Doubt | undefined {
  const most = humidity.reduce((a, b) => Math.max(a, b), 0)
  if (mapping.share || most > 1 || most === 0) return undefined
  return {
    about: 'humidity',
    says: told('readings.doubtShare', { most: String(most), percent: Math.round(100 * most) }),
    mend: { share: true },
  }
}

/** Whether the temperature is in the other unit than was thought. */
export function unitDoubt(temperatureC: readonly number[], { unit }: ColumnMapping): Doubt | undefined {
  const usual = middle(temperatureC)
  if (unit === 'C' && usual > warmestStoreC) {
    const c = Math.round((usual - 32) / 1.8)
    return {
      about: 'unit',
      says: told('readings.doubtFahrenheit', { read: Math.round(usual), then: c }),
      mend: { unit: 'F' },
    }
  }
  const written = Math.round(usual * 1.8 + 32)
  if (unit === 'F' && usual < coldestStoreC && written >= 0) {
    return {
      about: 'unit',
      says: told('readings.doubtCelsius', { read: Math.round(usual), then: written }),
      mend: { unit: 'C' },
    }
  }
  return undefined
}

/** How well a file's stamps read in one order: lines that are none, and steps that go back or leap. */
function fit(stamps: readonly string[], order: TimeOrder, zone: string): { unread: number; leaps: number } {
  const reader = new StampReader(order, zone)
  const all = stamps.map((text) => reader.read(text))
  const read = all.filter(Number.isFinite)
  const steps = read.slice(1).map((ms, i) => ms - read[i]!)
  const usual = Math.abs(middle(steps))
  return { unread: all.length - read.length, leaps: steps.filter((step) => step <= 0 || step > 20 * usual).length }
}

/** Whether day and month stand the other way round: the whole file is asked, and where both fit, its reader. */
export function orderDoubt(stamps: readonly string[], { order, zone }: ColumnMapping): Doubt | undefined {
  if (order !== 'day-first' && order !== 'month-first') return undefined
  const other = order === 'day-first' ? 'month-first' : 'day-first'
  const here = fit(stamps, order, zone)
  const there = fit(stamps, other, zone)
  if (there.unread > here.unread || (there.unread === here.unread && there.leaps > here.leaps)) return undefined
  // with dots between, the day comes first wherever dots are written
  const dotted = order === 'day-first' && stamps[0]!.trim().charAt(2) === '.'
  const better = there.unread < here.unread || there.leaps < here.leaps
  if (dotted && !better) return undefined
  return {
    about: 'order',
    says: better
      ? told('readings.doubtOrder', { order: other })
      : told('readings.doubtEitherOrder', { stamp: stamps[0]!.trim(), order }),
    mend: { order: other },
  }
}

/** Whether the logger's clock was years off: since, ahead, or leaping on the way. */
export function yearsDoubt(at: readonly number[], nowMs: number): Doubt | undefined {
  const year = (seconds: number) => new Date(1000 * seconds).getUTCFullYear()
  const [first, last] = [at[0]!, at.at(-1)!]
  const leap = at.findIndex((seconds, i) => i > 0 && 1000 * (seconds - at[i - 1]!) > 0.8 * yearMs)
  if (leap > 0) {
    return {
      about: 'years',
      says: told('readings.doubtLeap', { from: year(at[leap - 1]!), to: year(at[leap]!) }),
    }
  }
  if (1000 * last < nowMs - 1.5 * yearMs || 1000 * first > nowMs + 0.1 * yearMs) {
    return {
      about: 'years',
      says: told('readings.doubtYear', { year: year(last) }),
    }
  }
  return undefined
}
