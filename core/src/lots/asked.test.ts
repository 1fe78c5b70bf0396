import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { draft, type LotAct } from './index'
import { asked, at, done, hung, stored } from './made-up-lot'

const apple = cropById('apple-late')

describe('what is asked about is asked from its mark on', () => {
  const finish = (over: object): LotAct => ({
    act: 'finish',
    neck: 'long',
    pack: 'net',
    placeId: 'x',
    weightG: 4000,
    ...over,
  })
  it.each([
    // a fifth more than what hung; two fifths of it as tops and roots
    ['taken down', hung, (g: number) => finish({ weightG: g }), [6000, 6001]],
    ['trimmed', hung, (g: number) => finish({ wasteG: g }), [2000, 2001]],
    ['weighed', hung, (g: number): LotAct => ({ act: 'weigh', weightG: g, basis: 'lot' }), [6000, 6001]],
  ])('%s', (_what, events, act, [goes, asks]) => {
    expect([asked(events, act(goes!)), asked(events, act(asks!))]).toEqual(['ok', 'surprise'])
    expect(asked(events, { ...act(asks!), sure: true } as LotAct)).toBe('ok')
  })
  it('a weighing far under the last one, of the same', () => {
    const bunch = at([...hung, draft('weighed', { details: { scaleG: 600, basis: 'bunch' } })])
    const weigh = (weightG: number, basis: 'bunch' | 'lot' = 'bunch'): LotAct => ({ act: 'weigh', weightG, basis })
    expect([240, 239, 720, 721].map((g) => asked(bunch, weigh(g)))).toEqual(['ok', 'surprise', 'ok', 'surprise'])
    // the lot was not weighed before: half of what was booked is what it is
    expect(asked(bunch, weigh(1500, 'lot'))).toBe('ok')
  })
  it('what goes on the trays, what comes off them, and how warm', () => {
    const apples = at([
      draft('brought-in', { weightG: 5000 }),
      draft('finished', { placeId: 'c', details: { pack: 'box' } }),
    ])
    const [lo, hi] = apple.dehydrating!.airC.value
    const load = (over: object): LotAct => ({ act: 'load', weightG: 4000, trays: 4, airC: lo, placeId: 'k', ...over })
    expect([2000, 1999, 5000, 5001].map((g) => asked(apples, load({ weightG: g }), apple))).toEqual([
      'ok',
      'surprise',
      'ok',
      'invalid',
    ])
    expect([lo - 8, lo - 8.1, hi + 8, hi + 8.1].map((airC) => asked(apples, load({ airC }), apple))).toEqual([
      'ok',
      'surprise',
      'ok',
      'surprise',
    ])
    expect([5000, 5001].map((takenG) => asked(apples, load({ takenG }), apple))).toEqual(['ok', 'not-enough'])
    const drying = at([...apples, ...done(apples, load({}), apple).events])
    expect([4800, 4801].map((weightG) => asked(drying, { act: 'jar', weightG }, apple))).toEqual(['ok', 'surprise'])
    expect(asked(drying, load({}), apple)).toBe('invalid')
  })
  it('what is bagged: a quarter of what was taken, and a seventh more', () => {
    const tomato = cropById('tomato')
    const there = at([draft('brought-in', { weightG: 4000, pieces: 40, placeId: 'k' })])
    const freeze = (weightG: number): LotAct => ({ act: 'freeze', weightG, bags: 3, prepared: 'raw', placeId: 'f' })
    expect([1000, 999, 4600, 4601].map((g) => asked(there, freeze(g), tomato))).toEqual([
      'ok',
      'surprise',
      'ok',
      'surprise',
    ])
    // of a part, what was taken for it
    const part = (weightG: number): LotAct => ({ ...freeze(weightG), pieces: 10 }) as LotAct
    expect([250, 249].map((g) => asked(there, part(g), tomato))).toEqual(['ok', 'surprise'])
  })
  it('what is sorted: a fifth more on the table than was booked', () => {
    const sort = (weightG: number): LotAct => ({
      act: 'sort',
      heaps: [
        { fate: 'store', weightG },
        { fate: 'bin', weightG: 800 },
      ],
      rest: 'store',
    })
    expect([4000, 4001].map((g) => asked(stored, sort(g)))).toEqual(['ok', 'surprise'])
  })
})
