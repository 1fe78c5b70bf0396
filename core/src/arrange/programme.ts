import { moveCostKg, smellShare } from '../assumptions'
import { roomIn, type ArrangeProblem, type Choice } from './problem'

/** Figures as the LP format takes them. */
const num = (x: number) => Number(x.toFixed(7)).toString()
const sum = (terms: readonly string[]) => (terms.length === 0 ? '0 nothing' : terms.join(' + '))

/**
 * An arrangement as a mixed-integer programme in CPLEX LP format: z picks one way for each lot, e says that something in a
 * place gives off gas in a month (s: a smell), w that a lot lies beside it then.
 * @source the usual linearisation of a product of two 0–1 variables: w ≥ x + e − 1
 */
export function programmeOf({ months, places, lots }: ArrangeProblem): string {
  const costs: string[] = []
  const rows: string[] = []
  const binaries: string[] = []
  const z = (l: number, k: number) => `z${l}_${k}`
  lots.forEach((lot, l) => {
    lot.ways.forEach((way, k) => {
      costs.push(`${num(way.lossKg + moveCostKg * way.moves)} ${z(l, k)}`)
      binaries.push(z(l, k))
    })
    rows.push(`one${l}: ${sum(lot.ways.map((_, k) => z(l, k)))} = 1`)
  })
  /** ways of a lot that lead through a place in a month */
  const through = (l: number, p: number, m: number) =>
    lots[l]!.ways.flatMap((way, k) => (way.places[m] === p ? [z(l, k)] : []))
  for (let m = 0; m < months; m++) {
    for (let p = 0; p < places.length; p++) {
      const { holdsKg } = places[p]!
      if (holdsKg !== null) {
        const heavy = lots.flatMap((lot, l) => through(l, p, m).map((v) => `${num(lot.kgThen[m]!)} ${v}`))
        if (heavy.length > 0) rows.push(`room${p}_${m}: ${sum(heavy)} <= ${num(roomIn(holdsKg, lots, p, m))}`)
      }
      beside(
        'e',
        ({ gives }) => gives,
        (lot) => (lot.gives ? 0 : lot.gasKg[p]![m]!),
      )
      beside(
        's',
        ({ smells }) => smells,
        (lot) => (lot.takesSmell ? smellShare * lot.kgThen[m]! : 0),
      )

      /** what costs a lot something while another of a kind lies beside it */
      function beside(
        name: 'e' | 's',
        gives: (lot: (typeof lots)[number]) => boolean,
        costKg: (lot: (typeof lots)[number]) => number,
      ) {
        const givers = lots
          .flatMap((lot, l) => (gives(lot) ? [through(l, p, m)] : []))
          .filter((ways) => ways.length > 0)
        const felt = lots.flatMap((lot, l) => {
          const cost = costKg(lot)
          const ways = through(l, p, m)
          return cost > 1e-6 && ways.length > 0 ? [{ l, cost, ways }] : []
        })
        if (givers.length === 0 || felt.length === 0) return
        const there = `${name}${p}_${m}`
        binaries.push(there)
        for (const [i, ways] of givers.entries()) rows.push(`${there}_${i}: ${there} - ${ways.join(' - ')} >= 0`)
        for (const { l, cost, ways } of felt) {
          const w = `w${name}${l}_${p}_${m}`
          costs.push(`${num(cost)} ${w}`)
          rows.push(`${w}_: ${w} - ${ways.join(' - ')} - ${there} >= -1`)
        }
      }
    }
  }
  return `Minimize\n cost: ${sum(costs)}\nSubject To\n ${rows.join('\n ')}\nBounds\n nothing = 0\nBinary\n ${binaries.join('\n ')}\nEnd\n`
}

/** The way each lot goes, from the solver's columns. */
export const choiceFrom = (
  { lots }: ArrangeProblem,
  columns: Readonly<Record<string, { Primal: number } | undefined>>,
): Choice =>
  lots.map((lot, l) => {
    const values = lot.ways.map((_, k) => columns[`z${l}_${k}`]?.Primal ?? 0)
    return values.indexOf(Math.max(...values))
  })
