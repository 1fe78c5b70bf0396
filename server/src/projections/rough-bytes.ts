import type { Known } from './known'

// as measured on a household of ten years: 150 lots in eight places take about 37 MB, objects and figures together
/** A lot's exposures, belief and what is worked out from them: eight ends by day over a year or more, kept as doubles. */
const lotBytes = 210_000
/** An hour of a place: two 32-bit floats measured. */
const hourBytes = 8
/** What is expected of a place, hour by hour for more than a year. */
const placeBytes = 500_000

/** About how much memory a household takes that is kept worked out. */
export function roughBytes({ lots, measured }: Pick<Known, 'lots' | 'measured'>): number {
  let hours = 0
  for (const { record } of measured.values()) hours += record?.temperatureC.length ?? 0
  return lots.size * lotBytes + measured.size * placeBytes + hours * hourBytes
}
