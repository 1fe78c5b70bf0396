import { moveCostKg } from '../assumptions'
import type { Way } from './problem'

/**
 * All ways of a lot through the months with at most two moves: it stays; goes now or later; goes now and on later.
 * @param open places it may lie in; where it is belongs to them
 */
export function waysThrough(
  months: number,
  open: readonly number[],
  at: number,
): { places: number[]; moves: number }[] {
  const ways = [{ places: Array.from({ length: months }, () => at), moves: 0 }]
  const others = open.filter((p) => p !== at)
  const path = (...legs: [place: number, from: number][]) =>
    Array.from({ length: months }, (_, m) => legs.filter(([, from]) => from <= m).at(-1)?.[0] ?? at)
  for (const to of others) {
    for (let from = 0; from < months; from++) ways.push({ places: path([to, from]), moves: 1 })
    for (const then of open) {
      if (then === to) continue
      for (let from = 1; from < months; from++) ways.push({ places: path([to, 0], [then, from]), moves: 2 })
    }
  }
  return ways
}

/** so many of the best are enough: the rest would be taken only where all of these are full */
const mostWays = 36

/**
 * The ways worth looking at: to stay, the best ones, and for every place the best that begins there or ends there, so that
 * there is a way round a full one.
 */
export function bestWays(ways: readonly Way[], most = mostWays): Way[] {
  const [stay, ...others] = ways
  const sorted = others.sort((a, b) => a.lossKg + moveCostKg * a.moves - (b.lossKg + moveCostKg * b.moves))
  const kept = new Set(sorted.slice(0, most))
  const seen = new Set<string>()
  for (const way of sorted) {
    for (const key of [`first ${way.places[0]}`, `last ${way.places.at(-1)}`]) {
      if (seen.has(key)) continue
      seen.add(key)
      kept.add(way)
    }
  }
  return [stay!, ...sorted.filter((way) => kept.has(way))]
}
