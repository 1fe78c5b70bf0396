/**
 * A straight scale, for the small pictures of the first page: that of d3-scale brings colours and number formats with
 * it, 11 kB of JavaScript that a line of a few points has no use for.
 * @param from two values, not the same
 * @param to where they are drawn
 */
export const straight =
  ([a, b]: readonly [number, number], [c, d]: readonly [number, number]) =>
  (value: number): number =>
    b === a ? c : c + ((value - a) / (b - a)) * (d - c)
