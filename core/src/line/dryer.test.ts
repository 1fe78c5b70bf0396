import { describe, expect, it } from 'vitest'
import { hourMs } from '../air'
import { crops } from '../almanac'
import { dryerState, dryingFit, traysMoisturePct } from './index'

describe('a load in the dryer', () => {
  const crop = crops.find((c) => c.dehydrating)!
  const [lo, hi] = crop.dehydrating!.airC.value
  const load = { atMs: 0, weightG: 1000, airC: (lo + hi) / 2, weighings: [], rotatedAtMs: null }
  const wet = (pct: number) => pct / (100 - pct)
  it('falls evenly by ratio from what it brought to what is dry, in the book’s hours', () => {
    const start = wet(traysMoisturePct(crop))
    const end = wet(crop.dehydrating!.finalMoisturePct.value)
    const done = dryerState(crop, load, 1000, 0).doneAtMs.p50
    for (const part of [0.25, 0.5, 0.8]) {
      const { moisturePct, progress } = dryerState(crop, load, 1000, part * done)
      const dry = start * (end / start) ** part
      expect(moisturePct).toBeCloseTo((100 * dry) / (1 + dry), 6)
      expect(progress).toBeCloseTo((start - dry) / (start - end), 6)
    }
    // long after it is half as wet as it should be, no less
    const after = dryerState(crop, load, 1000, 10 * done)
    expect(after.moisturePct).toBeCloseTo((100 * end) / 2 / (1 + end / 2), 9)
    expect(after.progress).toBe(1)
    expect(dryerState(crop, load, 1000, -hourMs).progress).toBe(0)
  })
  it('takes 20 to 80 °C, and a weighing of what is drier than dry for done', () => {
    expect(() => dryerState(crop, { ...load, airC: 19.9 }, 1000, 0)).toRefuse(/airC/)
    expect(() => dryerState(crop, { ...load, airC: 80.1 }, 1000, 0)).toRefuse(/airC/)
    expect(dryerState(crop, { ...load, airC: 80 }, 1000, 0).doneAtMs.p50).toBeGreaterThan(0)
    expect(dryerState(crop, { ...load, airC: 20 }, 1000, 0).doneAtMs.p50).toBeGreaterThan(0)
    const dryG = 1000 * (1 - traysMoisturePct(crop) / 100)
    const light = (weightG: number) => ({ ...load, weighings: [{ atMs: 4 * hourMs, weightG }] })
    const [bone, drier] = [0.99, 0.9].map((share) => dryerState(crop, light(share * dryG), 1000, 4 * hourMs).doneAtMs)
    expect(drier).toEqual(bone)
    // one that has not lost anything in four hours is slow, and no more than that
    const heavy = dryerState(crop, light(1000), 1000, 4 * hourMs).doneAtMs
    expect(heavy.p50).toBeGreaterThan(dryerState(crop, load, 1000, 4 * hourMs).doneAtMs.p50)
    expect(dryerState(crop, light(1005), 1000, 4 * hourMs).doneAtMs).toEqual(heavy)
    expect(Number.isFinite(heavy.p90)).toBe(true)
  })
})

describe('a batch that keeps to a law exactly', () => {
  const m0 = 85 / 15
  const batch = (towards: number, hours: readonly number[]) =>
    hours.map((t) => ({ hours: t, weightG: 150 * (1 + towards + (m0 - towards) * Math.exp(-0.3 * t)) }))
  it('is done when the law says, and its curve goes through the weighings', () => {
    const hours = [0, 1, 2, 3, 4, 5]
    const fit = dryingFit(batch(0, hours), 85, 20)
    // ln(5.667 / 0.25) / 0.3
    expect(fit.readyAtHours.p50 / (Math.log(m0 / 0.25) / 0.3)).toBeCloseTo(1, 1)
    expect(fit.targetWeightG).toBeCloseTo(187.5, 9)
    for (const { hours: t, weightG } of fit.curve.filter((point) => point.hours <= 5)) {
      expect(Math.abs(weightG / (150 * (1 + m0 * Math.exp(-0.3 * t))) - 1)).toBeLessThan(0.01)
    }
    expect(fit.curve).toHaveLength(61)
    expect(fit.parameters['k']).toBeCloseTo(0.3, 1)
  })
  it('is surer of the end the nearer it is: a fifth of the time left, and a fiftieth of all', () => {
    const near = dryingFit(batch(0, [0, 1, 2, 3, 4, 5, 6, 7, 8, 9]), 85, 20).readyAtHours
    const far = dryingFit(batch(0, [0, 1, 2, 3, 4, 5]), 85, 20).readyAtHours
    const truth = Math.log(m0 / 0.25) / 0.3
    const atLeast = (last: number) => 1.2816 * Math.hypot(0.22, (0.02 * truth) / (truth - last))
    for (const [{ p50, p90 }, last] of [
      [near, 9],
      [far, 5],
    ] as const) {
      const spread = Math.log((p90 - last) / (p50 - last))
      expect(spread).toBeGreaterThan(0.9 * atLeast(last))
      expect(spread).toBeLessThan(2 * atLeast(last))
    }
  })
  it('that was over before it was last weighed was ready then', () => {
    const { p50 } = dryingFit(batch(0, [0, 2, 4, 6, 8, 10, 12, 14]), 85, 20).readyAtHours
    expect(p50 / (Math.log(m0 / 0.25) / 0.3)).toBeCloseTo(1, 1)
  })
})
