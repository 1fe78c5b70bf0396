import { area, curveLinear, curveMonotoneX, line } from 'd3-shape'

type Of<T> = (point: T) => number

/** The line of a chart through its points; smooth where what is drawn has no corners. */
export const linePath = <T>(points: readonly T[], x: Of<T>, y: Of<T>, smooth = false): string =>
  line<T>(x, y).curve(smooth ? curveMonotoneX : curveLinear)(points) ?? ''

/** The band of a chart from one height to another. */
export const bandPath = <T>(points: readonly T[], x: Of<T>, from: Of<T>, to: Of<T>, smooth = false): string =>
  area<T>(x, from, to).curve(smooth ? curveMonotoneX : curveLinear)(points) ?? ''
