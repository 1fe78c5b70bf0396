import { addDays } from '@vadose/core/households'

export interface MonthTick {
  /** days from the start */
  day: number
  on: string
}

/**
 * The first days of months on an axis that counts days from a date.
 * @param every 1 for each month, 2 for every other, 3 for quarters
 */
export function monthTicks(start: string, lastDay: number, every = 1): MonthTick[] {
  const ticks: MonthTick[] = []
  for (let day = 0; day <= lastDay; day++) {
    const on = addDays(start, day)
    if (on.endsWith('-01') && Number(on.slice(5, 7)) % every === 0) ticks.push({ day, on })
  }
  return ticks
}
