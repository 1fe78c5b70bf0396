import { moveCostKg } from '../assumptions'
import { costOf, costOfStaying, type ArrangeProblem, type Choice } from './problem'

/** One carry: what it saves against leaving that lot where it is, all else as arranged. */
export interface ArrangedMove {
  code: string
  /** place numbers */
  from: number
  to: number
  /** 0 is now */
  inMonths: number
  /** of the lot's whole way, kg; the first of its moves says it */
  savesKg: number
}

export interface Arrangement {
  moves: ArrangedMove[]
  /** expected to be lost within the months: left as it is, and so arranged, kg */
  lostStayingKg: number
  lostArrangedKg: number
}

/** An arrangement as the moves it takes, those that save most first. */
export function arrangementOf(problem: ArrangeProblem, choice: Choice): Arrangement {
  const carrying = (of: Choice) => of.reduce((sum, k, l) => sum + moveCostKg * problem.lots[l]!.ways[k]!.moves, 0)
  const cost = costOf(problem, choice)!
  const moves = problem.lots.flatMap((lot, l): ArrangedMove[] => {
    const { places, moves: carried } = lot.ways[choice[l]!]!
    if (carried === 0) return []
    const without = costOf(
      problem,
      choice.map((k, i) => (i === l ? 0 : k)),
    )
    const savesKg = without === undefined ? 0 : without - cost + moveCostKg * carried
    return places.flatMap((to, m): ArrangedMove[] => {
      const from = m === 0 ? lot.at : places[m - 1]!
      return to === from ? [] : [{ code: lot.code, from, to, inMonths: m, savesKg }]
    })
  })
  const order = new Map<string, number>()
  for (const move of moves) order.set(move.code, Math.max(order.get(move.code) ?? -Infinity, move.savesKg))
  return {
    moves: moves.sort((a, b) => order.get(b.code)! - order.get(a.code)! || a.inMonths - b.inMonths),
    lostStayingKg: costOfStaying(problem),
    lostArrangedKg: cost - carrying(choice),
  }
}
