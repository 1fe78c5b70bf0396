import { normalDeviate, stream } from '@vadose/core/chance'
import { beliefAfterChecks, learntFrom, learntPrior, toldBy, type Check, type Lesson } from '@vadose/core/checks'
import { keepingForecast, lifeModel, type LifePrior } from '@vadose/core/stores'
import { liveThrough, worldStore, type World, type WorldStore } from './store-worlds'

export interface LearningScore {
  /** how far off the nine-in-ten day of a new lot is before anybody has looked, median, % of its life */
  missNewPct: number
  missLearntPct: number
  /** 8-in-10 intervals that hold it */
  coveredNewPct: number
  coveredLearntPct: number
  /** of pairs of varieties a quarter or more apart, how many are told the right way round */
  rightOrderPct: number
}

const varieties = ['red', 'white'] as const
const winters = 3

/** A store of a house, its pieces living so many times as long. */
function stretched(world: World, seed: number, times: number): WorldStore {
  const store = worldStore(world, seed)
  return { ...store, failsOn: store.failsOn.map((day) => day * times) }
}

/** What a winter with four looks at a store taught. */
function lessonOf(store: WorldStore, of: Omit<Lesson, 'logMean' | 'logSd'>): Lesson[] {
  const checks: Check[] = []
  const step = Math.max(7, Math.round(store.days / 5))
  const last = 4 * step
  liveThrough(store, step, (look) => (checks.push({ ...look, lotSize: look.lookedAt }), step), last)
  const told = toldBy(store.model, beliefAfterChecks(store.model, checks, last, store.bookSpread))
  return told ? [{ ...of, ...told }] : []
}

const unlookedDay = (store: WorldStore, prior?: Omit<LifePrior, 'culls'>) => {
  const model = prior ? lifeModel(store.ages, { ...prior, culls: 'usual' }) : store.model
  return keepingForecast(model, new Float64Array(model.days + 1), 0, undefined, store.bookSpread).nineInTenDay
}

/**
 * Houses with two varieties of a crop, three winters looked over: how right the day is that a lot of the fourth is given
 * before anybody has looked, with what the house has learnt and without.
 * @param differ log standard deviation between varieties, and of what a house does to all of them
 */
export function scoreLearning(world: World, houses: number, differ: number): LearningScore {
  const off: { fresh: number[]; learnt: number[] } = { fresh: [], learnt: [] }
  const held = { fresh: 0, learnt: 0 }
  let [pairs, right] = [0, 0]
  for (let house = 1; house <= houses; house++) {
    const next = stream(house * 91193)
    const here = differ * normalDeviate(next)
    const own = varieties.map(() => differ * normalDeviate(next))
    // every sixth store is of the same crop
    const seedOf = (k: number) => 6 * (100 * house + k) + (house % 6)
    const lessons = varieties.flatMap((variety, v) =>
      Array.from({ length: winters }, (_, year) =>
        lessonOf(stretched(world, seedOf(2 * year + v), Math.exp(here + own[v]!)), {
          crop: 'of the house',
          variety,
          placeId: 'cellar',
          year,
        }),
      ).flat(),
    )
    const learnt = learntFrom(lessons)
    const believed = varieties.map((variety) => learntPrior(learnt, variety, 'cellar'))
    if (Math.abs(own[0]! - own[1]!) > Math.log(1.25)) {
      pairs++
      if (believed[0]!.logMean > believed[1]!.logMean === own[0]! > own[1]!) right++
    }
    varieties.forEach((_, v) => {
      const store = stretched(world, seedOf(50 + v), Math.exp(here + own[v]!))
      const truth = liveThrough(store, 1, () => 460, 1).nineInTenDay
      const said = { fresh: unlookedDay(store), learnt: unlookedDay(store, believed[v]) }
      for (const how of ['fresh', 'learnt'] as const) {
        off[how].push(Math.abs(Math.log(said[how].p50 / truth)))
        if (Math.floor(said[how].p10) - 1 <= truth && truth <= Math.ceil(said[how].p90) + 1) held[how]++
      }
    })
  }
  const count = varieties.length * houses
  const median = (values: number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
  return {
    missNewPct: 100 * median(off.fresh),
    missLearntPct: 100 * median(off.learnt),
    coveredNewPct: (100 * held.fresh) / count,
    coveredLearntPct: (100 * held.learnt) / count,
    rightOrderPct: (100 * right) / Math.max(1, pairs),
  }
}
