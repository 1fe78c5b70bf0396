import { habitLimits } from '@vadose/core/almanac'
import { asManyLooks, beliefAfterChecks, lookingByBelief, nextLookInDays, type Check } from '@vadose/core/checks'
import { keepingForecast, type LifeModel } from '@vadose/core/stores'
import { liveThrough, worldStore, type Look, type World, type WorldStore } from './store-worlds'

export interface StoreScore {
  stores: number
  everyWeeks: number
  looksFixed: number
  looksByBelief: number
  lostFixed: number
  lostByBelief: number
  fewerLostPct: number
  /** the same where the life and the spread of every store are known from the start: more than any looks can tell */
  fewerLostKnowingPct?: number
  /** after three looks: the 8-in-10 interval of the nine-in-ten day holds the day on which it came */
  coveredPct: number
}

/** The belief is judged by itself: as far apart as any house would let looks lie. */
const longestGapDays = habitLimits.longestLookGapDays.hi

const seen = (look: Look): Check => ({ ...look, lotSize: look.lookedAt })

/** What somebody would think who knew all of a store but the days its pieces go. */
const knowingAll = ({ model, state, spreadPerWeek }: WorldStore) => ({
  model: { ...model, prior: model.prior.map((_, j) => Number(j === state)) },
  spread: spreadPerWeek,
})

/** Three looks, on the days a household is asked to look, and then left alone. */
function lookedOverThrice(store: WorldStore) {
  const { model, bookSpread, failsOn } = store
  const through = (until: number) => {
    const checks: Check[] = []
    const next = (day: number) =>
      checks.length === 3
        ? Infinity
        : nextLookInDays(
            model,
            beliefAfterChecks(model, checks, day, bookSpread),
            day,
            checks.length,
            failsOn.length,
            bookSpread,
          )
    const end = liveThrough(store, next(0), (look) => (checks.push(seen(look)), next(look.day)), until)
    return { checks, ...end }
  }
  // once to know when the third is, and once to that day: what comes then is what is asked about
  return through(through(longestDays).checks.at(-1)!.day)
}
/** longer than any store is followed */
const longestDays = 459

/** Same stores, looked over every n weeks and by the belief, at the tolerance at which both take as many looks. */
export function scoreStores(world: World, count: number, everyWeeks = 3): StoreScore {
  const stores = Array.from({ length: count }, (_, i) => worldStore(world, i + 1))
  const every = everyWeeks * 7
  let covered = 0
  let counted = 0
  const fixed = { looks: 0, lost: 0 }
  for (const store of stores) {
    const { model, bookSpread } = store
    const outcome = liveThrough(store, every, () => every)
    fixed.looks += outcome.looks
    fixed.lost += outcome.bySpread
    const { checks, nineInTenDay } = lookedOverThrice(store)
    const third = checks.at(-1)!.day
    const belief = beliefAfterChecks(model, checks, third, bookSpread)
    const said = keepingForecast(model, new Float64Array(model.days + 1), third, belief, bookSpread).nineInTenDay
    counted++
    // both are told by the day: a look that finds a tenth gone finds it on that day or the next
    if (Math.floor(said.p10) - 1 <= nineInTenDay && nineInTenDay <= Math.ceil(said.p90) + 1) covered++
  }
  const looking = (thought: (store: WorldStore) => { model: LifeModel; spread: number }) =>
    asManyLooks(fixed.looks, 0.0005, 20, (bearableShare) => {
      let looks = 0
      let lost = 0
      for (const store of stores) {
        const pieces = store.failsOn.length
        const { model, spread } = thought(store)
        const next = lookingByBelief(model, pieces, spread, bearableShare * pieces, longestGapDays)
        const outcome = liveThrough(store, next({ day: 0, lookedAt: 0, bad: 0 }), next)
        looks += outcome.looks
        lost += outcome.bySpread
      }
      return { looks, lost }
    })
  const belief = looking(({ model, bookSpread }) => ({ model, spread: bookSpread }))
  const knowing = stores.every(({ state }) => state !== undefined) ? looking(knowingAll) : undefined
  return {
    stores: count,
    everyWeeks,
    looksFixed: fixed.looks / count,
    looksByBelief: belief.looks / count,
    lostFixed: fixed.lost / count,
    lostByBelief: belief.lost / count,
    fewerLostPct: 100 * (1 - belief.lost / fixed.lost),
    ...(knowing && { fewerLostKnowingPct: 100 * (1 - knowing.lost / fixed.lost) }),
    coveredPct: (100 * covered) / counted,
  }
}
