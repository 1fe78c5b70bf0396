import type { Known } from './known'

/** A lot's exposures, belief and what is worked out from them: eight ends by day over a year or more, kept as doubles. */
const lotBytes = 60_000
/** An hour of a place: two 32-bit floats measured, and what is expected of it. */
const hourBytes = 24

/** About how much memory a household takes that is kept worked out. */
export function roughBytes({ lots, measured }: Pick<Known, 'lots' | 'measured'>): number {
  let hours = 0
  for (const { record } of measured.values()) hours += record?.temperatureC.length ?? 0
  return lots.size * lotBytes + hours * hourBytes
}
