import { floats, floatsOf, rowsOf } from '../rows'
import { hazardAt, runs, soundShare, type LifeModel } from './life-model'
import { runsForDays } from '../assumptions'

const longestStepDays = 7
const shortestStepDays = 0.05
const stepsToHalf = 24
/** where the usual lot has long gone, steps grow so much from one to the next: whatever lasts beyond is slower */
const stepsGrow = 1.1

/** Shares bad among what is there. */
export interface Bad {
  /** rotten, and running to neighbours */
  running: number
  /** rotten, and dried up since */
  spent: number
  /** bad in a way that harms nobody */
  quiet: number
}
export const noneBad: Bad = { running: 0, spent: 0, quiet: 0 }
export const badShare = ({ running, spent, quiet }: Bad): number => running + spent + quiet

interface Standing {
  /** days on which the steps end in which a lot is let stand: parts of the time in which half of the usual lot go */
  steps: Float64Array
  /** hazards that ever come: those that run to neighbours, and those that do not */
  running: number[]
  quiet: number[]
  /** of each hazard its value at the ends of the steps, as far as it was asked for */
  atStep: Float64Array[]
  /** which ends count, by state once it was asked for: states are many, and differ by few */
  counting: Map<number, { running: Counting; quiet: Counting }>
}

/** Ends that count in a state, and their hazards at the whole steps. */
interface Counting {
  ends: number[]
  atStep: Float64Array[]
}

const standings = new WeakMap<LifeModel, Standing>()

function standingOf(model: LifeModel): Standing {
  let made = standings.get(model)
  if (!made) {
    const active = [...model.hazard.keys()].filter((i) => model.hazard[i]![model.days]! > 0)
    let half = 1
    while (half < model.days && soundShare(model, half, model.usual) > 0.5) half *= 1.25
    const steps = stepsOver(model.days, half)
    const rows = rowsOf(active.length, steps.length)
    const atSteps = (i: number) => {
      const row = rows.pop()!
      for (let n = 0; n < row.length; n++) row[n] = hazardAt(model, i, steps[n]!)
      return row
    }
    made = {
      steps,
      running: active.filter((i) => runs.has(model.names[i]!)),
      quiet: active.filter((i) => !runs.has(model.names[i]!)),
      atStep: model.hazard.map((_, i) => (active.includes(i) ? atSteps(i) : none)),
      counting: new Map(),
    }
    standings.set(model, made)
  }
  return made
}
const none = floats(0)

/** The ends of the steps, from nought to beyond a lot's last day. @param half days in which half of the usual lot go */
function stepsOver(days: number, half: number): Float64Array {
  const ends = [0]
  let step = Math.min(longestStepDays, Math.max(shortestStepDays, half / stepsToHalf))
  for (let day = 0; day < days;) {
    if (day > 2 * half) step = Math.min(longestStepDays, step * stepsGrow)
    ends.push((day += step))
  }
  return floatsOf(ends.length, (n) => ends[n]!)
}

/** The first step that ends after a day. */
function stepAfter(steps: Float64Array, day: number): number {
  let lo = 1
  let hi = steps.length - 1
  while (lo < hi) {
    const mid = (lo + hi) >> 1
    if (steps[mid]! > day + 1e-6) hi = mid
    else lo = mid + 1
  }
  return lo
}

function countingIn({ counts }: LifeModel, { atStep }: Standing, among: readonly number[], j: number): Counting {
  const ends = among.filter((i) => counts[i]![j]! > 0)
  return { ends, atStep: ends.map((i) => atStep[i]!) }
}

function countingOf(model: LifeModel, of: Standing, j: number) {
  let which = 0
  model.counts.forEach((counts, i) => {
    if (counts[j]! > 0) which |= 1 << i
  })
  let counting = of.counting.get(which)
  if (!counting) {
    counting = { running: countingIn(model, of, of.running, j), quiet: countingIn(model, of, of.quiet, j) }
    of.counting.set(which, counting)
  }
  return counting
}

/** Whether two lives are the same up to a day, for whoever lets a lot stand: what was learnt until then of one holds of the other. */
export function sameUntil(a: LifeModel, b: LifeModel, day: number): boolean {
  const same = (one: ArrayLike<number>, other: ArrayLike<number>, length = one.length) => {
    if (one.length < length || other.length < length) return false
    for (let i = 0; i < length; i++) if (one[i] !== other[i]) return false
    return true
  }
  const one = standingOf(a)
  const other = standingOf(b)
  const hazards = Math.ceil(day) + 2
  return (
    same(one.steps, other.steps, Math.min(one.steps.length, other.steps.length)) &&
    one.running.join() === other.running.join() &&
    one.quiet.join() === other.quiet.join() &&
    a.names.join() === b.names.join() &&
    same(a.prior, b.prior) &&
    a.counts.every((counts, i) => same(counts, b.counts[i]!)) &&
    a.hazard.every((hazard, i) => same(hazard, b.hazard[i]!, Math.min(hazards, a.days, b.days)))
  )
}

/** Hazards that have come by a day. @param n the step that ends on it; below nothing where none does */
function come(model: LifeModel, { ends, atStep }: Counting, j: number, day: number, n: number): number {
  let total = 0
  for (let k = 0; k < ends.length; k++) {
    total += (n >= 0 ? atStep[k]![n]! : hazardAt(model, ends[k]!, day)) * model.counts[ends[k]!]![j]!
  }
  return total
}

/** (eˣ − 1 − x) / x²: of what comes evenly through a step, the days it has been there. Short steps by the series. */
const risingShare = (x: number): number =>
  Math.abs(x) < 1 ? (1 + (x / 3) * (1 + (x / 4) * (1 + (x / 5) * (1 + x / 6)))) / 2 : (Math.expm1(x) - x) / (x * x)

/**
 * Lets a lot stand: sound pieces go bad as the model says, and bad ones spoil others. One law for what is believed now and
 * for what is forecast, on one grid of days, so that what is said of an untouched lot today is said of it tomorrow.
 * @param j the state it is in
 * @param spread new bad ones a week for each running one lying there
 * @param each hears of the share bad at the end of every step; true stops
 * @returns the shares bad at the end
 */
export function stand(
  model: LifeModel,
  j: number,
  bad: Bad,
  from: number,
  to: number,
  spread: number,
  each?: (day: number, bad: number) => boolean | void,
): Bad {
  const standing = standingOf(model)
  const { steps } = standing
  const here = countingOf(model, standing, j)
  let { running, spent, quiet } = bad
  let ran = come(model, here.running, j, from, -1)
  let quietened = come(model, here.quiet, j, from, -1)
  let n = stepAfter(steps, from)
  for (let day = from; day < to - 1e-9; n++) {
    const wholly = steps[n]! <= to && (spread > 0 || each !== undefined)
    const next = wholly ? steps[n]! : to
    const ranNext = come(model, here.running, j, next, wholly ? n : -1)
    const quietNext = come(model, here.quiet, j, next, wholly ? n : -1)
    const sound = 1 - running - spent - quiet
    const risen = ranNext - ran + quietNext - quietened
    const going = sound * -Math.expm1(-risen)
    const goingRunning = risen > 0 ? (going * (ranNext - ran)) / risen : 0
    const days = next - day
    // those lying there, and those that go meanwhile, spoil others and dry up all through the step
    const daily = (spread / 7) * (sound - going / 2)
    const growth = (daily - 1 / runsForDays) * days
    const rising = risingShare(growth)
    const runningDays = days * (running * (1 + growth * rising) + goingRunning * rising)
    const spoilt = Math.min(sound - going, daily * runningDays)
    const dried = runningDays / runsForDays
    running += goingRunning + spoilt - dried
    spent += dried
    quiet += going - goingRunning
    day = next
    ran = ranNext
    quietened = quietNext
    const gone = running + spent + quiet
    // nothing is left to go bad
    if (each?.(day, gone) || (!each && gone > 1 - 1e-9)) break
  }
  return { running, spent, quiet }
}
