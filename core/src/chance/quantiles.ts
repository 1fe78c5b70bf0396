/** Three points of a spread: 1 in 10 lies below p10, half below p50, 9 in 10 below p90. */
export interface Spread<T = number> {
  p10: T
  p50: T
  p90: T
}

/**
 * Quantiles of weighted values.
 * @param values in any order; Infinity allowed
 * @param weights not negative, same length, not all zero
 * @param shares quantiles wanted, 0…1
 * @example weightedQuantiles([1, 2, 3], [1, 1, 2], [0.5]) // [2]
 */
export function weightedQuantiles(values: ArrayLike<number>, weights: ArrayLike<number>, shares: number[]): number[] {
  const order = Array.from({ length: values.length }, (_, i) => i).sort((a, b) => values[a]! - values[b]!)
  let total = 0
  for (const i of order) total += weights[i]!
  return shares.map((share) => {
    let below = 0
    for (const i of order) {
      below += weights[i]!
      if (below >= share * total - 1e-12) return values[i]!
    }
    return values[order[order.length - 1]!]!
  })
}

export function weightedSpread(values: ArrayLike<number>, weights: ArrayLike<number>): Spread {
  const [p10, p50, p90] = weightedQuantiles(values, weights, [0.1, 0.5, 0.9]) as [number, number, number]
  return { p10, p50, p90 }
}

/**
 * Spread of weighted values that stand for what lies about them: straight between their middles, so that a coarse grid
 * gives no steps.
 * @param values finite, in any order
 */
export function gridSpread(values: ArrayLike<number>, weights: ArrayLike<number>): Spread {
  const order = Array.from({ length: values.length }, (_, i) => i)
    .filter((i) => weights[i]! > 0)
    .sort((a, b) => values[a]! - values[b]!)
  const total = order.reduce((sum, i) => sum + weights[i]!, 0)
  const at = (share: number) => {
    let below = 0
    let [lastMiddle, last] = [0, values[order[0]!]!]
    for (const i of order) {
      const middle = (below + weights[i]! / 2) / total
      if (middle >= share) {
        const part = middle > lastMiddle ? (share - lastMiddle) / (middle - lastMiddle) : 1
        return last + part * (values[i]! - last)
      }
      below += weights[i]!
      ;[lastMiddle, last] = [middle, values[i]!]
    }
    return last
  }
  return { p10: at(0.1), p50: at(0.5), p90: at(0.9) }
}

export const mapSpread = <A, B>(spread: Spread<A>, f: (value: A) => B): Spread<B> => ({
  p10: f(spread.p10),
  p50: f(spread.p50),
  p90: f(spread.p90),
})
