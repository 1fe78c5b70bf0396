import { describe, expect, it } from 'vitest'
import { airSeries, hourMs, steadyAir } from '../air'
import { cropById } from '../almanac'
import { hardlyGives } from '../assumptions'
import { curingOf, healingRate, hourGives, instantReaching, stalls } from './index'

const curing = curingOf(cropById('garlic-hardneck'))

describe('what an hour gives', () => {
  it('of healing: all in the range, less for each degree and each point outside of it, by hand', () => {
    const potato = curingOf(cropById('potato-maincrop'))
    const [lo, hi] = potato.healsAtC!.value
    const [dry, damp] = potato.healsAtPct!.value
    const rate = (t: number, rh = dry) => healingRate(potato, t, rh)
    expect([rate(lo), rate(hi), rate(lo, damp)]).toEqual([1, 1, 1])
    expect(rate(lo, dry - 10)).toBeCloseTo(0.8, 12)
    expect(rate(lo, Math.min(100, damp + 4))).toBeCloseTo(1 - 0.02 * Math.min(100 - damp, 4), 12)
    // however dry, three tenths of it go on
    expect(rate(lo, dry - 60)).toBeCloseTo(0.3, 12)
    expect(rate(hi + 6)).toBeCloseTo(0.5, 12)
    expect(rate(hi + 12)).toBe(0)
    // nothing heals below 2 °C, or 14 degrees below its best
    const none = Math.max(2, lo - 14)
    expect(rate((lo + none) / 2)).toBeCloseTo(0.5, 12)
    expect(rate(none)).toBe(0)
    const squash = curingOf(cropById('squash-butternut'))
    const [warm] = squash.healsAtC!.value
    expect(healingRate(squash, warm - 7, squash.healsAtPct!.value[0])).toBeCloseTo(0.5, 12)
  })
  it('is nothing to speak of under a fiftieth of a kilopascal, or a tenth of the best healing', () => {
    const still = curing.stillAbovePct?.value ?? 86
    // ever damper by a twentieth of a point, at 20 °C
    const rh = Float64Array.from({ length: 80 }, (_, i) => still - 4 + i / 20)
    const air = airSeries(0, new Float64Array(80).fill(20), rh)
    const first = rh.findIndex((_, i) => stalls(air, i, curing))
    expect(hourGives(air, first, curing)).toBeLessThan(hardlyGives.pull)
    expect(hourGives(air, first - 1, curing)).toBeGreaterThanOrEqual(hardlyGives.pull)
    const potato = curingOf(cropById('potato-maincrop'))
    const [lo] = potato.healsAtC!.value
    const at = (share: number) => {
      const none = Math.max(2, lo - 14)
      return stalls(steadyAir(none + share * (lo - none), potato.healsAtPct!.value[0], 1), 0, potato)
    }
    expect([at(0.09), at(0.11)]).toEqual([true, false])
  })
  it('reaches a sum at its first hour, and within an hour in a straight line', () => {
    const air = steadyAir(20, 60, 4)
    const running = Float64Array.of(0, 2, 2, 2, 6)
    expect(instantReaching(air, running, 2)).toBe(hourMs)
    expect(instantReaching(air, running, 3)).toBe(3.25 * hourMs)
    expect(instantReaching(air, running, 6)).toBe(4 * hourMs)
    expect(instantReaching(air, running, 6.01)).toBe(Infinity)
  })
})
