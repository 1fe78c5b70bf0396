import { describe, expect, it } from 'vitest'
import { monthStep, shownCurve, tenths } from './survival'

const curve = (days: number, life: number) =>
  Array.from({ length: days }, (_, i) => {
    const on = new Date(Date.UTC(2026, 8, 1 + i)).toISOString().slice(0, 10)
    const sound = (l: number) => Math.exp(-((i / l) ** 3))
    return { on, p10: sound(life * 0.7), p50: sound(life), p90: sound(life * 1.4) }
  })

describe('a survival curve as drawn', () => {
  it('ends a little after even the better case is gone', () => {
    const shown = shownCurve(curve(400, 60))
    const gone = shown.findIndex((p) => p.p90 < 0.03)
    expect(shown.length).toBe(gone + 4)
    expect(shown.length).toBeLessThan(160)
    expect(shown[gone - 1]!.p90).toBeGreaterThanOrEqual(0.03)
  })
  it('is drawn whole where it never comes to that', () => {
    expect(shownCurve(curve(100, 900))).toHaveLength(100)
    expect(shownCurve([])).toEqual([])
  })
})

describe('months on its axis', () => {
  it('are named each, every other or by the quarter, so that they do not touch', () => {
    expect([60, 200, 500].map((days) => monthStep(days, false))).toEqual([1, 2, 3])
    expect([60, 200, 500].map((days) => monthStep(days, true))).toEqual([2, 2, 3])
  })
})

describe('a share in words', () => {
  it('is in tenths, and never called all or none while it is neither', () => {
    expect([1, 0.5, 0.9, 0].map(tenths)).toEqual(['10 in 10', '5 in 10', '9 in 10', '0 in 10'])
    expect(tenths(0.97)).toBe('nearly all')
    expect(tenths(0.02)).toBe('hardly any')
  })
})
