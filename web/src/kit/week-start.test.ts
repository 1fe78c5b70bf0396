import dayjs from 'dayjs'
import { describe, expect, it } from 'vitest'
import { useWeekStart } from './week-start'

describe('the week of calendars', () => {
  it('begins on Monday, and on Sunday where pounds are weighed', () => {
    useWeekStart('en-GB')
    // the first of October 2026 is a Thursday
    expect(dayjs('2026-10-01').startOf('week').format('ddd D MMM')).toBe('Mon 28 Sep')
    useWeekStart('en-US')
    expect(dayjs('2026-10-01').startOf('week').format('ddd D MMM')).toBe('Sun 27 Sep')
  })
})
