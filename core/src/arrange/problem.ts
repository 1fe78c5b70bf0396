import { moveCostKg, smellShare } from '../assumptions'
/** A place of the house as far as an arrangement goes. */
export interface ArrangePlace {
  id: string
  /** what there is room for, kg; null where nobody minds */
  holdsKg: number | null
}

/** A way for a lot through the months: where it lies in each, by place number. */
export interface Way {
  places: readonly number[]
  /** expected to be lost of it on the way before it is eaten, kg, if nobody gives off gas */
  lossKg: number
  moves: number
}

export interface ArrangeLot {
  code: string
  kg: number
  /** kilos still there in each month, as it is eaten */
  kgThen: readonly number[]
  /** where it lies now, by place number */
  at: number
  /** gives off so much ripening gas that others feel it */
  gives: boolean
  /** gives its smell to fruit; takes on a smell */
  smells: boolean
  takesSmell: boolean
  /** more of it is lost in a month in which it lies beside one that gives off gas: by place and month, kg */
  gasKg: readonly (readonly number[])[]
  /** to stay is the first of them */
  ways: readonly Way[]
}

export interface ArrangeProblem {
  months: number
  places: readonly ArrangePlace[]
  lots: readonly ArrangeLot[]
}

/** The way a lot goes by its number among its ways. */
export type Choice = readonly number[]

/**
 * What an arrangement costs, kg: what is lost, and the trouble of the moves.
 * @returns undefined where a place would have to hold more than it does
 */
export function costOf({ months, places, lots }: ArrangeProblem, choice: Choice): number | undefined {
  let cost = 0
  const ways = lots.map((lot, l) => lot.ways[choice[l]!]!)
  for (let m = 0; m < months; m++) {
    for (let p = 0; p < places.length; p++) {
      const here = lots.flatMap((lot, l) => (ways[l]!.places[m] === p ? [lot] : []))
      const { holdsKg } = places[p]!
      if (holdsKg !== null && here.reduce((sum, lot) => sum + lot.kgThen[m]!, 0) > roomIn(holdsKg, lots, p, m))
        return undefined
      if (here.some(({ gives }) => gives)) for (const lot of here) cost += lot.gives ? 0 : lot.gasKg[p]![m]!
      if (here.some(({ smells }) => smells)) {
        for (const lot of here) cost += lot.takesSmell ? smellShare * lot.kgThen[m]! : 0
      }
    }
  }
  return cost + ways.reduce((sum, way) => sum + way.lossKg + moveCostKg * way.moves, 0)
}

/** What lies there now goes on fitting, whatever was said of the room: nothing has to be carried out. */
export const roomIn = (holdsKg: number, lots: readonly ArrangeLot[], place: number, month: number): number =>
  Math.max(
    holdsKg,
    lots.reduce((sum, lot) => sum + (lot.at === place ? lot.kgThen[month]! : 0), 0),
  ) + 1e-6

/** Cost of leaving everything where it is, kg. */
export const costOfStaying = (problem: ArrangeProblem): number =>
  costOf(
    problem,
    problem.lots.map(() => 0),
  )!
