import type { calculators, CalculatorName, CropLookup, Progress } from '@vadose/core/worksheets'
import type { Drawing } from './drawing'

type Of<N extends CalculatorName> = (typeof calculators)[N]
/** Draws one calculator's answer from what was asked and answered. */
export type Draw<N extends CalculatorName> = (
  input: Parameters<Of<N>>[0],
  answer: ReturnType<Of<N>>,
  cropOf: CropLookup,
  progress: Progress,
) => Drawing
/** Drawings of some of the calculators. */
export type Drawings<N extends CalculatorName> = { [K in N]: Draw<K> }

/** Evenly spaced values from one end to the other, `n` + 1 of them. */
export const steps = (from: number, to: number, n = 60): number[] =>
  Array.from({ length: n + 1 }, (_, i) => from + ((to - from) * i) / n)

/** A value where the model has one; points it refuses are left out of a curve. */
export function line(xs: readonly number[], f: (x: number) => number): [number, number][] {
  const points: [number, number][] = []
  for (const x of xs) {
    try {
      const y = f(x)
      if (Number.isFinite(y)) points.push([x, y])
    } catch {
      // outside the model's range
    }
  }
  return points
}
