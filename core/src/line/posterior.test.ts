import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { believedBudgets, curingOf, curingPosterior, weightShare } from './index'

const curing = curingOf(cropById('garlic-hardneck'))

describe('what is believed of a budget', () => {
  it('weighs each test by its chance: passing rises about where the crop says, and one look in twenty is wrong', () => {
    const [test] = curing.endTests
    const prior = curingPosterior(curing, [], [])
    for (const passed of [true, false]) {
      const after = curingPosterior(curing, [], [{ powerKPaH: 350, test: test!.id, passed }])
      const chance = (budget: number) => {
        const pass = 0.05 + 0.9 / (1 + Math.exp(-(350 / budget - test!.passesAt.value) / test!.sharpness.value))
        return passed ? pass : 1 - pass
      }
      const unnormed = prior.weight.map((w, i) => w * chance(prior.budgetKPaH[i]!))
      const total = unnormed.reduce((a, b) => a + b, 0)
      unnormed.forEach((w, i) => expect(after.weight[i]).toBeCloseTo(w / total, 9))
    }
  })
  it('begins about what the crop usually takes, within the range it varies in', () => {
    const { budgetKPaH, weight } = curingPosterior(curing, [], [])
    const mean = weight.reduce((sum, w, i) => sum + w * Math.log(budgetKPaH[i]!), 0)
    const square = weight.reduce((sum, w, i) => sum + w * (Math.log(budgetKPaH[i]!) - mean) ** 2, 0)
    expect(Math.exp(mean)).toBeCloseTo(curing.budget.value, 6)
    expect(Math.sqrt(square) / curing.budgetLogSd.value).toBeCloseTo(1, 1)
  })
  it('comes down to each budget whatever the weight comes down to, without those nobody believes', () => {
    const posterior = curingPosterior(curing, [], [])
    const { budgetKPaH, weight } = believedBudgets(posterior)
    expect(budgetKPaH).toEqual([...budgetKPaH].sort((a, b) => a - b))
    expect(weight.reduce((a, b) => a + b, 0)).toBeCloseTo(1, 6)
    const of = budgetKPaH[20]!
    const there = posterior.weight.reduce((sum, w, i) => (posterior.budgetKPaH[i] === of ? sum + w : sum), 0)
    expect(weight[20]).toBeCloseTo(there, 12)
    const few = { ...posterior, weight: posterior.weight.map((w, i) => (i < 15 ? 1e-12 : w)) }
    expect(believedBudgets(few).budgetKPaH[0]).toBe(posterior.budgetKPaH[15])
  })
  it('reads of very many weighings the first, the last and thirty between', () => {
    const many = (n: number) =>
      Array.from({ length: n }, (_, i) => {
        const powerKPaH = (300 * i) / (n - 1)
        return { powerKPaH, weightG: 800 * weightShare(powerKPaH, 420, 0.72) }
      })
    // every tenth of 311 is one of 32: the same are read
    const [thinned, all] = [many(311), many(32)].map((weighings) => curingPosterior(curing, weighings, []).weight)
    thinned!.forEach((w, i) => expect(w).toBeCloseTo(all![i]!, 9))
  })
})
