import type { Units } from '@vadose/core/households'
import dayjs from 'dayjs'

/** The week of calendars begins on Monday; where pounds are weighed, on Sunday. */
export function useWeekStart(units: Units): void {
  dayjs.Ls['en']!.weekStart = units === 'us' ? 0 : 1
}
