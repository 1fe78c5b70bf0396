import { spreadPerWeek } from '../assumptions'
import { stream } from '../chance'
import type { Crop, Packing } from '../almanac'
import { runningShare, soundShare, steadyLife, usualPacking, type LifeModel } from '../stores'
import { requireWithin } from '../refusal'
import { nextCheckInDays } from './next-check'
import { beliefNow, noLooksYet, takeInLook, type Check } from './posterior'
import { simulateStore } from './store-simulation'

/** A state, drawn by how far it is believed in. */
export function drawState({ prior }: LifeModel, next: () => number): number {
  let left = next()
  return Math.max(
    0,
    prior.findIndex((belief) => (left -= belief) < 0),
  )
}

/** Days each piece fails on, drawn from a lot's life in one state. */
export function drawFailures(model: LifeModel, j: number, pieces: number, next: () => number): Float64Array {
  return Float64Array.from({ length: pieces }, () => {
    const u = next()
    let lo = 0
    let hi = model.days
    if (soundShare(model, hi, j) > u) return Infinity
    while (hi - lo > 0.25) {
      const mid = (lo + hi) / 2
      if (soundShare(model, mid, j) > u) lo = mid
      else hi = mid
    }
    return hi
  })
}

/**
 * Looks when the belief says: after each look, of all pieces, the belief is renewed and asked for the next day.
 * @param pieces how many there are at first
 * @param longestDays no look is put off further
 */
export function lookingByBelief(
  model: LifeModel,
  pieces: number,
  spread: number,
  bearable?: number,
  longestDays?: number,
) {
  const looks = noLooksYet(model)
  return (look: Omit<Check, 'lotSize'>): number => {
    if (look.lookedAt > 0) takeInLook(model, looks, { ...look, lotSize: look.lookedAt }, spread)
    const there = look.lookedAt > 0 ? look.lookedAt - look.bad : pieces
    return nextCheckInDays(model, beliefNow(looks), look.day, there, spread, bearable, longestDays)
  }
}

/** Simulated stores in one comparison. */
const storesCompared = 80

/** Tolerances tried, and the share by which the looks may differ to be as many. */
const mostTried = 10
const sameLooks = 0.005

/**
 * Looking by belief with as many looks as another way takes.
 * @param looks of the other way
 * @param lo the least harm that might be borne, pieces or shares as `run` takes it
 * @param hi the most
 * @param run looking by belief where so much is borne
 * @param progress told the share tried
 */
export function asManyLooks<Outcome extends { looks: number }>(
  looks: number,
  lo: number,
  hi: number,
  run: (bearable: number) => Outcome,
  progress: (share: number) => void = () => undefined,
): Outcome {
  for (let tried = 1; ; tried++) {
    const mid = Math.sqrt(lo * hi)
    const outcome = run(mid)
    const near = Math.abs(outcome.looks - looks) < sameLooks * looks
    progress(near ? 1 : tried / mostTried)
    if (near || tried === mostTried) return outcome
    if (outcome.looks > looks) lo = mid
    else hi = mid
  }
}

/**
 * How many pieces are lost by spread when looking every so many weeks, and when looking by the belief with about as
 * many looks. Each store's own life is drawn anew.
 */
export function comparePolicies(
  input: {
    crop: Crop
    temperatureC: number
    relativeHumidityPct: number
    pieces: number
    packing?: Packing
    everyWeeks: number
    seed?: number
  },
  progress: (share: number) => void = () => undefined,
) {
  const { crop, temperatureC, relativeHumidityPct, pieces, everyWeeks, seed = 1 } = input
  requireWithin(temperatureC, -1, 30, 'temperatureC', '°C')
  requireWithin(relativeHumidityPct, 20, 100, 'relativeHumidityPct', '%')
  requireWithin(pieces, 10, 500, 'pieces', 'pieces')
  requireWithin(everyWeeks, 1, 12, 'everyWeeks', 'weeks')
  const packing = input.packing ?? usualPacking(crop)
  const spread = spreadPerWeek[packing]
  const { model } = steadyLife(crop, temperatureC, relativeHumidityPct, packing)
  // followed until a third of a middling lot would have gone: nobody looks over what is nearly all gone
  let days = 14
  while (days < Math.min(420, model.days) && soundShare(model, days, model.usual) > 0.67) days++
  const stores = Array.from({ length: storesCompared }, (_, i) => {
    const next = stream(seed * 1000 + i)
    const j = drawState(model, next)
    const failsOn = drawFailures(model, j, pieces, next)
    return {
      failsOn,
      runs: Uint8Array.from(failsOn, (day) => (next() < runningShare(model, day - 1, day + 1, j) ? 1 : 0)),
      spreadPerWeek: spread,
      days,
      finds: 0.9,
      seed: seed * 7919 + i,
    }
  })
  const run = (bearable?: number) => {
    let looks = 0
    let lost = 0
    for (const store of stores) {
      const by = bearable === undefined ? () => everyWeeks * 7 : lookingByBelief(model, pieces, spread, bearable)
      const first = bearable === undefined ? everyWeeks * 7 : by({ day: 0, lookedAt: 0, bad: 0 })
      const outcome = simulateStore(store, first, by)
      looks += outcome.looks
      lost += outcome.bySpread
    }
    return { looks: looks / stores.length, lostBySpread: lost / stores.length }
  }
  const fixed = run()
  progress(0.15)
  const byBelief = asManyLooks(fixed.looks, 0.001, pieces, run, (share) => progress(0.15 + 0.85 * share))
  return {
    days,
    everyWeeks: fixed,
    byBelief,
    fewerLostPct: fixed.lostBySpread > 0 ? 100 * (1 - byBelief.lostBySpread / fixed.lostBySpread) : 0,
  }
}
