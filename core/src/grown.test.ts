import { describe, expect, it } from 'vitest'
import { addedTo, Grown } from './grown'

describe('a list that is only added to', () => {
  it('tells each of its states apart, though they share their rows', () => {
    const one = Grown.of([1, 2])
    const two = one.with([3])
    const three = two.with([4, 5])
    expect([[...one], [...two], [...three]]).toEqual([
      [1, 2],
      [1, 2, 3],
      [1, 2, 3, 4, 5],
    ])
    expect(three.with([])).toBe(three)
  })
  it('says what was added since', () => {
    const one = Grown.of([1, 2])
    const three = one.with([3]).with([4])
    expect(addedTo(one, three)).toEqual([3, 4])
    expect(addedTo(three, three)).toEqual([])
    expect(addedTo(three, one)).toBeUndefined()
    expect(addedTo([1, 2], three)).toBeUndefined()
    expect(addedTo(Grown.of([1, 2]), three)).toBeUndefined()
  })
  it('goes two ways from one state without mixing them up', () => {
    const one = Grown.of(['a'])
    const left = one.with(['b'])
    const right = one.with(['c', 'd'])
    expect([[...left], [...right], [...left.with(['e'])]]).toEqual([
      ['a', 'b'],
      ['a', 'c', 'd'],
      ['a', 'b', 'e'],
    ])
    expect(addedTo(left, right)).toBeUndefined()
    expect(addedTo(one, right)).toBeUndefined()
  })
  it('keeps nothing of the list it was made from', () => {
    const rows = [1]
    const list = Grown.of(rows)
    rows.push(2)
    expect([...list]).toEqual([1])
  })
})
