import fc from 'fast-check'
import load from 'highs'
import { describe, expect, it } from 'vitest'
import {
  arrangementOf,
  bestWays,
  choiceFrom,
  costOf,
  programmeOf,
  waysThrough,
  type ArrangeLot,
  type ArrangeProblem,
} from './index'

const highs = await load()
const solve = (problem: ArrangeProblem) => {
  const { Status, Columns } = highs.solve(programmeOf(problem))
  expect(Status).toBe('Optimal')
  return choiceFrom(problem, Columns as Record<string, { Primal: number }>)
}

/** Small houses at random: what is lost anywhere, in any month, is drawn; so are room, gas and smells. */
const house = fc
  .record({
    months: fc.constantFrom(1, 2, 3),
    rooms: fc.array(fc.option(fc.integer({ min: 5, max: 40 })), { minLength: 2, maxLength: 3 }),
    lots: fc.array(
      fc.record({
        kg: fc.integer({ min: 1, max: 30 }),
        at: fc.nat(),
        gives: fc.boolean(),
        smells: fc.boolean(),
        takesSmell: fc.boolean(),
        seed: fc.integer({ min: 1, max: 1e6 }),
      }),
      { minLength: 1, maxLength: 3 },
    ),
  })
  .map(({ months, rooms, lots }): ArrangeProblem => {
    const open = rooms.map((_, p) => p)
    return {
      months,
      places: rooms.map((holdsKg, p) => ({ id: String(p), holdsKg })),
      lots: lots.map(({ kg, at, seed, ...lot }, l): ArrangeLot => {
        const drawn = (a: number, b: number) => Math.abs(Math.sin(seed * 0.37 + a * 12.9 + b * 78.2)) * 0.2 * kg
        const where = at % rooms.length
        return {
          ...lot,
          code: `L${l}`,
          kg,
          kgThen: Array.from({ length: months }, (_, m) => kg * (1 - m / months)),
          at: where,
          gasKg: open.map((p) => Array.from({ length: months }, (_, m) => drawn(p + 7, m))),
          ways: waysThrough(months, open, where).map((way) => ({
            ...way,
            lossKg: way.places.reduce((sum, p, m) => sum + drawn(p, m), 0),
          })),
        }
      }),
    }
  })

function bruteForce(problem: ArrangeProblem): number {
  let best = Infinity
  const choice = problem.lots.map(() => 0)
  const next = (l: number): void => {
    if (l === problem.lots.length) {
      best = Math.min(best, costOf(problem, choice) ?? Infinity)
      return
    }
    for (let k = 0; k < problem.lots[l]!.ways.length; k++) {
      choice[l] = k
      next(l + 1)
    }
  }
  next(0)
  return best
}

describe('the best arrangement', () => {
  it('of small houses costs what trying all of them finds', () => {
    fc.assert(
      fc.property(house, (problem) => {
        const cost = costOf(problem, solve(problem))
        expect(cost).toBeDefined()
        expect(cost!).toBeCloseTo(bruteForce(problem), 4)
      }),
      { numRuns: 60 },
    )
  })

  const lot = (code: string, over: Partial<ArrangeLot>, lossAt: readonly number[], months = 2): ArrangeLot => ({
    code,
    kg: 10,
    kgThen: [10, 5],
    at: 0,
    gives: false,
    smells: false,
    takesSmell: false,
    gasKg: lossAt.map(() => [0, 0]),
    ways: waysThrough(
      months,
      lossAt.map((_, p) => p),
      over.at ?? 0,
    ).map((way) => ({ ...way, lossKg: way.places.reduce((sum, p) => sum + lossAt[p]!, 0) })),
    ...over,
  })

  it('carries apples away from potatoes that feel their gas, whichever is less to carry', () => {
    const problem: ArrangeProblem = {
      months: 2,
      places: [
        { id: 'cellar', holdsKg: null },
        { id: 'loft', holdsKg: null },
      ],
      lots: [
        lot('A', { gives: true }, [0.5, 0.6]),
        lot(
          'P',
          {
            gasKg: [
              [2, 2],
              [2, 2],
            ],
          },
          [0.2, 3],
        ),
      ],
    }
    const { moves, lostStayingKg, lostArrangedKg } = arrangementOf(problem, solve(problem))
    expect(moves).toEqual([{ code: 'A', from: 0, to: 1, inMonths: 0, savesKg: expect.closeTo(3.8, 3) as number }])
    expect(lostStayingKg).toBeCloseTo(5.4, 3)
    expect(lostArrangedKg).toBeCloseTo(1.6, 3)
  })
  it('proposes nothing that saves less than it is to carry, and nothing more into what is full', () => {
    const places = [
      { id: 'cellar', holdsKg: null },
      { id: 'fridge', holdsKg: 12 },
    ]
    const little = { months: 2, places, lots: [lot('A', {}, [0.1, 0])] }
    expect(arrangementOf(little, solve(little)).moves).toEqual([])
    const both = { months: 2, places, lots: [lot('A', {}, [3, 0]), lot('B', {}, [2, 0])] }
    const carried = arrangementOf(both, solve(both)).moves
    // one now; the other when half of the first is eaten
    expect(carried.map(({ code, inMonths }) => [code, inMonths])).toEqual([
      ['A', 0],
      ['B', 1],
    ])
  })
  it('keeps, of many ways, to stay, the best, and one to every place', () => {
    const ways = waysThrough(6, [0, 1, 2, 3, 4, 5, 6, 7], 0).map((way, i) => ({ ...way, lossKg: i % 17 }))
    const kept = bestWays(ways, 10)
    expect(kept[0]!.moves).toBe(0)
    expect(kept.length).toBeLessThan(30)
    expect(new Set(kept.map(({ places }) => places.at(-1))).size).toBe(8)
  })
})
