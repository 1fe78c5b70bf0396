import { describe, expect, it } from 'vitest'
import { amount, dateRange, exactWeight, gramsFrom, gramsFromSum, momentOf, useUnits, weight } from './words'

describe('words', () => {
  it('rounds weights sensibly and sums to the gram', () => {
    expect(weight(860)).toBe('860 g')
    expect(weight(2754)).toBe('2.75 kg')
    expect(weight(21900)).toBe('21.9 kg')
    expect(exactWeight(3462)).toBe('3.462 kg')
  })
  it('gives ranges, not false dates', () => {
    expect(dateRange('2026-10-04', '2026-10-06')).toBe('4–6 Oct')
    expect(dateRange('2026-09-28', '2026-10-03')).toBe('28 Sept – 3 Oct')
    expect(dateRange('2026-09-28', null)).toBe('28 Sept or much later')
    expect(dateRange(null, null)).toBe('not in this air')
  })
  it('reads what people type on a scale', () => {
    expect(gramsFrom('2190')).toBe(2190)
    expect(gramsFrom('2,19 kg')).toBe(2190)
    expect(gramsFrom('6.0kg')).toBe(6000)
    expect(gramsFrom('1 lb')).toBe(454)
    expect(gramsFrom('-5')).toBeNull()
    expect(gramsFrom('1e9')).toBeNull()
    expect(gramsFrom('')).toBeNull()
  })
  it('counts in heads', () => {
    expect(amount(1, 40, { one: 'head', many: 'heads' })).toBe('1 head, 40 g')
    expect(amount(null, 4000, { one: 'head', many: 'heads' })).toBe('4.00 kg')
  })
})

describe('several weighings in one field', () => {
  it('adds buckets and takes off the tare, with either minus', () => {
    expect(gramsFromSum('2.4 + 3.1 - 0.5', 'kg')).toBe(5000)
    expect(gramsFromSum('2,4+3,1−0,5', 'kg')).toBe(5000)
    expect(gramsFromSum('850 + 1.2 kg', 'g')).toBe(2050)
    expect(gramsFromSum('6', 'kg')).toBe(6000)
  })
  it('waits for the number after a sign, and refuses what is none or comes to nothing', () => {
    expect(gramsFromSum('2.4 + ', 'kg')).toBe(2400)
    expect(gramsFromSum('0.5 - 0.7', 'kg')).toBeNull()
    expect(gramsFromSum('2.4 + much', 'kg')).toBeNull()
    expect(gramsFromSum('', 'kg')).toBeNull()
    expect(gramsFromSum('1500 + 1500', 'kg')).toBeNull()
  })
  it('reads pounds where the household does', () => {
    useUnits('us')
    expect(gramsFromSum('1 + 1', 'kg')).toBe(908)
    useUnits('metric')
  })
})

describe('moments', () => {
  it('are a time of day today and name the weekday otherwise, by the household’s clock', () => {
    const iso = '2026-10-02T22:30:00Z'
    expect(momentOf(iso, 'UTC', '2026-10-02')).toBe('22:30')
    expect(momentOf(iso, 'Europe/Vienna', '2026-10-02')).toBe('Sat 00:30')
    expect(momentOf(iso, 'America/New_York', '2026-10-02')).toBe('18:30')
  })
})
