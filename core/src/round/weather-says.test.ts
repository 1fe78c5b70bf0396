import { describe, expect, it } from 'vitest'
import { inPlainWords } from '@vadose/words'
import { placeVerdict, weatherSays, type SkyDay } from './index'

const saysOf = (...of: Parameters<typeof weatherSays>) => weatherSays(...of).map(inPlainWords)
const verdictOf = (...of: Parameters<typeof placeVerdict>) => {
  const { suits, says } = placeVerdict(...of)
  return { suits, says: inPlainWords(says) }
}

const day = (on: string, over: Partial<SkyDay> = {}): SkyDay => ({ on, nightC: 6, humidityPct: 70, rainMm: 0, ...over })
// 2 October 2026 is a Friday
const fair = [day('2026-10-02'), day('2026-10-03'), day('2026-10-04')]

describe('what the sky means for what hangs outside', () => {
  it('is nothing where nothing hangs and nothing freezes', () => {
    expect(saysOf(fair, 0)).toEqual([])
    expect(saysOf([], 3)).toEqual([])
  })
  it('is frost, named by its day, with what to bring in', () => {
    const cold = [...fair.slice(0, 2), day('2026-10-04', { nightC: -1 })]
    expect(saysOf(cold, 0)).toEqual(['Frost likely on Sunday.'])
    expect(saysOf(cold, 1)[0]).toBe('Frost likely on Sunday: one lot hangs on the veranda, bring it in before.')
    expect(saysOf(cold, 3)[0]).toBe('Frost likely on Sunday: 3 lots hang on the veranda, bring them in before.')
    expect(saysOf([day('2026-10-02', { nightC: 0.6 })], 0)).toEqual([])
  })
  it('is drying or none by the mean humidity, and the first rain that matters', () => {
    expect(saysOf(fair, 2)).toEqual(['Drying goes on: about 70 % humidity in the next days.'])
    const wet = [
      day('2026-10-02', { humidityPct: 88 }),
      day('2026-10-03', { humidityPct: 90, rainMm: 0.4 }),
      day('2026-10-04', { humidityPct: 85, rainMm: 13.6 }),
    ]
    expect(saysOf(wet, 2)).toEqual(['Damp days ahead: what hangs outside will hardly dry. Rain on Sunday, 14 mm.'])
    expect(saysOf([day('2026-10-02', { rainMm: null })], 1)[0]).not.toMatch(/Rain/)
  })
})

describe('whether a place suits what is in it', () => {
  const drying = (stalledForHours: number, over = {}) => ({ stalledForHours, neverReady: false, heals: false, ...over })
  it('suits what dries and keeps, and what is not there', () => {
    expect(verdictOf([])).toEqual({ suits: true, says: 'empty' })
    expect(
      verdictOf([
        { code: 'N26-1', drying: drying(6) },
        { code: 'G26-1', endedBy: 'sprouting' },
      ]),
    ).toEqual({
      suits: true,
      says: 'suits what is here',
    })
  })
  it('says how long the worst has stood still, by what it does there', () => {
    const says = (...hours: number[]) => verdictOf(hours.map((h, i) => ({ code: `N26-${i}`, drying: drying(h) }))).says
    expect(says(13)).toBe('too damp to dry for 13 hours')
    expect(says(30)).toBe('too damp to dry for 1 day')
    expect(says(4, 75, 13)).toBe('too damp to dry for 3 days')
    expect(verdictOf([{ code: 'P26-1', drying: drying(50, { heals: true }) }])).toEqual({
      suits: false,
      says: 'too cold or hot to heal for 2 days',
    })
  })
  it('names what will never be ready there', () => {
    expect(verdictOf([{ code: 'N26-9', drying: drying(0, { neverReady: true }) }]).says).toBe('too damp to dry N26-9')
    expect(verdictOf([{ code: 'P26-1', drying: drying(0, { neverReady: true, heals: true }) }]).says).toBe(
      'no air to heal P26-1',
    )
  })
  it('names the stored lot that the air itself will end; age is not the place’s doing', () => {
    for (const end of ['rooting', 'mould', 'frost'] as const)
      expect(verdictOf([{ code: 'N26-1', endedBy: end }])).toEqual({ suits: false, says: `${end} threatens N26-1` })
    expect(verdictOf([{ code: 'N26-1', endedBy: 'rot' }]).suits).toBe(true)
  })
})
