import { arrangementOf, choiceFrom, programmeOf, type Arrangement, type ArrangeProblem } from '@vadose/core/arrange'
import { expose } from 'comlink'
import load from 'highs'
import runtime from 'highs/runtime?url'
import { say } from './say'

/** good enough: nobody carries crates for the last half per cent */
const gap = 0.005
const mostSeconds = 9

export type Solved = { arrangement: Arrangement } | { refusal: string }

const arranger = {
  /** @param says how far it is, in a few words */
  async solve(problem: ArrangeProblem, says: (what: string) => void): Promise<Solved> {
    const ways = problem.lots.reduce((sum, lot) => sum + lot.ways.length, 0)
    says(say('weighingWaysOfLots', { ways, lots: problem.lots.length }))
    const solver = await load({ locateFile: () => runtime })
    const { Status, Columns } = solver.solve(programmeOf(problem), { mip_rel_gap: gap, time_limit: mostSeconds })
    if (!Object.keys(Columns).length || (Status !== 'Optimal' && Status !== 'Time limit reached')) {
      return { refusal: say('theSolverFoundNoArrangement', { Status }) }
    }
    return { arrangement: arrangementOf(problem, choiceFrom(problem, Columns as Record<string, { Primal: number }>)) }
  },
}
export type Arranger = typeof arranger
expose(arranger)
