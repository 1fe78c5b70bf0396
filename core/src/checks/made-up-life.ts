import type { LifeModel } from '../stores'

/** For tests: lots that live so many times as long, all going at an even pace of one in a hundred a day, by rot. */
export const living = (times: readonly number[], prior: readonly number[], days = 400): LifeModel => ({
  days,
  names: ['rot'],
  shapes: [1],
  hazard: [Float64Array.from({ length: days + 1 }, (_, day) => 0.01 * day)],
  scales: Float64Array.from(times),
  prior: Float64Array.from(prior),
  counts: [Float64Array.from(times, (scale) => 1 / scale)],
  usual: 0,
  driesFirst: false,
})
