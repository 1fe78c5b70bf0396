import { describe, expect, it } from 'vitest'
import { steps } from './quarry-house'

describe('Quarry House', () => {
  it('happens in order, before the day it is shown', () => {
    const days = steps.map((s) => s.on)
    expect(days).toEqual([...days].sort())
    expect(days.at(-1)! <= '2026-10-02').toBe(true)
    expect(steps.filter((s) => s.on === '2026-10-02').every((s) => s.hour < 7)).toBe(true)
  })
  it('has two seasons', () => {
    const years = new Set(steps.filter((s) => s.do === 'harvest').map((s) => s.on.slice(0, 4)))
    expect([...years]).toEqual(['2025', '2026'])
  })
})
