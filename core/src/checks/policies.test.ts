import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { stream } from '../chance'
import { dayOfShare, meanSoundShare, noneBad, soundShare, steadyLife, usualPacking } from '../stores'
import {
  asManyLooks,
  beliefNow,
  comparePolicies,
  drawFailures,
  drawState,
  lookingByBelief,
  nextCheckInDays,
  noLooksYet,
  takeInLook,
} from './index'
import { living } from './made-up-life'

describe('simulated stores are drawn as the model says', () => {
  it('a state as often as it is believed in', () => {
    const model = living([1, 2, 3], [0.2, 0.5, 0.3])
    const at = (u: number) => drawState(model, () => u)
    expect([0, 0.19, 0.21, 0.69, 0.71, 0.999].map(at)).toEqual([0, 0, 1, 1, 2, 2])
  })
  it('a piece on the day its share is reached, or never', () => {
    const model = living([1, 2], [0.5, 0.5])
    const drawn = (u: number, j: number) => drawFailures(model, j, 1, () => u)[0]!
    for (const u of [0.9, 0.5, 0.2]) {
      expect(Math.abs(drawn(u, 0) - 100 * Math.log(1 / u))).toBeLessThanOrEqual(0.25)
      expect(Math.abs(drawn(u, 1) - 200 * Math.log(1 / u))).toBeLessThanOrEqual(0.25)
    }
    // four hundred days leave e^−4 of them
    expect(drawn(0.018, 0)).toBe(Infinity)
    expect(drawn(0.019, 0)).toBeLessThan(400)
  })
  it('looking by belief asks the belief after each look, of all there are or of those left', () => {
    const model = living([0.5, 1, 2], [0.25, 0.5, 0.25])
    const asked = lookingByBelief(model, 100, 0.35, 1)
    const none = { weights: model.prior, bad: [noneBad, noneBad, noneBad] }
    expect(asked({ day: 0, lookedAt: 0, bad: 0 })).toBe(nextCheckInDays(model, none, 0, 100, 0.35, 1))
    const looks = noLooksYet(model)
    takeInLook(model, looks, { day: 20, lookedAt: 100, bad: 12, lotSize: 100 }, 0.35)
    expect(asked({ day: 20, lookedAt: 100, bad: 12 })).toBe(nextCheckInDays(model, beliefNow(looks), 20, 88, 0.35, 1))
    expect(lookingByBelief(model, 100, 0.35, 1000, 21)({ day: 0, lookedAt: 0, bad: 0 })).toBe(21)
  })
  it('bears as much as takes about as many looks, found by halving the ratio, ten times at most', () => {
    const told: number[] = []
    const run = (bearable: number) => ({ looks: 50 / bearable, bearable })
    const found = asManyLooks(20, 0.01, 100, run, (share) => told.push(share))
    expect(Math.abs(found.looks / 20 - 1)).toBeLessThan(0.005)
    expect(told[0]).toBe(0.1)
    expect(told.at(-1)).toBe(1)
    expect(asManyLooks(50, 0.01, 100, run).bearable).toBe(1)
    let tried = 0
    asManyLooks(20, 0.01, 100, () => ({ looks: 20.2 + 0 * tried++ }))
    expect(tried).toBe(10)
  })
  it('are followed until a third of a middling lot would have gone, at least a fortnight and at most fourteen months', () => {
    const days = (id: string, temperatureC: number, relativeHumidityPct: number, packing?: 'jar') =>
      comparePolicies({ crop: cropById(id), temperatureC, relativeHumidityPct, pieces: 10, everyWeeks: 12, packing })
        .days
    const { model } = steadyLife(cropById('carrot'), 8, 92, usualPacking(cropById('carrot')))
    const third = dayOfShare((day) => soundShare(model, day, model.usual), 0.67, model.days)
    expect(Math.abs(days('carrot', 8, 92) - third)).toBeLessThanOrEqual(1)
    expect(days('raspberry', 25, 60)).toBe(14)
    expect(days('bean-drying', 5, 50, 'jar')).toBe(420)
    expect(meanSoundShare(model, model.prior, third)).toBeLessThan(0.8)
  })
  it('draw pieces that half outlive the middle, by chance', () => {
    const model = living([1], [1])
    const fails = drawFailures(model, 0, 2000, stream(3))
    const gone = fails.filter((day) => day <= 100 * Math.LN2).length
    expect(gone / 2000).toBeGreaterThan(0.47)
    expect(gone / 2000).toBeLessThan(0.53)
  })
})
