import type { Spread } from '../chance'
import { floats, floatsOf, rowsOf } from '../rows'
import { deviates, density, driesFirst, kindsOf, lawsOf, usualPrior, type LifePrior, type LotKind } from './life-kinds'
import { ends } from './rates'

/**
 * A lot's life as competing ends on a daily grid, in each of the states the lot may be in, which nobody knows before
 * looking: how long it lives, how many hurt or infected ones came in with it, and how alike its pieces are.
 * S(t | state j) = exp(−Σ hᵢ(t) · wᵢⱼ); for common ends hᵢ(t) = ln 2 · ageᵢ(t)^kᵢ and wᵢⱼ = sⱼ^−kᵢ, for hurt ones hᵢ(t) is
 * the share of them that has gone, and wᵢⱼ = −ln(1 − cⱼ), so that a share cⱼ goes by them.
 */
export interface LifeModel {
  days: number
  /** what each hazard is called; the calculators' bare life has one, `life` */
  names: string[]
  shapes: number[]
  /** hᵢ(t) for each hazard, days + 1 values */
  hazard: Float64Array[]
  /** life scale of each state, far enough out that a surprising look still finds one that fits */
  scales: Float64Array
  /** belief in each state before anybody has looked, summing to 1 */
  prior: Float64Array
  /** how much each hazard counts in each state, by hazard */
  counts: Float64Array[]
  /** the state of a usual lot */
  usual: number
  /** drying out would end it first: it may be shut in better than its packing says */
  driesFirst: boolean
}

/** The states a lot may be in, and how much each hazard counts in them. */
type States = Pick<LifeModel, 'scales' | 'prior' | 'counts' | 'usual'>
type Counts = (kind: LotKind) => number

function statesOf(kinds: readonly LotKind[], counts: readonly Counts[]): States {
  const total = kinds.reduce((sum, { belief }) => sum + belief, 0)
  const figures = (of: Counts) => floatsOf(kinds.length, (i) => of(kinds[i]!))
  return {
    scales: figures(({ scale }) => scale),
    prior: figures(({ belief }) => belief / total),
    counts: counts.map(figures),
    usual: kinds.reduce((best, kind, j) => (kind.belief > kinds[best]!.belief ? j : best), 0),
  }
}

/** States of lots of which the same is thought beforehand: hundreds of lots share a handful. */
const known = new Map<string, States>()
const knownAtMost = 200

function knownStates(key: string, make: () => States): States {
  const states = known.get(key) ?? make()
  known.delete(key)
  known.set(key, states)
  if (known.size > knownAtMost) known.delete(known.keys().next().value!)
  return states
}

/** The life of a lot whose ends have come so far by each day (see agesByDay). */
export function lifeModel(ages: Float64Array[], prior: LifePrior = usualPrior): LifeModel {
  const coming = ages.map((age) => age.at(-1) !== 0)
  const comes = (end: number) => coming[end]!
  const laws = lawsOf(comes)
  const first = driesFirst(ages)
  const states = knownStates([prior.logMean, prior.logSd, prior.culls, first, ...coming].join(), () =>
    statesOf(
      kindsOf(comes(ends.indexOf('early rot')), first, prior),
      laws.map(({ counts }) => counts),
    ),
  )
  const days = ages[0]!.length - 1
  const rows = rowsOf(laws.filter(({ end }) => comes(end)).length, days + 1)
  return {
    days,
    names: laws.map(({ name }) => name),
    shapes: laws.map(({ shape }) => shape),
    hazard: laws.map(({ end, hazard }) => {
      const age = ages[end]!
      // an end that never comes is the row of noughts it was given
      if (!comes(end)) return age
      const row = rows.pop()!
      for (let day = 0; day <= days; day++) if (age[day]! > 0) row[day] = hazard(age[day]!)
      return row
    }),
    ...states,
    driesFirst: first,
  }
}

/** A lot's life without the days: for whoever tries many paths of one lot. */
export interface LifeLaws {
  /** belief in each state before anybody has looked, summing to 1 */
  prior: Float64Array
  laws: { end: number; hazard: (age: number) => number; counts: Float64Array }[]
}

/**
 * @param comes which ends come on any of the paths, by number
 * @param dries drying out would end it first where it is
 */
export function lifeLaws(comes: readonly boolean[], dries: boolean, prior: LifePrior = usualPrior): LifeLaws {
  const kinds = kindsOf(comes[ends.indexOf('early rot')]!, dries, prior)
  const total = kinds.reduce((sum, { belief }) => sum + belief, 0)
  return {
    prior: floatsOf(kinds.length, (i) => kinds[i]!.belief / total),
    laws: lawsOf((end) => comes[end]!)
      .filter(({ end }) => comes[end])
      .map(({ end, hazard, counts }) => ({ end, hazard, counts: floatsOf(kinds.length, (i) => counts(kinds[i]!)) })),
  }
}

/**
 * A life known only by its spread: half of the spread between lots, half between the pieces of one.
 * @param lifeDays p10 < p50 < p90, days
 */
export function lifeModelFromSpread(lifeDays: Spread, horizonDays: number): LifeModel {
  let logSd = Math.log(lifeDays.p90 / lifeDays.p10) / 2.5631 / Math.SQRT2
  let median = lifeDays.p50
  let model = weibullLife(median, logSd, horizonDays)
  // the mixture is not quite log-normal: draw it onto the points asked for
  for (let i = 0; i < 8; i++) {
    const got = unitLife(model, priorWeights(model))
    median *= lifeDays.p50 / got.p50
    logSd *= Math.log(lifeDays.p90 / lifeDays.p10) / Math.log(got.p90 / got.p10)
    model = weibullLife(median, logSd, horizonDays)
  }
  return model
}

function weibullLife(median: number, logSd: number, days: number): LifeModel {
  const shape = Math.PI / Math.sqrt(6) / logSd
  const hazard = Float64Array.from({ length: days + 1 }, (_, day) => Math.LN2 * (day / median) ** shape)
  const kinds = deviates.map((z, i) => ({
    scale: Math.exp(z * logSd),
    culls: 0,
    unlike: false,
    shut: false,
    belief: density[i]!,
  }))
  return {
    days,
    names: ['life'],
    shapes: [shape],
    hazard: [hazard],
    ...statesOf(kinds, [({ scale }) => scale ** -shape]),
    driesFirst: false,
  }
}

/** Rot and mould run to neighbours, and what frost or chill has broken rots; a sprout or a wrinkle harms nobody. */
export const runs: ReadonlySet<string> = new Set(['rot', 'mould', 'frost', 'chilling', 'early rot', 'life'])

/** Of what goes bad between two days, the share that goes in a way that runs to its neighbours. */
export function runningShare(model: LifeModel, from: number, to: number, j: number): number {
  const rise = risesBetween(model, from, to)
  let all = 0
  let running = 0
  for (let i = 0; i < rise.length; i++) {
    const here = rise[i]! * model.counts[i]![j]!
    all += here
    if (runs.has(model.names[i]!)) running += here
  }
  return all > 0 ? running / all : 0
}

/** The same of every state. */
export function runningShares(model: LifeModel, from: number, to: number): Float64Array {
  const rise = risesBetween(model, from, to)
  const all = summedByState(model, rise)
  const running = summedByState(
    model,
    rise.map((h, i) => (runs.has(model.names[i]!) ? h : 0)),
  )
  return running.map((here, j) => (all[j]! > 0 ? here / all[j]! : 0))
}

/** How far each hazard rises between two days, taken to the whole day. */
function risesBetween(model: LifeModel, from: number, to: number): number[] {
  const whole = (day: number) => Math.min(model.days, Math.max(0, Math.round(day)))
  return model.hazard.map((h) => h[whole(to)]! - h[whole(from)]!)
}

/**
 * Σᵢ hᵢ·countsᵢⱼ of every state j; most ends never come, and are passed over once instead of in every state.
 * @param sums where they are put
 */
function summedByState(
  model: LifeModel,
  h: readonly number[],
  sums: Float64Array = floats(model.scales.length),
): Float64Array {
  sums.fill(0)
  h.forEach((here, i) => {
    if (here === 0) return
    const counts = model.counts[i]!
    for (let j = 0; j < sums.length; j++) sums[j]! += here * counts[j]!
  })
  return sums
}

/** Whether hurt ones that came in with it go before their time: nothing does in a jar. */
export const cullsCome = (model: LifeModel): boolean =>
  model.names.some((name, i) => name === 'early rot' && model.hazard[i]![model.days]! > 0)

export const priorWeights = (model: LifeModel): Float64Array => model.prior.slice()

/** What lives for days bends within them: up to here hazards are taken between days by their ages, not straight. */
const fineDays = 8

/** Hazard between two days in which its age rises evenly. */
const bentBetween = (shape: number, from: number, to: number, part: number): number =>
  from === to ? from : (from ** (1 / shape) + part * (to ** (1 / shape) - from ** (1 / shape))) ** shape

/** An end's hazard on a day; days beyond the grid are taken at its end. */
export function hazardAt(model: LifeModel, i: number, day: number): number {
  const at = day <= 0 ? 0 : day >= model.days ? model.days : day
  const low = Math.floor(at)
  const part = at - low
  const h = model.hazard[i]!
  const here = h[low]!
  if (part === 0) return here
  return low < fineDays ? bentBetween(model.shapes[i]!, here, h[low + 1]!, part) : here + part * (h[low + 1]! - here)
}

/** S(day | scale j): share still sound. */
export function soundShare(model: LifeModel, day: number, j: number): number {
  let sum = 0
  for (let i = 0; i < model.hazard.length; i++) sum += hazardAt(model, i, day) * model.counts[i]![j]!
  return Math.exp(-sum)
}

/** S(day) of every scale. @param into where they are put: for whoever asks of many days */
export function soundShares(model: LifeModel, day: number, into?: Float64Array): Float64Array {
  const shares = summedByState(
    model,
    model.hazard.map((_, i) => hazardAt(model, i, day)),
    into,
  )
  for (let j = 0; j < shares.length; j++) shares[j] = Math.exp(-shares[j]!)
  return shares
}

/** Share still sound over all scales. */
export function meanSoundShare(model: LifeModel, weights: Float64Array, day: number): number {
  const shares = soundShares(model, day)
  let sum = 0
  for (let j = 0; j < weights.length; j++) sum += weights[j]! * shares[j]!
  return sum
}

/** First day (not whole) at which the falling share reaches `level`; model.days if it stays above. */
export function dayOfShare(share: (day: number) => number, level: number, days: number): number {
  let lo = 0
  let hi = days
  if (share(days) > level) return days
  while (hi - lo > 0.01) {
    const mid = (lo + hi) / 2
    if (share(mid) > level) lo = mid
    else hi = mid
  }
  return (lo + hi) / 2
}

/** Life of one piece picked blindly: when 1, 5 and 9 in 10 will have gone, days. */
export function unitLife(model: LifeModel, weights: Float64Array): Spread {
  const at = (level: number) => dayOfShare((day) => meanSoundShare(model, weights, day), level, model.days)
  return { p10: at(0.9), p50: at(0.5), p90: at(0.1) }
}
