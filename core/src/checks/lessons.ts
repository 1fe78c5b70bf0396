import {
  leastLessonGained,
  lessonOutlierSd,
  lifeVariance,
  lotLifeLogSd,
  varietyKeeps,
  varietySaidVariance,
} from '../assumptions'
import type { VarietySaid } from '../almanac'
import type { Spread } from '../chance'
import type { LifeModel, LifePrior, LotBelief } from '../stores'

/** How much longer than the forecast a lot lived, as its looks alone say: a logarithm, and its standard deviation. */
export interface Told {
  logMean: number
  logSd: number
}

/** What one lot that is gone taught about lots like it. */
export interface Lesson extends Told {
  crop: string
  variety: string | null
  placeId: string | null
  /** of its harvest */
  year: number
}

const lotVariance = lotLifeLogSd ** 2

/**
 * What looks say of a lot's life by themselves, apart from what was thought before: the normal factor that takes the usual
 * belief to the one after them.
 * @param model as it was before anybody looked
 * @returns undefined where they say nothing
 */
export function toldBy(model: LifeModel, belief: LotBelief): Told | undefined {
  // how well each life explains the looks, over all that else is not known of the lot
  const said = new Map<number, { before: number; after: number }>()
  model.scales.forEach((scale, j) => {
    const at = said.get(scale) ?? { before: 0, after: 0 }
    said.set(scale, { before: at.before + model.prior[j]!, after: at.after + belief.weights[j]! })
  })
  let [total, mean, square] = [0, 0, 0]
  for (const [scale, { before, after }] of said) {
    const log = Math.log(scale)
    const weight = (after / before) * Math.exp(-(log * log) / (2 * lotVariance))
    total += weight
    mean += weight * log
    square += weight * log * log
  }
  mean /= total
  const variance = Math.max(1e-4, square / total - mean * mean)
  const gained = 1 / variance - 1 / lotVariance
  return gained < leastLessonGained ? undefined : { logMean: mean / variance / gained, logSd: Math.sqrt(1 / gained) }
}

/** Names of varieties are typed by hand. */
export const varietyKey = (variety: string): string => variety.trim().toLowerCase()

/** What is believed of a crop's lots in one house: of the house, of each variety and of each place, jointly normal. */
export interface Learnt {
  mean: readonly number[]
  covariance: readonly (readonly number[])[]
  /** number of each variety and place in `mean`; the house is the first */
  varieties: ReadonlyMap<string, number>
  places: ReadonlyMap<string, number>
}

const variances = {
  house: lifeVariance.house * lotVariance,
  variety: lifeVariance.variety * lotVariance,
  place: lifeVariance.place * lotVariance,
  own: (1 - lifeVariance.house - lifeVariance.variety - lifeVariance.place) * lotVariance,
}

/** Terms a lot's life is the sum of, and the variance of those nothing is known about. */
function termsOf({ varieties, places }: Learnt, variety: string | null, placeId: string | null) {
  const ofVariety = variety === null ? undefined : varieties.get(varietyKey(variety))
  const ofPlace = placeId === null ? undefined : places.get(placeId)
  return {
    terms: [0, ofVariety, ofPlace].filter((term) => term !== undefined),
    rest:
      variances.own + (ofVariety === undefined ? variances.variety : 0) + (ofPlace === undefined ? variances.place : 0),
  }
}

const sumOf = ({ mean }: Learnt, terms: readonly number[]) => terms.reduce((sum, i) => sum + mean[i]!, 0)
const varianceOf = ({ covariance }: Learnt, terms: readonly number[]) =>
  terms.reduce((sum, i) => sum + terms.reduce((of, j) => of + covariance[i]![j]!, 0), 0)

/**
 * What the lots of one crop that are gone have taught, and what the household says of its varieties: a normal belief in
 * how far the house, each variety and each place stretch the forecast, taken from lot to lot.
 * @source Bayesian linear regression with random effects, one observation at a time (Kalman 1960)
 */
export function learntFrom(lessons: readonly Lesson[], said: readonly VarietySaid[] = []): Learnt {
  const varieties = new Map<string, number>()
  const places = new Map<string, number>()
  let count = 1
  const mean = [0]
  const own = [variances.house]
  const add = (to: Map<string, number>, key: string, variance: number, of = 0) => {
    if (to.has(key)) return
    to.set(key, count++)
    mean.push(of)
    own.push(variance)
  }
  for (const { variety, keeps } of said) {
    add(varieties, varietyKey(variety), variances.variety * varietySaidVariance, Math.log(varietyKeeps[keeps]))
  }
  for (const { variety, placeId } of lessons) {
    if (variety !== null) add(varieties, varietyKey(variety), variances.variety)
    if (placeId !== null) add(places, placeId, variances.place)
  }
  const learnt = {
    mean,
    covariance: own.map((variance, i) => own.map((_, j) => (i === j ? variance : 0))),
    varieties,
    places,
  }
  for (const lesson of [...lessons].sort((a, b) => a.year - b.year)) takeInLesson(learnt, lesson)
  return learnt
}

function takeInLesson(learnt: Learnt & { mean: number[]; covariance: number[][] }, lesson: Lesson): void {
  const { mean, covariance } = learnt
  const { terms, rest } = termsOf(learnt, lesson.variety, lesson.placeId)
  const off = lesson.logMean - sumOf(learnt, terms)
  const expected = varianceOf(learnt, terms) + rest + lesson.logSd ** 2
  const variance = expected * Math.max(1, (off * off) / expected / lessonOutlierSd ** 2)
  const cross = covariance.map((row) => terms.reduce((sum, j) => sum + row[j]!, 0))
  cross.forEach((c, i) => (mean[i]! += (c / variance) * off))
  cross.forEach((a, i) => cross.forEach((b, j) => (covariance[i]![j]! -= (a * b) / variance)))
}

/** What is thought of a lot's life before anybody looks at it, in a house that has learnt. */
export function learntPrior(learnt: Learnt, variety: string | null, placeId: string | null): Omit<LifePrior, 'culls'> {
  const { terms, rest } = termsOf(learnt, variety, placeId)
  return { logMean: sumOf(learnt, terms), logSd: Math.sqrt(varianceOf(learnt, terms) + rest) }
}

/** nine in ten or more on one side is four in five within: ± so many standard deviations */
const inFour = 1.2816

/** As times the forecast's life, with its 8-in-10 band. */
const timesOf = (mean: number, variance: number): Spread => ({
  p10: Math.exp(mean - inFour * Math.sqrt(variance)),
  p50: Math.exp(mean),
  p90: Math.exp(mean + inFour * Math.sqrt(variance)),
})

/** How many times the forecast's life a crop's lots have here, whichever variety and wherever. */
export const houseTimes = (learnt: Learnt): Spread => timesOf(sumOf(learnt, [0]), varianceOf(learnt, [0]))

/** How many times the forecast's life a variety has here. */
export function varietyTimes(learnt: Learnt, variety: string): Spread {
  const of = learnt.varieties.get(varietyKey(variety))
  const terms = of === undefined ? [0] : [0, of]
  return timesOf(sumOf(learnt, terms), varianceOf(learnt, terms) + (of === undefined ? variances.variety : 0))
}

/**
 * How many times as long one variety keeps as another.
 * @returns undefined for one nothing is known of
 */
export function timesAsLong(learnt: Learnt, variety: string, other: string): Spread | undefined {
  const [a, b] = [learnt.varieties.get(varietyKey(variety)), learnt.varieties.get(varietyKey(other))]
  if (a === undefined || b === undefined) return undefined
  const { mean, covariance: c } = learnt
  return timesOf(mean[a]! - mean[b]!, c[a]![a]! + c[b]![b]! - 2 * c[a]![b]!)
}

/** How many times the forecast's life lots have in a place, beyond what is said of the house. */
export function placeTimes(learnt: Learnt, placeId: string): Spread | undefined {
  const of = learnt.places.get(placeId)
  return of === undefined ? undefined : timesOf(sumOf(learnt, [of]), varianceOf(learnt, [of]))
}
