import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { weekList } from './index'

describe('so that nothing is lost this week', () => {
  const lines = [
    { id: 'sweet onions', onHandG: 2000, savedPerG: 0.3, mostG: 800 },
    { id: 'storing onions', onHandG: 9000, savedPerG: 0.02, mostG: 800 },
    { id: 'garlic', onHandG: 300, savedPerG: 0.1, mostG: 150 },
    { id: 'jam', onHandG: 900, savedPerG: 0, mostG: 500 },
  ]
  it('takes what would be lost first, as far as it is wanted', () => {
    expect(weekList(lines, 1000).map((l) => [l.id, l.useG])).toEqual([
      ['sweet onions', 800],
      ['garlic', 150],
      ['storing onions', 50],
    ])
  })
  it('never more than the week, the shelf or the appetite', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 5000, noNaN: true }), (appetite) => {
        const list = weekList(lines, appetite)
        return (
          list.reduce((sum, l) => sum + l.useG, 0) <= appetite + 1e-9 &&
          list.every((l) => {
            const line = lines.find((x) => x.id === l.id)!
            return l.useG <= Math.min(line.onHandG, line.mostG)
          })
        )
      }),
    )
  })
})
