import { degreesBetween, told } from '@vadose/core/message'
import { afterEach, beforeEach, describe, expect, it } from 'vitest'
import { useLanguage, sayProse } from '../voice'
import {
  dateRange,
  fullDate,
  longDate,
  momentOf,
  monthOf,
  rainfall,
  shortDate,
  untilDate,
  useSeason,
  useUnits,
  weekdayOf,
  yearDate,
} from './index'

beforeEach(() => {
  useLanguage('en-US')
  useSeason({ startsOn: '2026-05-01', endsOn: '2027-04-30' })
})
afterEach(() => {
  useLanguage('en-GB')
  useUnits('metric')
})

describe('dates as America writes them', () => {
  it('month first, with the year where it is another season', () => {
    expect(shortDate('2026-10-04')).toBe('Oct 4')
    expect(longDate('2026-10-04')).toBe('October 4')
    expect(longDate('2027-06-01')).toBe('June 1, 2027')
    expect(yearDate('2026-10-04')).toBe('Oct 4, 2026')
    expect(fullDate('2026-10-04')).toBe('Sun, October 4')
    expect([weekdayOf('2026-10-04'), monthOf('2026-09-01')]).toEqual(['Sun', 'Sep'])
  })
  it('ranges within a month, over months and years, and with no end', () => {
    // Intl.formatRange has thin spaces round its dash
    const plain = (from: string | null, to: string | null) => dateRange(from, to).replace(/\s*–\s*/, ' – ')
    expect(plain('2026-10-04', '2026-10-06')).toBe('Oct 4 – 6')
    expect(plain('2026-09-28', '2026-10-03')).toBe('Sep 28 – Oct 3')
    expect(plain('2027-04-20', '2027-05-03')).toBe('Apr 20 – May 3, 2027')
    expect(dateRange('2026-10-04', '2026-10-04')).toBe('Oct 4')
    expect(dateRange('2026-10-04', null)).toBe('Oct 4 or much later')
    expect(untilDate('2026-10-04', true)).toBe('over a year')
  })
  it('times of day by twelve hours', () => {
    expect(momentOf('2026-10-04T18:05:00Z', 'America/Chicago', '2026-10-04')).toMatch(/^01:05\sPM$/)
    expect(momentOf('2026-10-03T18:05:00Z', 'America/Chicago', '2026-10-04')).toMatch(/^Sat 01:05\sPM$/)
  })
})

describe('a text of the almanac', () => {
  it('is retold word by word, with its temperatures in the household’s degrees', () => {
    const air = told('almanac.shadeAndMovingAir', { air: degreesBetween(15, 30) })
    expect(sayProse(air)).toBe('shade and moving air, 15–30 °C; out of rain and hard sun')
    useUnits('us')
    expect(sayProse(air)).toBe('shade and moving air, 59–86 °F; out of rain and hard sun')
    expect(sayProse('damp enough for mould to start')).toBe('damp enough for mold to start')
  })
  it('has rain in inches where pounds are weighed: 25.4 mm to the inch, by definition', () => {
    expect([rainfall(25.4), rainfall(0.6, 1)]).toEqual(['25 mm', '0.6 mm'])
    useUnits('us')
    expect([rainfall(25.4), rainfall(12.7), rainfall(1)]).toEqual(['1.0 in', '0.5 in', '0.04 in'])
  })
})
