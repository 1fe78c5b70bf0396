import { spreadPerWeek } from '@vadose/core/assumptions'
import { airSeries } from '@vadose/core/air'
import { cropById } from '@vadose/core/almanac'
import { normalDeviate, stream } from '@vadose/core/chance'
import { drawFailures, drawState } from '@vadose/core/checks'
import { agesByDay, keepingForecast, lifeModel, runningShare, type LifeModel } from '@vadose/core/stores'

/** What is true of stores in a world; the belief knows nothing of it. */
export const worlds = {
  own: 'as the model says',
  culls: 'few early culls, late common ageing',
  half: 'lives half as long',
  twice: 'lives twice as long',
  flat: 'Weibull shape 1.5',
  spread: 'spread that differs by packing',
} as const
export type World = keyof typeof worlds

const crops = ['garlic-hardneck', 'onion-storing', 'potato-maincrop', 'apple-late', 'carrot', 'squash-butternut'].map(
  cropById,
)

/** A store and the model that is looked at it with. */
export interface WorldStore {
  /** how far each end has come, by day, and the model those make */
  ages: Float64Array[]
  model: LifeModel
  bookSpread: number
  /** the state of the model its life was drawn in; in the worlds that are not the model's it has none */
  state?: number
  /** day each piece fails by itself, and whether it runs then */
  failsOn: Float64Array
  runs: Uint8Array
  /** what a running one does, new bad ones a week, and how long it runs, days */
  spreadPerWeek: number
  runsFor: number
  /** share of the bad ones a look finds */
  finds: number
  days: number
  seed: number
}

/** Gamma with mean 1 and the given shape, a whole number, as a sum of exponentials. */
function gammaAboutOne(next: () => number, shape: number): number {
  let sum = 0
  for (let i = 0; i < shape; i++) sum -= Math.log(1 - next())
  return sum / shape
}

/** Days on which a lot with this model's common clock fails, in a world. */
function failures(
  world: Exclude<World, 'own' | 'spread'>,
  model: LifeModel,
  spread: number,
  pieces: number,
  next: () => number,
): Float64Array {
  // when a tenth of a usual lot has gone is all that a world shares with the model
  const tenth = keepingForecast(model, new Float64Array(model.days + 1), 0, undefined, spread).nineInTenDay.p50
  const lot = Math.exp(0.27 * normalDeviate(next))
  const scale = { half: 0.5, twice: 2, culls: 1.15, flat: 1 }[world] * lot
  const shape = world === 'flat' ? 1.5 : 4
  const middle = tenth * scale * (Math.LN2 / -Math.log(0.9)) ** (1 / shape)
  const culls = world === 'culls' ? 0.02 + 0.1 * next() : 0.01
  return Float64Array.from({ length: pieces }, () => {
    // hurt ones go within weeks, whatever keeps the others
    if (next() < culls) return 18 * Math.exp(0.6 * normalDeviate(next))
    const frailty = gammaAboutOne(next, 6)
    return middle * (-Math.log(1 - next()) / Math.LN2 / frailty) ** (1 / shape)
  })
}

/**
 * One store of a world: each piece has a frailty of its own, the place drifts through the winter, the spread is not the
 * book's, a look misses one bad one in eight.
 */
export function worldStore(world: World, seed: number): WorldStore {
  const next = stream(seed * 48271 + Object.keys(worlds).indexOf(world) * 7)
  const crop = crops[seed % crops.length]!
  const pieces = Math.round(60 + 140 * next())
  const pack = crop.packs[0]!.id
  // never near frost, which is another story
  const base = Math.max(3.5, crop.keeping.bestTemperatureC.value[1]) + 6 * next()
  const damp = Math.min(94, crop.keeping.bestHumidityPct.value[0] + 8 * (next() - 0.5))
  const hours = 24 * 460
  const wander = (i: number) => base + 2 * Math.sin((2 * Math.PI * i) / (24 * 180)) + 0.8 * Math.sin(i / 3.8)
  const air = airSeries(
    0,
    Float64Array.from({ length: hours }, (_, i) => wander(i)),
    new Float64Array(hours).fill(damp),
  )
  const { ages } = agesByDay(crop, air, pack)
  const model = lifeModel(ages)
  const state = world === 'own' || world === 'spread' ? drawState(model, next) : undefined
  const failsOn =
    world === 'own' || world === 'spread'
      ? drawFailures(model, state!, pieces, next)
      : failures(world, model, spreadPerWeek[pack], pieces, next)
  // what rots runs to its neighbours, what sprouts does not; what goes in the first weeks has rotted
  const runs = Uint8Array.from(failsOn, (day) =>
    day < 45 || next() < runningShare(model, Math.min(day, 400) - 1, Math.min(day, 400) + 1, model.usual) ? 1 : 0,
  )
  let days = 30
  const gone = (day: number) => failsOn.reduce((sum, f) => sum + (f <= day ? 1 : 0), 0) / pieces
  while (days < 240 && gone(days) < 0.5) days++
  const differs = world === 'spread' ? [0.3, 2.5][Number(next() < 0.5)]! : 1
  return {
    ages,
    model,
    ...(state === undefined ? {} : { state }),
    failsOn,
    runs,
    bookSpread: spreadPerWeek[pack],
    spreadPerWeek: spreadPerWeek[pack] * differs * Math.exp(0.3 * normalDeviate(next)),
    runsFor: world === 'spread' ? 10 + 20 * next() : 20,
    finds: 0.875,
    days,
    seed: seed * 7919,
  }
}

/** What a look finds, by kind. */
export interface Look {
  day: number
  lookedAt: number
  bad: number
  running: number
}

export interface StoreEnd {
  looks: number
  bySpread: number
  /** day on which nine in ten of what was there on `fromDay` were left; the last day where they always were */
  nineInTenDay: number
}

/**
 * Follows a store day by day, pieces lying in a square heap: each running one infects one of its four neighbours now and
 * then, and dries up after a while.
 * @param next days until the next look
 * @param until looks on later days are left out; from then on it lies untouched, as long as its pieces live
 */
export function liveThrough(
  store: WorldStore,
  first: number,
  next: (look: Look) => number,
  until = Infinity,
): StoreEnd {
  const n = store.failsOn.length
  const wide = Math.ceil(Math.sqrt(n))
  const chance = stream(store.seed)
  const badSince = new Float64Array(n).fill(-1)
  const ran = new Uint8Array(n)
  const out = new Uint8Array(n)
  let [looks, bySpread, lookOn, there, fromDay, nineInTenDay] = [0, 0, first, n, 0, -1]
  const last = Number.isFinite(until) ? 460 : store.days
  for (let day = 1; day <= last && nineInTenDay < 0; day++) {
    const caught: number[] = []
    for (let i = 0; i < n; i++) {
      if (badSince[i]! < 0 && !out[i] && store.failsOn[i]! <= day) {
        badSince[i] = day
        ran[i] = store.runs[i]!
      }
      if (badSince[i]! < 0 || !ran[i] || out[i] || day - badSince[i]! > store.runsFor) continue
      if (chance() >= store.spreadPerWeek / 7) continue
      const at = i + [1, -1, wide, -wide][Math.floor(4 * chance())]!
      if (at >= 0 && at < n && badSince[at]! < 0 && !out[at]) caught.push(at)
    }
    for (const i of caught) {
      if (badSince[i]! >= 0) continue
      badSince[i] = day
      ran[i] = 1
      bySpread++
    }
    if (day >= lookOn && day <= until) {
      let [bad, running, left] = [0, 0, 0]
      for (let i = 0; i < n; i++) {
        if (out[i]) continue
        if (badSince[i]! >= 0 && chance() < store.finds) {
          out[i] = 1
          bad++
          running += ran[i]!
        } else left++
      }
      looks++
      there = left
      fromDay = day
      lookOn = day + Math.max(1, next({ day, lookedAt: left + bad, bad, running }))
    }
    if (Number.isFinite(until) && day > fromDay && lookOn > until) {
      let sound = 0
      for (let i = 0; i < n; i++) if (!out[i] && badSince[i]! < 0) sound++
      if (sound < 0.9 * there) nineInTenDay = day
    }
  }
  return { looks, bySpread, nineInTenDay: nineInTenDay < 0 ? last : nineInTenDay }
}
