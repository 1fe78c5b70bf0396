import type { Pieces } from '@vadose/core/pieces'

/** longest a household's forecasts hold the event loop at a stretch, ms */
const stretchMs = 5

/** Lets requests in between two pieces of work, where it has gone on for a stretch. */
export function breather(): () => Promise<void> {
  let began = performance.now()
  return async () => {
    if (performance.now() - began < stretchMs) return
    // after the next but one: the first comes yet before what waits at the door, where an answer of the database set this going
    await turn()
    await turn()
    began = performance.now()
  }
}

/** Lets everybody else go first. */
export const turn = () => new Promise((resolve) => setImmediate(resolve))

/** One piece of work after the other, to the end. */
export async function inTurn<T>(pieces: Pieces<T>, breathe: () => Promise<void>): Promise<T> {
  for (;;) {
    const { done, value } = pieces.next()
    if (done) return value
    await breathe()
  }
}
