import { describe, expect, it } from 'vitest'
import { amount, dateRange, exactWeight, gramsFrom, weight } from './words'

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
