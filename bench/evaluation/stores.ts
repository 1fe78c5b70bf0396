import { airSeries } from '@vadose/core/air'
import { normalDeviate, stream } from '@vadose/core/chance'
import { beliefAfterChecks, lookingByBelief, simulateStore, type Check, type SimulatedStore } from '@vadose/core/checks'
import { weightedQuantiles } from '@vadose/core/chance'
import { cropById } from '@vadose/core/almanac'
import { lotLife, runningShare, spreadPerWeek, type LifeModel } from '@vadose/core/stores'

const crops = ['garlic-hardneck', 'onion-storing', 'potato-maincrop', 'apple-late', 'carrot', 'squash-butternut'].map(
  cropById,
)

interface Case {
  model: LifeModel
  store: SimulatedStore
  pieces: number
  bookSpread: number
  /** by how much this lot lives longer than the model's middle */
  trueScale: number
}

/**
 * One store whose truth is not the model's: each piece has a frailty of its own (gamma, not the model's Weibull alone),
 * the place drifts through the winter, the spread differs from the book's, a look misses one bad one in eight.
 */
export function oneStore(seed: number): Case {
  const next = stream(seed * 48271)
  const crop = crops[seed % crops.length]!
  const pieces = Math.round(60 + 140 * next())
  const pack = crop.packs[0]!.id
  const base = crop.keeping.bestTemperatureC.value[1] + 6 * next()
  const damp = Math.min(94, crop.keeping.bestHumidityPct.value[0] + 8 * (next() - 0.5))
  const hours = 24 * 460
  const wander = (i: number) => base + 2 * Math.sin((2 * Math.PI * i) / (24 * 180)) + 0.8 * Math.sin(i / 3.8)
  const air = airSeries(
    0,
    Float64Array.from({ length: hours }, (_, i) => wander(i)),
    new Float64Array(hours).fill(damp),
  )
  const { model } = lotLife(crop, air, pack)
  const trueScale = Math.exp(0.27 * normalDeviate(next))
  // total hazard in a middling lot by day, and its inverse for each piece's own threshold
  const total = Float64Array.from({ length: model.days + 1 }, (_, day) => {
    let sum = 0
    for (let i = 0; i < model.hazard.length; i++) sum += model.hazard[i]![day]! * trueScale ** -model.shapes[i]!
    return sum
  })
  const failsOn = Float64Array.from({ length: pieces }, () => {
    const frailty = gammaAboutOne(next, 6)
    const threshold = -Math.log(1 - next()) / frailty
    const day = total.findIndex((h) => h >= threshold)
    return day < 0 ? Infinity : day
  })
  // a winter, or until half of it would have gone by itself: then there is nothing left to look over
  const nearest = model.scales.reduce(
    (best, s, at) => (Math.abs(s - trueScale) < Math.abs(model.scales[best]! - trueScale) ? at : best),
    0,
  )
  // what rots runs to its neighbours, what sprouts does not
  const runs = Uint8Array.from(failsOn, (day) => (next() < runningShare(model, day - 1, day + 1, nearest) ? 1 : 0))
  let days = 30
  const gone = (day: number) => failsOn.reduce((sum, f) => sum + (f <= day ? 1 : 0), 0) / pieces
  while (days < 240 && gone(days) < 0.5) days++
  const spread = spreadPerWeek[pack] * Math.exp(0.3 * normalDeviate(next))
  return {
    model,
    pieces,
    trueScale,
    bookSpread: spreadPerWeek[pack],
    store: { failsOn, runs, spreadPerWeek: spread, days, finds: 0.875, seed: seed * 7919 },
  }
}

/** Gamma with mean 1 and the given shape, a whole number, as a sum of exponentials. */
function gammaAboutOne(next: () => number, shape: number): number {
  let sum = 0
  for (let i = 0; i < shape; i++) sum -= Math.log(1 - next())
  return sum / shape
}

export interface StoreScore {
  stores: number
  everyWeeks: number
  looksFixed: number
  looksByBelief: number
  lostFixed: number
  lostByBelief: number
  fewerLostPct: number
  coveredPct: number
}

/** Same stores, looked over every n weeks and by the belief, at the tolerance at which both take as many looks. */
export function scoreStores(count: number, everyWeeks = 3, say: (line: string) => void = () => undefined): StoreScore {
  const cases = Array.from({ length: count }, (_, i) => oneStore(i + 1))
  let covered = 0
  let counted = 0
  const fixed = { looks: 0, lost: 0 }
  for (const { model, store, trueScale, bookSpread } of cases) {
    const checks: Check[] = []
    const outcome = simulateStore(store, everyWeeks * 7, (look) => {
      checks.push({ ...look, lotSize: look.lookedAt })
      return everyWeeks * 7
    })
    fixed.looks += outcome.looks
    fixed.lost += outcome.bySpread
    // looked over half way through: is the truth in the belief's 8 in 10
    const half = checks.filter((c) => c.day <= store.days / 2)
    const belief = beliefAfterChecks(model, half, half.at(-1)?.day ?? 0, bookSpread)
    const [lo, hi] = weightedQuantiles(model.scales, belief.weights, [0.1, 0.9]) as [number, number]
    counted++
    if (lo <= trueScale && trueScale <= hi) covered++
  }
  const run = (bearableShare: number) => {
    let looks = 0
    let lost = 0
    for (const { model, store, pieces, bookSpread } of cases) {
      const next = lookingByBelief(model, pieces, bookSpread, bearableShare * pieces)
      const outcome = simulateStore(store, next({ day: 0, lookedAt: 0, bad: 0 }), next)
      looks += outcome.looks
      lost += outcome.bySpread
    }
    return { looks, lost }
  }
  let lo = 0.0005
  let hi = 20
  let belief = run(Math.sqrt(lo * hi))
  for (let i = 0; i < 10; i++) {
    const mid = Math.sqrt(lo * hi)
    belief = run(mid)
    say(`  tolerance ${(100 * mid).toFixed(2)} %: ${(belief.looks / count).toFixed(2)} looks a store`)
    if (belief.looks > fixed.looks) lo = mid
    else hi = mid
  }
  return {
    stores: count,
    everyWeeks,
    looksFixed: fixed.looks / count,
    looksByBelief: belief.looks / count,
    lostFixed: fixed.lost / count,
    lostByBelief: belief.lost / count,
    fewerLostPct: 100 * (1 - belief.lost / fixed.lost),
    coveredPct: (100 * covered) / counted,
  }
}
