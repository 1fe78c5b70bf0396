import {
  cullShares,
  endShape,
  lotLifeLogSd,
  shutDrying,
  shutLots,
  strangeLots,
  strangeSd,
  unlikeLots,
  unlikeShape,
} from '../assumptions'
import { ends, type End } from './rates'

/** What is thought of a lot before anybody has looked: by crop, variety, place and heap. */
export interface LifePrior {
  /** how much longer it lives than the forecast, as a logarithm, and the standard deviation of that */
  logMean: number
  logSd: number
  /** hurt and infected ones that came in with it */
  culls: 'usual' | 'many'
}
export const usualPrior: LifePrior = { logMean: 0, logSd: lotLifeLogSd, culls: 'usual' }

const scalePoints = 21
const scaleReach = 4
export const deviates = Array.from({ length: scalePoints }, (_, i) => scaleReach * ((2 * i) / (scalePoints - 1) - 1))
/** Most lots lie about the forecast; some are nothing like it. */
export const density = deviates.map(
  (z) => (1 - strangeLots) * Math.exp((-z * z) / 2) + (strangeLots / strangeSd) * Math.exp(-((z / strangeSd) ** 2) / 2),
)

/** One state of a lot. */
export interface LotKind {
  scale: number
  culls: number
  /** its pieces are less alike than the usual lot's */
  unlike: boolean
  /** it dries far slower than its packing says */
  shut: boolean
  belief: number
}

/** Ageing and sprouting of the whole lot are its common clock: how alike its pieces are is learnt. */
const clockEnds: readonly string[] = ['rot', 'sprouting']

/** How a hazard rises with the age of its end, and how much it counts in each state. */
interface Law {
  name: string
  /** number of its end */
  end: number
  shape: number
  hazard: (age: number) => number
  counts: (kind: LotKind) => number
}

/** @param comes whether an end comes at all, by its number */
export function lawsOf(comes: (end: number) => boolean): Law[] {
  return ends.flatMap((name, end): Law[] => {
    const shape = endShape[name]
    if (name === 'early rot') {
      const gone = (age: number) => -Math.expm1(-Math.LN2 * age)
      return [{ name, end, shape, hazard: gone, counts: (kind) => -Math.log1p(-kind.culls) }]
    }
    if (name === 'drying out') {
      const counts = (kind: LotKind) => (kind.scale / (kind.shut ? shutDrying : 1)) ** -shape
      return [{ name, end, shape, hazard: (age) => Math.LN2 * age ** shape, counts }]
    }
    const clock = clockEnds.includes(name) && comes(end)
    const hazard = (age: number) => Math.LN2 * age ** shape
    const law: Law = { name, end, shape, hazard, counts: (kind) => (clock && kind.unlike ? 0 : kind.scale ** -shape) }
    if (!clock) return [law]
    // both kinds have lost a tenth at the same age, which is what books and households speak of
    const flat = shape * unlikeShape
    const stretch = Math.LN2 * tenthAge(shape) ** (shape - flat)
    return [
      law,
      {
        name,
        end,
        shape: flat,
        hazard: (age) => stretch * age ** flat,
        counts: (kind) => (kind.unlike ? kind.scale ** -flat : 0),
      },
    ]
  })
}

/** The states a lot may be in. */
export function kindsOf(hurtGo: boolean, driesFirst: boolean, prior: LifePrior): LotKind[] {
  return deviates.flatMap((z, i) =>
    (hurtGo ? cullShares[prior.culls] : [[0, 1] as const]).flatMap(([culls, believed]) =>
      // what lies dry in a jar ages as one
      (hurtGo ? [false, true] : [false]).flatMap((unlike) =>
        (driesFirst ? [false, true] : [false]).map((shut) => ({
          scale: Math.exp(prior.logMean + z * prior.logSd),
          culls,
          unlike,
          shut,
          belief: density[i]! * believed * (unlike ? unlikeLots : 1 - unlikeLots) * (shut ? shutLots : 1 - shutLots),
        })),
      ),
    ),
  )
}

const dryingOut = ends.indexOf('drying out')
/** Whether drying out would be the first of a lot's common ends. */
export const driesFirst = (ages: readonly Float64Array[]): boolean => {
  const last = ages.map((age) => age.at(-1)!)
  return clockEnds.every((name) => last[dryingOut]! > last[ends.indexOf(name as End)]!)
}

/** Age at which a tenth has gone. */
const tenthAge = (shape: number) => (-Math.log(0.9) / Math.LN2) ** (1 / shape)
