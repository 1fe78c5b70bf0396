import { spreadPerWeek } from '@vadose/core/assumptions'
import { airSeries, hourMs } from '@vadose/core/air'
import { choiceFrom, programmeOf, type ArrangeProblem, type Choice } from '@vadose/core/arrange'
import { normalDeviate, stream } from '@vadose/core/chance'
import { lookingByBelief } from '@vadose/core/checks'
import { arrangementProblem, keepingOf, type House, type LotState } from '@vadose/core/forecast'
import { agesByDay, ends } from '@vadose/core/stores'
import load from 'highs'
import { build, crops, days, kinds, packOf, readDays, truths, type Built, type Truth } from './true-houses'

/** How a crop really is in a world: how it takes warmth and damp, how long it lives, how alike its pieces are. */
interface TrueCrop {
  slope: number
  damper: number
  scale: number
}

const mostPieces = 80
/** chance of a day that a bad one is seen in passing */
const noticed = 0.03

/** Kilos lost of a house by spring, by where each lot lies month by month. */
function lived(
  truth: Truth,
  { house, air }: Built,
  problem: ArrangeProblem,
  choice: Choice,
  seed: number,
  looks: boolean,
): number {
  const next = stream(seed * 31337)
  const really = new Map<string, TrueCrop>()
  for (const crop of crops) {
    really.set(crop.id, {
      slope: truth === 'slopes' ? 0.6 + 0.9 * next() : 1,
      damper: truth === 'slopes' ? 6 * normalDeviate(next) : 0,
      scale: Math.exp((truth === 'slopes' ? 0.3 : 0.15) * normalDeviate(next)),
    })
  }
  let lostKg = 0
  problem.lots.forEach((asked, l) => {
    const lot = house.lot(asked.code)!
    const crop = lot.cropData
    const { slope, damper, scale } = really.get(crop.id)!
    const path = asked.ways[choice[l]!]!.places
    const best = (crop.keeping.bestTemperatureC.value[0] + crop.keeping.bestTemperatureC.value[1]) / 2
    const ageIn = kinds.slice(1).map((kind, p) => {
      if (!path.includes(p)) return undefined
      const { startMs, temperatureC, relativeHumidityPct } = air.get(kind)!
      const from = readDays * 24
      const beside = problem.lots.some((other, o) => o !== l && other.gives && other.ways[choice[o]!]!.places[0] === p)
      return agesByDay(
        crop,
        airSeries(
          startMs + from * hourMs,
          temperatureC.slice(from).map((t) => best + slope * (t - best)),
          relativeHumidityPct.slice(from).map((rh) => Math.min(98, Math.max(25, rh + damper))),
        ),
        packOf(crop),
        { gas: beside ? 0.8 : 0, light: false },
      ).ages
    })
    const shape = truth === 'flat' ? 1.5 : 4
    const ownScale = scale * Math.exp((truth === 'flat' ? 0.4 : 0.25) * normalDeviate(next))
    /** cumulated hazard day by day, of all ends but hurt ones */
    const age = new Float64Array(ends.length)
    const hazard = new Float64Array(days + 1)
    for (let d = 1; d <= days; d++) {
      const ages = ageIn[path[Math.min(5, Math.floor((d - 1) / 30.4))]!]!
      let h = 0
      for (let i = 0; i < ends.length; i++) {
        if (ends[i] === 'early rot') continue
        age[i]! += ages[i]![Math.min(d, ages[i]!.length - 1)]! - ages[i]![Math.min(d - 1, ages[i]!.length - 1)]!
        h += Math.LN2 * (age[i]! / ownScale) ** shape
      }
      hazard[d] = h
    }
    lostKg += asked.kg * shareLost(truth, hazard, lot, house, next, looks)
  })
  return lostKg
}

function shareLost(
  truth: Truth,
  hazard: Float64Array,
  lot: LotState,
  house: House,
  next: () => number,
  looks: boolean,
): number {
  const n = Math.min(mostPieces, lot.pieces ?? mostPieces)
  const culls = truth === 'culls' ? 0.03 + 0.09 * next() : 0.02
  const failsOn = Float64Array.from({ length: n }, () => {
    if (next() < culls) return 15 * Math.exp(0.6 * normalDeviate(next))
    const limit = -Math.log(1 - next())
    const day = hazard.findIndex((h) => h >= limit)
    return day < 0 ? Infinity : day
  })
  // eaten up by spring, what does not keep sooner
  const [low, high] = lot.cropData.keeping.lifeDays.value
  const eatenBy = Math.min(days + 20, 1.2 * Math.sqrt(low * high))
  const eatenOn = Float64Array.from({ length: n }, () => next() * eatenBy)
  const spread = spreadPerWeek[packOf(lot.cropData)] * (truth === 'culls' ? 2 : 1)
  const { model, spread: believed } = keepingOf(house, lot)
  const nextLook = lookingByBelief(model, n, believed, 0.02 * n)
  // what sprouts or shrivels runs to nobody
  const runs = Uint8Array.from(failsOn, (day) => (day < 45 || next() < 0.4 ? 1 : 0))
  const badSince = new Float64Array(n).fill(-1)
  const gone = new Uint8Array(n)
  let [lost, lookOn] = [0, looks ? nextLook({ day: 5, lookedAt: 0, bad: 0 }) : Infinity]
  const wide = Math.ceil(Math.sqrt(n))
  for (let day = 1; day <= days; day++) {
    for (let i = 0; i < n; i++) {
      if (gone[i]) continue
      if (badSince[i]! < 0 && failsOn[i]! <= day) badSince[i] = day
      if (badSince[i]! < 0 && eatenOn[i]! <= day) gone[i] = 1
    }
    for (let i = 0; i < n; i++) {
      if (gone[i] || badSince[i]! < 0 || badSince[i] === day || !runs[i] || day - badSince[i]! > 20) continue
      if (next() >= spread / 7) continue
      const at = i + [1, -1, wide, -wide][Math.floor(4 * next())]!
      if (at >= 0 && at < n && !gone[at] && badSince[at]! < 0) {
        badSince[at] = day
        runs[at] = 1
      }
    }
    // whoever fetches supper takes out what lies on top and is bad
    for (let i = 0; i < n; i++) {
      if (gone[i] || badSince[i]! < 0 || next() >= noticed) continue
      gone[i] = 1
      lost++
    }
    if (day < lookOn) continue
    let [lookedAt, bad] = [0, 0]
    for (let i = 0; i < n; i++) {
      if (gone[i]) continue
      lookedAt++
      if (badSince[i]! >= 0 && next() < 0.875) {
        gone[i] = 1
        bad++
        // what is found within a week is cut round or cooked for the most part
        lost += day - badSince[i]! <= 7 ? 0.4 : 1
      }
    }
    lookOn = day + Math.max(1, lookedAt === 0 ? days : nextLook({ day: day + 5, lookedAt, bad }))
  }
  for (let i = 0; i < n; i++) if (!gone[i] && badSince[i]! >= 0) lost++
  return lost / n
}

export interface HouseScore {
  houses: number
  /** kilos lost by spring of what was there, mean over the houses */
  storedKg: number
  naiveKg: number
  arrangedKg: number
  checkedKg: number
  /** fewer lost than naive, %: in all, and by house one in ten, middle, nine in ten */
  arrangedPct: number
  checkedPct: number
  byHousePct: { p10: number; p50: number; p90: number }
}

/** Houses of a world left as their people arranged them, arranged best, and arranged best and looked over. */
export async function scoreHouses(truth: Truth, count: number): Promise<HouseScore> {
  const solver = await load()
  const sums = { stored: 0, naive: 0, arranged: 0, checked: 0 }
  const saved: number[] = []
  for (let seed = 1; seed <= count; seed++) {
    const built = build(seed + 1000 * Object.keys(truths).indexOf(truth))
    const { problem } = arrangementProblem(built.house)
    const { Columns } = solver.solve(programmeOf(problem), { mip_rel_gap: 0.005, time_limit: 20 })
    const best = choiceFrom(problem, Columns as Record<string, { Primal: number }>)
    const stay = problem.lots.map(() => 0)
    const naive = lived(truth, built, problem, stay, seed, false)
    const checked = lived(truth, built, problem, best, seed, true)
    sums.stored += problem.lots.reduce((sum, { kg }) => sum + kg, 0)
    sums.naive += naive
    sums.arranged += lived(truth, built, problem, best, seed, false)
    sums.checked += checked
    saved.push(100 * (1 - checked / Math.max(0.1, naive)))
  }
  saved.sort((a, b) => a - b)
  const at = (share: number) => saved[Math.min(saved.length - 1, Math.floor(share * saved.length))]!
  return {
    houses: count,
    storedKg: sums.stored / count,
    naiveKg: sums.naive / count,
    arrangedKg: sums.arranged / count,
    checkedKg: sums.checked / count,
    arrangedPct: 100 * (1 - sums.arranged / sums.naive),
    checkedPct: 100 * (1 - sums.checked / sums.naive),
    byHousePct: { p10: at(0.1), p50: at(0.5), p90: at(0.9) },
  }
}
