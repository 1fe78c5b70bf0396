/**
 * A seeded stream of numbers, 0…1 without 1. Mulberry32: small, quick, the same everywhere.
 * @source Mulberry32, public domain (recalled)
 */
export function stream(seed: number): () => number {
  let a = seed | 0
  return () => {
    a = (a + 0x6d2b79f5) | 0
    let t = Math.imul(a ^ (a >>> 15), 1 | a)
    t = (t + Math.imul(t ^ (t >>> 7), 61 | t)) ^ t
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296
  }
}

/** A standard normal deviate from a stream. @source Box & Muller 1958 */
export const normalDeviate = (next: () => number): number =>
  Math.sqrt(-2 * Math.log(1 - next())) * Math.cos(2 * Math.PI * next())
