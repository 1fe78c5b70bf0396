import { addDays } from '@vadose/core/households'
import { monthOf } from './words'

export interface MonthTick {
  /** days from the start */
  day: number
  label: string
}

/**
 * The first days of months on an axis that counts days from a date.
 * @param every 1 for each month, 2 for every other, 3 for quarters
 */
export function monthTicks(start: string, lastDay: number, every = 1): MonthTick[] {
  const ticks: MonthTick[] = []
  for (let day = 0; day <= lastDay; day++) {
    const date = addDays(start, day)
    if (date.endsWith('-01') && Number(date.slice(5, 7)) % every === 0) ticks.push({ day, label: monthOf(date) })
  }
  return ticks
}
