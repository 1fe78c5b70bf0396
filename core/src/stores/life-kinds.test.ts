import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { endShape, shutDrying, shutLots, unlikeLots } from '../assumptions'
import { driesFirst, kindsOf, lawsOf, usualPrior } from './life-kinds'
import { ends } from './rates'
import { lifeModel, priorWeights, soundShare, steadyLife, unitLife, type LifeModel } from './index'

const total = (kinds: readonly { belief: number }[]) => kinds.reduce((sum, { belief }) => sum + belief, 0)
const shareOf = <T extends { belief: number }>(kinds: readonly T[], of: (kind: T) => boolean) =>
  total(kinds.filter(of)) / total(kinds)

describe('the states a lot may be in', () => {
  it('are believed in as often as was judged', () => {
    const kinds = kindsOf(true, true, usualPrior)
    expect(shareOf(kinds, ({ unlike }) => unlike)).toBeCloseTo(unlikeLots, 10)
    expect(shareOf(kinds, ({ shut }) => shut)).toBeCloseTo(shutLots, 10)
    expect(shareOf(kinds, ({ culls }) => culls >= 0.25)).toBeCloseTo(0.03, 10)
  })
  it('are fewer where nothing was hurt, or drying out comes last', () => {
    const [all, dry, jar] = [
      kindsOf(true, true, usualPrior),
      kindsOf(true, false, usualPrior),
      kindsOf(false, false, usualPrior),
    ]
    expect(all.length).toBe(2 * dry.length)
    expect(dry.length).toBeGreaterThan(2 * jar.length)
    expect(jar.some(({ unlike, shut }) => unlike || shut)).toBe(false)
  })
  it('are one time in four nothing like the forecast: four standard deviations off still 33 in 1000 of the middle', () => {
    const kinds = kindsOf(false, false, usualPrior).sort((a, b) => a.scale - b.scale)
    const middle = kinds[(kinds.length - 1) / 2]!
    // (0.75·e^−8 + 0.25/2.5·e^−1.28) / (0.75 + 0.25/2.5)
    for (const far of [kinds[0]!, kinds.at(-1)!]) expect(far.belief / middle.belief).toBeCloseTo(0.03301, 5)
  })
  it('lie about what is thought of the lot', () => {
    const longer = kindsOf(false, false, { ...usualPrior, logMean: Math.log(1.4), logSd: 0.2 })
    const middle = longer.reduce((sum, { scale, belief }) => sum + belief * Math.log(scale), 0) / total(longer)
    expect(Math.exp(middle)).toBeCloseTo(1.4, 10)
  })
})

describe('each end’s law', () => {
  const laws = lawsOf(() => true)
  const [kind] = kindsOf(false, false, usualPrior)
  it('is half gone at the age of one, for a usual lot of a usual life', () => {
    const drying = laws.find(({ name }) => name === 'drying out')!
    const usual = { ...kind!, scale: 1 }
    expect(Math.exp(-drying.hazard(1) * drying.counts(usual))).toBeCloseTo(0.5, 12)
    // one that is shut in is as far after so much longer
    const shut = { ...usual, shut: true }
    expect(Math.exp(-drying.hazard(1 / shutDrying) * drying.counts(shut))).toBeCloseTo(0.5, 12)
    expect(drying.shape).toBe(endShape['drying out'])
  })
  it('has lost a tenth at the same age, however alike the pieces are', () => {
    const rots = laws.filter(({ name }) => name === 'rot')
    expect(rots).toHaveLength(2)
    const tenth = (-Math.log(0.9) / Math.LN2) ** (1 / endShape.rot)
    for (const unlike of [false, true]) {
      const of = { ...kind!, scale: 1, unlike }
      const hazard = rots.reduce((sum, law) => sum + law.hazard(tenth) * law.counts(of), 0)
      expect(Math.exp(-hazard)).toBeCloseTo(0.9, 12)
    }
  })
})

describe('what may be shut in better than its packing says', () => {
  const beet = cropById('beetroot')
  const open = steadyLife(beet, 10, 70, 'box').model
  it('is asked for only where drying out comes first', () => {
    expect(open.driesFirst).toBe(true)
    expect(steadyLife(beet, 10, 95, 'damp-sand').model.driesFirst).toBe(false)
    const ages = ends.map((name) => Float64Array.of(0, name === 'rot' ? 2 : name === 'drying out' ? 1 : 0))
    expect(driesFirst(ages)).toBe(false)
  })
  it('moves no date before anybody looks: one piece in two lives as long as without', () => {
    const life = unitLife(open, priorWeights(open))
    // the same ages without those states: all belief on the others
    const told: LifeModel = { ...open, prior: open.prior.map((belief, j) => (dries(open, j) ? belief : 0)) }
    const sum = told.prior.reduce((a, b) => a + b, 0)
    const without = unitLife(
      told,
      told.prior.map((belief) => belief / sum),
    )
    expect(life.p50 / without.p50).toBeLessThan(1.1)
    expect(life.p10 / without.p10).toBeLessThan(1.1)
  })
  it('keeps a lot that is shut in far longer', () => {
    const weights = priorWeights(open)
    const alive = weights.map((_, j) => soundShare(open, 40, j))
    const shut = alive.filter((_, j) => !dries(open, j))
    const dry = alive.filter((_, j) => dries(open, j))
    expect(Math.max(...shut)).toBeGreaterThan(0.9)
    const mean = (values: Float64Array) => values.reduce((a, b) => a + b, 0) / values.length
    expect(mean(shut)).toBeGreaterThan(mean(dry) + 0.3)
  })
  it('says so of the model made from the ages alone', () => {
    expect(lifeModel(ends.map(() => Float64Array.of(0, 0, 0))).driesFirst).toBe(false)
  })
})

/** Whether a state dries as its packing says. */
function dries(model: LifeModel, j: number): boolean {
  const i = model.names.indexOf('drying out')
  return Math.abs(model.counts[i]![j]! * model.scales[j]! ** endShape['drying out'] - 1) < 1e-6
}
