import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { draft, eventSays, heapLike, labelChanges, labelTold, relabelling, requireCanBe, type LotEvent } from './index'
import { day, garlic, hung } from './made-up-lot'

const apple = cropById('apple-late')

describe('a tag put right', () => {
  const was = { crop: 'garlic-hardneck', variety: null, bed: '3', heap: 'sound', broughtOn: '2026-07-10' }
  it('says what is another, and nothing where it says that already', () => {
    expect(labelChanges(was, { bed: '4', variety: null })).toEqual(['bed'])
    expect(relabelling(hung, was, { bed: '3' }, {})).toEqual([])
    const [entry] = relabelling(hung, was, { bed: '4', variety: 'Music' }, { why: 'mixed up' })
    expect(entry!.details).toMatchObject({
      was: { bed: '3', variety: null },
      is: { bed: '4', variety: 'Music' },
      why: 'mixed up',
    })
    expect(inPlainWords(eventSays(garlic, entry!, null))).toMatch(/3.*4/)
  })
  it('is told by the last words that stand, else by the first', () => {
    const relabelled = (is: object, of: object, id: number): LotEvent => ({
      ...draft('relabelled', { details: { was: of, is } }),
      atMs: id,
      id,
    })
    const twice = [relabelled({ bed: '4' }, { bed: '3' }, 3), relabelled({ bed: '5' }, { bed: '4' }, 4)]
    expect(labelTold([...hung, ...twice])).toEqual({ bed: '5' })
    const undone = (strikes: number, id: number): LotEvent => ({
      ...draft('undone', { details: { strikes } }),
      atMs: id,
      id,
    })
    expect(labelTold([...hung, ...twice, undone(4, 5)])).toEqual({ bed: '4' })
    expect(labelTold([...hung, ...twice, undone(4, 5), undone(3, 6)])).toEqual({ bed: '3' })
  })
  it('of another day moves what was written as it came in, not past what happened since', () => {
    const same = hung.map((e) => ({ ...e, atMs: 5 * day }))
    const later = [...same, { ...draft('fan', { details: { airflow: 'fan' } }), atMs: 8 * day, id: 3 }]
    const right = relabelling(later, was, { broughtOn: '2026-07-08' }, { broughtAtMs: 3 * day })
    expect(right.map(({ kind, details }) => [kind, details.strikes, details.instead?.atMs])).toEqual([
      ['restated', 1, 3 * day],
      ['restated', 2, 3 * day],
      ['relabelled', undefined, undefined],
    ])
    expect(relabelling(later, was, { broughtOn: '2026-07-13' }, { broughtAtMs: 8 * day })).toHaveLength(3)
    expect(() => relabelling(later, was, { broughtOn: '2026-07-14' }, { broughtAtMs: 8 * day + 1 })).toRefuse(
      /could not have been/,
    )
  })
  it('is of a crop that can stand where the lot stands, in its heap or the first', () => {
    expect(() => requireCanBe(cropById('carrot'), 'drying')).toRefuse(/./)
    expect(() => requireCanBe(garlic, 'drying')).not.toThrow()
    expect(() => requireCanBe(cropById('carrot'), 'stored')).not.toThrow()
    expect(() => requireCanBe({ ...apple, dehydrating: undefined }, 'conditioning')).toRefuse(/./)
    expect(() => requireCanBe(apple, 'dryer')).not.toThrow()
    expect(heapLike(garlic, 'large')).toBe('large')
    expect(heapLike(garlic, 'nicked')).toBe('nicked')
    expect(heapLike(garlic, 'no such heap')).toBe(garlic.heaps[0]!.id)
  })
})
