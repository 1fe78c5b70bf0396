import type { Language } from '@vadose/words/page'
import dayjs from 'dayjs'

/** The week of calendars begins on Monday in Britain, on Sunday in America. */
export function useWeekStart(language: Language): void {
  dayjs.Ls['en']!.weekStart = language === 'en-US' ? 0 : 1
}
