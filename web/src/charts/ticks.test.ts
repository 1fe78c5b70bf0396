import { describe, expect, it } from 'vitest'
import { midnightTicks } from './midnights'
import { monthTicks } from './ticks'

describe('months along an axis', () => {
  it('are none where no month begins', () => {
    expect(monthTicks('2026-10-02', 20)).toEqual([])
  })
  it('stand on their first days, through February and the turn of the year', () => {
    expect(monthTicks('2026-12-15', 80)).toEqual([
      { day: 17, on: '2027-01-01' },
      { day: 48, on: '2027-02-01' },
      { day: 76, on: '2027-03-01' },
    ])
    // a leap year: 29 days of February
    expect(monthTicks('2028-02-01', 40).map((t) => t.day)).toEqual([0, 29])
  })
  it('step by calendar months: every other is an even one, quarters end in March, June, September and December', () => {
    expect(monthTicks('2026-10-01', 364, 2).map((t) => Number(t.on.slice(5, 7)))).toEqual([10, 12, 2, 4, 6, 8])
    expect(monthTicks('2026-10-01', 364, 3).map((t) => Number(t.on.slice(5, 7)))).toEqual([12, 3, 6, 9])
  })
  it('are twelve in any year, wherever it begins', () => {
    for (const start of ['2026-01-01', '2026-05-01', '2027-07-17', '2028-02-29'])
      expect(monthTicks(start, 364)).toHaveLength(12)
  })
})

describe('midnights along an axis', () => {
  const ticks = (zone: string, about: number) =>
    midnightTicks(new Date('2026-10-20T09:00:00Z'), new Date('2026-11-04T09:00:00Z'), zone, about)
  it('are the household’s, through the end of summer time', () => {
    // clocks in Vienna go back on 25 October 2026 (the European Union’s rule: the last Sunday of October)
    expect(ticks('Europe/Vienna', 15).map(({ at }) => at.toISOString().slice(11, 16))).toEqual([
      ...Array.from({ length: 5 }, () => '22:00'),
      ...Array.from({ length: 10 }, () => '23:00'),
    ])
    expect(ticks('Asia/Kathmandu', 15)[0]!.at.toISOString()).toBe('2026-10-20T18:15:00.000Z')
  })
  it('are about as many as asked for, and none beyond the ends', () => {
    expect(ticks('UTC', 5).map(({ on }) => on)).toEqual([
      '2026-10-23',
      '2026-10-26',
      '2026-10-29',
      '2026-11-01',
      '2026-11-04',
    ])
    expect(ticks('UTC', 1)).toHaveLength(1)
  })
})
