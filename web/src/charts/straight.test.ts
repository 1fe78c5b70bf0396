import { scaleLinear } from 'd3-scale'
import { describe, expect, it } from 'vitest'
import { straight } from './straight'

describe('a straight scale', () => {
  it('draws values where d3-scale does, beyond its ends too', () => {
    for (const [from, to] of [
      [
        [0, 364],
        [0, 900],
      ],
      [
        [-7.5, 21],
        [86, 26],
      ],
      [
        [40, 95],
        [17, 3],
      ],
    ] as const) {
      const theirs = scaleLinear(from, to)
      for (const value of [-20, 0, 0.25, 50, 400]) expect(straight(from, to)(value)).toBeCloseTo(theirs(value), 9)
    }
  })
  it('draws a span of nothing at its first place', () => {
    expect(straight([3, 3], [10, 20])(3)).toBe(10)
  })
})
