import { told } from '../message'
import { Refusal } from '../refusal'

/** A day in the household's calendar, `YYYY-MM-DD`. */
export type CivilDate = string

export const dayMs = 86_400_000

// ledgers and forecasts ask for the same few years' days over and over: each is read once
const numbers = new Map<CivilDate, number>()
const mostNumbers = 20_000

/** Whether the text is a day that exists. */
export function isCivilDate(text: string): boolean {
  if (numbers.has(text)) return true
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text)) return false
  const ms = Date.parse(`${text}T00:00:00Z`)
  return Number.isFinite(ms) && new Date(ms).toISOString().startsWith(text)
}

/** Days since 1970-01-01. @throws Refusal `invalid` when the text is no day */
export function dayNumber(date: CivilDate): number {
  const known = numbers.get(date)
  if (known !== undefined) return known
  if (!isCivilDate(date)) throw new Refusal('invalid', told('households.notADay', { date }))
  const day = Date.parse(`${date}T00:00:00Z`) / dayMs
  if (numbers.size >= mostNumbers) numbers.clear()
  numbers.set(date, day)
  return day
}

export const fromDayNumber = (day: number): CivilDate => new Date(Math.round(day) * dayMs).toISOString().slice(0, 10)

export const addDays = (date: CivilDate, days: number): CivilDate => fromDayNumber(dayNumber(date) + days)

/** Whole days from `from` to `to`; negative when `to` comes first. */
export const daysBetween = (from: CivilDate, to: CivilDate): number => dayNumber(to) - dayNumber(from)

/** The Monday of a day's week. The first of 1970 was the fifth of January. */
export const mondayOf = (date: CivilDate): CivilDate => addDays(date, -((((dayNumber(date) - 4) % 7) + 7) % 7))
