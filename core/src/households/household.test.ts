import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { addDays, daysBetween, isCivilDate, seasonYearOf } from './index'

describe('days', () => {
  it('are days that exist', () => {
    expect(['2026-02-28', '2024-02-29', '2026-12-31'].every(isCivilDate)).toBe(true)
    expect(['2026-02-29', '2026-13-01', '26-01-01', '2026-1-1', 'today', ''].some(isCivilDate)).toBe(false)
    expect(() => addDays('2026-02-30', 1)).toRefuse(/not a day/)
  })
  it('add and subtract', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: -40000, max: 40000 }),
        (n) => daysBetween('2026-10-02', addDays('2026-10-02', n)) === n,
      ),
    )
    expect(daysBetween('2024-01-01', '2024-12-31')).toBe(365)
  })
})

describe('the season year', () => {
  it('runs from its start to the day before the next', () => {
    expect(seasonYearOf('2026-10-02', '05-01')).toEqual({ startsOn: '2026-05-01', endsOn: '2027-04-30', days: 365 })
    expect(seasonYearOf('2026-04-30', '05-01').startsOn).toBe('2025-05-01')
    expect(seasonYearOf('2026-05-01', '05-01').startsOn).toBe('2026-05-01')
  })
})
