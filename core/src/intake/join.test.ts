import { describe, expect, it } from 'vitest'
import { cropById, habitsWith, usualHabits } from '../almanac'
import { joinsOf, type EarlierLot } from './index'

const garlic = cropById('garlic-hardneck')

describe('earlier lots a heap could be put to', () => {
  const row: EarlierLot = {
    code: 'G26-1',
    crop: garlic.id,
    heap: 'sound',
    bed: 'Long bed',
    broughtOn: '2026-07-10',
    stage: 'drying',
    form: 'fresh',
  }
  const sound = garlic.heaps.find((h) => h.id === 'sound')!
  const joins = (part: Partial<EarlierLot>, on = '2026-07-12', bed = 'long bed', habits = usualHabits) =>
    joinsOf(sound, { crop: garlic.id, bed, on }, [{ ...row, ...part }], habits)

  it('are of the same crop, heap and bed, and hung not more than three days before', () => {
    expect(joins({})).toEqual(['G26-1'])
    expect(joins({}, '2026-07-13')).toEqual(['G26-1'])
    expect(joins({}, '2026-07-14')).toEqual([])
    expect(joins({}, '2026-07-09')).toEqual([])
    // or as many as the household says
    const slow = habitsWith({ joinHangingDays: 6 })
    expect(joins({}, '2026-07-16', 'long bed', slow)).toEqual(['G26-1'])
    expect(joins({}, '2026-07-17', 'long bed', slow)).toEqual([])
  })
  it('are none of another bed, heap or crop, nor what is dried or finished', () => {
    expect(joins({ bed: 'Short bed' })).toEqual([])
    expect(joins({ bed: null })).toEqual(['G26-1'])
    expect(joins({ bed: 'Short bed' }, '2026-07-12', '')).toEqual(['G26-1'])
    expect(joins({ heap: 'nicked' })).toEqual([])
    expect(joins({ crop: 'shallot' })).toEqual([])
    expect(joins({ form: 'dried' })).toEqual([])
    expect(joins({ stage: 'stored' })).toEqual([])
  })
})
