import { stream } from '../chance'

/** A store of pieces side by side, each with the day it would go bad by itself. */
export interface SimulatedStore {
  /** day each piece goes bad by itself */
  failsOn: Float64Array
  /** 1 where it goes in a way that runs to its neighbours; what a neighbour spoils always does */
  runs: Uint8Array
  /** new bad neighbours a week for each bad piece left lying */
  spreadPerWeek: number
  /** days followed */
  days: number
  /** share of the bad ones a look finds */
  finds: number
  seed: number
}

/** Told of each look; answers how many days until the next. */
export type NextLook = (look: { day: number; lookedAt: number; bad: number; left: number }) => number

export interface StoreOutcome {
  looks: number
  /** pieces that went bad by themselves, and by a neighbour */
  byThemselves: number
  bySpread: number
}

/**
 * Follows a store day by day: pieces fail by themselves, bad ones infect one of the two neighbours they lie between,
 * each look takes out the bad it finds.
 * @param firstLookDay day of the first look
 */
export function simulateStore(store: SimulatedStore, firstLookDay: number, nextLook: NextLook): StoreOutcome {
  const n = store.failsOn.length
  const next = stream(store.seed)
  // 0 sound, 1 bad and running, 2 taken out, 3 spoilt today, 4 bad but harming nobody
  const state = new Uint8Array(n)
  const daily = store.spreadPerWeek / 7
  let looks = 0
  let byThemselves = 0
  let bySpread = 0
  let lookOn = firstLookDay
  for (let day = 1; day <= store.days; day++) {
    for (let i = 0; i < n; i++) {
      if (state[i] === 0 && store.failsOn[i]! <= day) {
        state[i] = store.runs[i] ? 1 : 4
        byThemselves++
      }
    }
    for (let i = 0; i < n; i++) {
      if (state[i] !== 1 || next() >= daily) continue
      const at = nearestSound(state, i, next() < 0.5 ? -1 : 1)
      if (at >= 0) {
        state[at] = 3
        bySpread++
      }
    }
    for (let i = 0; i < n; i++) if (state[i] === 3) state[i] = 1
    if (day >= lookOn) {
      let bad = 0
      let left = 0
      for (let i = 0; i < n; i++) {
        if ((state[i] === 1 || state[i] === 4) && next() < store.finds) {
          state[i] = 2
          bad++
        } else if (state[i] !== 2) left++
      }
      looks++
      lookOn = day + Math.max(1, nextLook({ day, lookedAt: left + bad, bad, left }))
    }
  }
  return { looks, byThemselves, bySpread }
}

/** The nearest sound piece in one direction, past what is bad or was taken out; at most so far as rot and mould reach. */
function nearestSound(state: Uint8Array, i: number, step: number): number {
  for (let at = i + step, hops = 0; at >= 0 && at < state.length && hops < 3; at += step, hops++) {
    if (state[at] === 0) return at
  }
  return -1
}
