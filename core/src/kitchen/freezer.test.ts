import { describe, expect, it } from 'vitest'
import { hourMs } from '../air'
import { freezerFill, frozenPace, usualColdC, warmSpells } from './index'

const hours = 24 * 20
const log = (over: Record<number, number> = {}) => ({
  startMs: 0,
  hours,
  temperatureC: Float64Array.from({ length: hours }, (_, i) => over[i] ?? -19 + 0.4 * Math.sin(i)),
})
const freezing = { warmShare: { value: 0.5, source: 'iir' as const } }

describe('how full a freezer is', () => {
  // 35 lb of packed food a cubic foot: USDA bulletin on home freezers, recalled, not re-read
  it('a 100 L chest with 28 kg is about half full', () => {
    expect(freezerFill(28, 100)).toBeGreaterThan(0.45)
    expect(freezerFill(28, 100)).toBeLessThan(0.55)
    expect(freezerFill(500, 100)).toBe(1)
  })
})

describe('warm spells of a freezer', () => {
  it('none while the compressor only comes and goes', () => {
    expect(warmSpells(log(), freezing)).toEqual([])
    expect(usualColdC(log())).toBeCloseTo(-19, 1)
  })
  it('a lid ajar for five hours costs what the pace of those hours says, and no more', () => {
    const ajar = { 100: -14, 101: -12, 102: -10, 103: -10, 104: -13 }
    const [spell, ...rest] = warmSpells(log(ajar), freezing)
    expect(rest).toEqual([])
    expect(spell).toMatchObject({ fromMs: 100 * hourMs, hours: 5, warmestC: -10, thawed: false })
    const extra = Object.values(ajar).reduce((sum, t) => sum + frozenPace(freezing, t) - frozenPace(freezing, -19), 0)
    expect(spell!.costDays).toBeCloseTo(extra / 24, 1)
    // an evening costs a bag hours, not weeks
    expect(spell!.costDays).toBeLessThan(1)
  })
  it('says where it thawed, and that two evenings are two', () => {
    const spells = warmSpells(log({ 50: -12, 200: -3, 201: 2, 202: -4 }), freezing)
    expect(spells.map(({ hours, thawed }) => [hours, thawed])).toEqual([
      [1, false],
      [3, true],
    ])
  })
})
