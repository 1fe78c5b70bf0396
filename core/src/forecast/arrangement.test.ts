import load from 'highs'
import { describe, expect, it } from 'vitest'
import { arrangementOf, choiceFrom, programmeOf } from '../arrange'
import { arrangementProblem, type LotState } from './index'
import { houseOn, stored } from './made-up-house'

describe('the best arrangement of a house', () => {
  const highs = load()
  const arranged = async (lots: LotState[]) => {
    const house = houseOn('2026-10-02', lots)
    const { problem, places: open } = arrangementProblem(house)
    const { Status, Columns } = (await highs).solve(programmeOf(problem))
    expect(Status).toBe('Optimal')
    const choice = choiceFrom(problem, Columns as Record<string, { Primal: number }>)
    const { moves, ...lost } = arrangementOf(problem, choice)
    return { ...lost, moves: moves.map((move) => ({ ...move, from: open[move.from]!.id, to: open[move.to]!.id })) }
  }
  it('carries roots from a warm room to the cellar, and leaves what lies well (common practice, no source)', async () => {
    const { moves, lostStayingKg, lostArrangedKg } = await arranged([
      stored('C26-1', 'carrot', '2026-09-30', 'room', 20_000),
      stored('P26-1', 'potato-maincrop', '2026-09-30', 'cellar', 40_000),
      stored('Q26-1', 'squash-butternut', '2026-09-30', 'cool-room', 20_000, 12),
    ])
    expect(moves.find(({ code }) => code === 'C26-1')).toMatchObject({ from: 'room', to: 'cellar', inMonths: 0 })
    expect(moves.filter(({ code, inMonths }) => code === 'P26-1' && inMonths === 0)).toEqual([])
    expect(lostArrangedKg).toBeLessThan(0.87 * lostStayingKg)
  })
  it('parts apples and potatoes that lie together', async () => {
    const { moves } = await arranged([
      stored('A26-1', 'apple-late', '2026-09-30', 'cellar', 60_000, 400),
      stored('C26-1', 'carrot', '2026-09-30', 'cellar', 25_000),
    ])
    expect(moves.length).toBeGreaterThan(0)
  })
})
