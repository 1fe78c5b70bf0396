/** Times two pieces of work in turn, A B A B …, so that a drifting machine slows both. */
export async function inTurn(
  a: () => Promise<number> | number,
  b: () => Promise<number> | number,
  rounds: number,
): Promise<{ a: number; b: number; ratio: number; spread: [number, number] }> {
  const ratios: number[] = []
  const as: number[] = []
  const bs: number[] = []
  for (let i = 0; i < rounds; i++) {
    const ta = await a()
    const tb = await b()
    as.push(ta)
    bs.push(tb)
    ratios.push(ta / tb)
  }
  const sorted = (list: number[]) => [...list].sort((x, y) => x - y)
  const median = (list: number[]) => sorted(list)[Math.floor(list.length / 2)]!
  const ordered = sorted(ratios)
  return { a: median(as), b: median(bs), ratio: median(ratios), spread: [ordered[0]!, ordered.at(-1)!] }
}
