import { usualHabits, type Habits } from '@vadose/core/almanac'
import { beliefAfterChecks, beliefNow, nextLookInDays, noLooksYet, takeInLook, type Check } from '@vadose/core/checks'
import { keepingForecast, type LifeModel } from '@vadose/core/stores'
import { liveThrough, worldStore, type Look, type World, type WorldStore } from './store-worlds'

export interface StoreScore {
  stores: number
  /** looks at a store */
  looks: number
  /** as many are taken every so many days */
  everyDays: number
  /** pieces of a store spoilt by neighbours */
  lostFixed: number
  lostByBelief: number
  fewerLostPct: number
  /** the same where the life and the spread of every store are known from the start: more than any looks can tell */
  fewerLostKnowingPct?: number
  /** after three looks: the 8-in-10 interval of the nine-in-ten day holds the day on which it came */
  coveredPct: number
}

/** Looks and losses of all stores together. */
interface Looked {
  looks: number
  lost: number
}

const seen = (look: Look): Check => ({ ...look, lotSize: look.lookedAt })

/** What is thought of a store before any look. */
type Thought = (store: WorldStore) => { model: LifeModel; spread: number }

const asTheBookHasIt: Thought = ({ model, bookSpread }) => ({ model, spread: bookSpread })
/** What somebody would think who knew all of a store but the days its pieces go. */
const knowingAll: Thought = ({ model, state, spreadPerWeek }) => ({
  model: { ...model, prior: model.prior.map((_, j) => Number(j === state)) },
  spread: spreadPerWeek,
})

type LookedOver = Omit<Look, 'running'> & { running?: number }

/** Days until the next look, as a household is asked for it. */
function asked(store: WorldStore, thought: Thought, habits: Habits) {
  const { model, spread } = thought(store)
  const looks = noLooksYet(model)
  let count = 0
  return (look: LookedOver): number => {
    if (look.lookedAt > 0) {
      count++
      takeInLook(model, looks, { ...look, lotSize: look.lookedAt }, spread)
    }
    const there = look.lookedAt > 0 ? look.lookedAt - look.bad : store.failsOn.length
    return nextLookInDays(model, beliefNow(looks), look.day, count, there, spread, habits)
  }
}
const nothingYet = { day: 0, lookedAt: 0, bad: 0 }

/** @param by days until a store's next look, by the one before */
function looked(stores: readonly WorldStore[], by: (store: WorldStore) => (look: LookedOver) => number): Looked {
  const sum = { looks: 0, lost: 0 }
  for (const store of stores) {
    const next = by(store)
    const end = liveThrough(store, next(nothingYet), next)
    sum.looks += end.looks
    sum.lost += end.bySpread
  }
  return sum
}

/** What is lost where somebody looks every so many days, as often as so many looks: between the two whole numbers of days. */
function fixedTaking(stores: readonly WorldStore[], looks: number) {
  let [short, long] = [3, 90]
  const known = new Map<number, Looked>()
  const every = (days: number): Looked => {
    const was = known.get(days) ?? looked(stores, () => () => days)
    known.set(days, was)
    return was
  }
  while (long - short > 1) {
    const mid = Math.floor((short + long) / 2)
    if (every(mid).looks >= looks) short = mid
    else long = mid
  }
  const [more, fewer] = [every(short), every(long)]
  const between = (more.looks - looks) / (more.looks - fewer.looks)
  return { everyDays: short + between, lost: more.lost + between * (fewer.lost - more.lost) }
}

/** Three looks four weeks apart, and then left alone: sooner, nothing has shown yet where lives are half as long. */
const looksApartDays = 28

function lookedOverThrice(store: WorldStore) {
  const checks: Check[] = []
  const next = (look: Look) => {
    checks.push(seen(look))
    return checks.length === 3 ? Infinity : looksApartDays
  }
  return { checks, ...liveThrough(store, looksApartDays, next, 3 * looksApartDays) }
}

/** Whether the interval said after three looks holds the day on which nine in ten of what was there then were left. */
function covered(store: WorldStore): boolean {
  const { model, bookSpread } = store
  const { checks, nineInTenDay } = lookedOverThrice(store)
  const third = checks.at(-1)!.day
  const belief = beliefAfterChecks(model, checks, third, bookSpread)
  const said = keepingForecast(model, new Float64Array(model.days + 1), third, belief, bookSpread).nineInTenDay
  // both are told by the day: a look that finds a tenth gone finds it on that day or the next
  return Math.floor(said.p10) - 1 <= nineInTenDay && nineInTenDay <= Math.ceil(said.p90) + 1
}

/** Stores of a world, looked over as a household is asked to, against every so many days with as many looks. */
export function scoreStores(world: World, count: number, habits: Habits = usualHabits): StoreScore {
  const stores = Array.from({ length: count }, (_, i) => worldStore(world, i + 1))
  const belief = looked(stores, (store) => asked(store, asTheBookHasIt, habits))
  const fixed = fixedTaking(stores, belief.looks)
  const knowing = () => {
    const { looks, lost } = looked(stores, (store) => asked(store, knowingAll, habits))
    return 100 * (1 - lost / fixedTaking(stores, looks).lost)
  }
  return {
    stores: count,
    looks: belief.looks / count,
    everyDays: fixed.everyDays,
    lostFixed: fixed.lost / count,
    lostByBelief: belief.lost / count,
    fewerLostPct: 100 * (1 - belief.lost / fixed.lost),
    ...(stores.every(({ state }) => state !== undefined) && { fewerLostKnowingPct: knowing() }),
    coveredPct: (100 * stores.filter(covered).length) / count,
  }
}
