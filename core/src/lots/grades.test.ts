import { expect, it } from 'vitest'
import { graded } from './finish-acts'

const out = (grades: Parameters<typeof graded>[0], weightG = 5000, pieces = 40) =>
  graded(grades, weightG, pieces, 'cellar', { grade: 'x' } as never)

it('a size that was counted is as counted; one that was not has its share by weight, and says that it is a guess', () => {
  const { events, splitsOff } = out([
    { grade: 'large', weightG: 1000, pieces: 10 },
    { grade: 'small', weightG: 500 },
  ])
  expect(events.map(({ weightG, pieces }) => [weightG, pieces])).toEqual([
    [-1000, -10],
    [-500, -4],
  ])
  const kept = splitsOff!.map(({ heap, events: [first] }) => [heap, first!.weightG, first!.pieces, first!.details])
  expect(kept).toEqual([
    ['large', 1000, 10, { grade: 'x' }],
    ['small', 500, 4, { grade: 'x', guessed: 'pieces' }],
  ])
})

it('of a lot nobody counted no size is counted, and none is guessed', () => {
  const { splitsOff } = out([{ grade: 'small', weightG: 500 }], 5000, 0)
  expect(splitsOff![0]!.events[0]).toMatchObject({ weightG: 500, pieces: 0, details: { grade: 'x' } })
  expect(splitsOff![0]!.events[0]!.details).not.toHaveProperty('guessed')
})

it('sizes are less than the whole, by weight and by number, and each is named once', () => {
  expect(() => out([{ grade: 'large', weightG: 5000 }])).toRefuse(/./)
  expect(() => out([{ grade: 'large', weightG: 4000, pieces: 40 }])).toRefuse(/./)
  expect(() =>
    out([
      { grade: 'large', weightG: 100 },
      { grade: 'large', weightG: 100 },
    ]),
  ).toRefuse(/./)
  expect(() => out([{ grade: 'large', weightG: 4999, pieces: 39 }])).not.toThrow()
})
