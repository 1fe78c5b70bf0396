const sorted = (list: readonly number[]) => [...list].sort((x, y) => x - y)
const median = (list: readonly number[]) => sorted(list)[Math.floor(list.length / 2)]!
const p95 = (list: readonly number[]) => sorted(list)[Math.floor(list.length * 0.95)]!

/** What two pieces of work took, round by round, against each other. */
interface Compared {
  a: number
  b: number
  ratio: number
  spread: [number, number]
}

function compared(as: readonly number[], bs: readonly number[]): Compared {
  const ratios = as.map((a, i) => a / bs[i]!)
  const ordered = sorted(ratios)
  return { a: median(as), b: median(bs), ratio: median(ratios), spread: [ordered[0]!, ordered.at(-1)!] }
}

type Timed = () => Promise<number> | number

/** Times two pieces of work in turn, A B A B …, so that a drifting machine slows both. */
export async function inTurn(a: Timed, b: Timed, rounds: number): Promise<Compared> {
  const [as, bs]: [number[], number[]] = [[], []]
  for (let i = 0; i < rounds; i++) {
    as.push(await a())
    bs.push(await b())
  }
  return compared(as, bs)
}

/** The same of what nineteen in twenty shots of a round stay under. */
export async function p95InTurn(a: Timed, b: Timed, shots: number, rounds: number): Promise<Compared> {
  const [as, bs]: [number[], number[]] = [[], []]
  for (let round = 0; round < rounds; round++) {
    const [ours, theirs]: [number[], number[]] = [[], []]
    for (let i = 0; i < shots; i++) {
      ours.push(await a())
      theirs.push(await b())
    }
    as.push(p95(ours))
    bs.push(p95(theirs))
  }
  return compared(as, bs)
}
