import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { stream } from '../chance'
import { cropById } from '../almanac'
import { runningShare, steadyLife } from '../stores'
import { comparePolicies, drawFailures, lookingByBelief, simulateStore, type SimulatedStore } from './index'

const store = (over: Partial<SimulatedStore> = {}): SimulatedStore => ({
  failsOn: Float64Array.from({ length: 40 }, (_, i) => (i % 10 === 0 ? 20 + i : Infinity)),
  runs: new Uint8Array(40).fill(1),
  spreadPerWeek: 0.5,
  days: 120,
  finds: 1,
  seed: 4,
  ...over,
})
const every = (days: number) => () => days

describe('a simulated store', () => {
  it('loses nothing to neighbours where nothing spreads, or what goes bad harms nobody', () => {
    expect(simulateStore(store({ spreadPerWeek: 0 }), 7, every(7)).bySpread).toBe(0)
    expect(simulateStore(store({ runs: new Uint8Array(40) }), 7, every(7)).bySpread).toBe(0)
  })
  it('spoils whichever neighbour is left, the first of the row too', () => {
    const pair = { failsOn: Float64Array.from([Infinity, 1]), runs: new Uint8Array(2).fill(1), spreadPerWeek: 7 }
    expect(simulateStore(store(pair), 400, every(400))).toMatchObject({ byThemselves: 1, bySpread: 1 })
    // what goes on the last day of all has gone
    const last = { failsOn: Float64Array.of(30, 31), runs: new Uint8Array(2), days: 30 }
    expect(simulateStore(store(last), 400, every(400))).toMatchObject({ byThemselves: 1, bySpread: 0 })
  })
  it('spoils the nearest that is sound, past two that are bad and no more', () => {
    const row = (harmless: number) => {
      const fails = [1, ...Array.from({ length: harmless }, () => 1), Infinity]
      const runs = Uint8Array.from(fails, (_, i) => (i === 0 ? 1 : 0))
      return simulateStore(store({ failsOn: Float64Array.from(fails), runs, spreadPerWeek: 7 }), 400, every(400))
    }
    expect([0, 1, 2, 3].map((harmless) => row(harmless).bySpread)).toEqual([1, 1, 1, 0])
  })
  it('loses more the longer nobody looks', () => {
    const lost = (days: number) => {
      let sum = 0
      for (let seed = 1; seed <= 30; seed++) sum += simulateStore(store({ seed }), days, every(days)).bySpread
      return sum
    }
    expect(lost(7)).toBeLessThan(lost(28))
    expect(lost(28)).toBeLessThan(lost(400))
  })
  it('never loses more pieces than there are, and counts every look', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 1, max: 99 }), (days, seed) => {
        const seen: number[] = []
        const outcome = simulateStore(store({ seed }), days, (look) => {
          seen.push(look.bad + look.left)
          return days
        })
        return (
          outcome.byThemselves + outcome.bySpread <= 40 &&
          outcome.looks === seen.length &&
          seen.every((n, i) => n <= 40 && (i === 0 || n <= seen[i - 1]!))
        )
      }),
    )
  })
  it('is the same for the same seed', () => {
    expect(simulateStore(store(), 14, every(14))).toEqual(simulateStore(store(), 14, every(14)))
  })
})

describe('what runs to neighbours', () => {
  it('is rot, not sprouts: little in a warm garlic net, much in a damp cellar of squash', () => {
    const share = (id: string, t: number, rh: number) => {
      const { model } = steadyLife(cropById(id), t, rh, 'box')
      return runningShare(model, 0, Math.min(200, model.days), 20)
    }
    expect(share('garlic-hardneck', 12, 60)).toBeLessThan(0.2)
    expect(share('squash-butternut', 12, 90)).toBeGreaterThan(0.8)
  })
})

describe('looking by belief', () => {
  const { model } = steadyLife(cropById('apple-late'), 5, 92, 'box')
  it('comes back sooner after finding bad ones', () => {
    const calm = lookingByBelief(model, 100, 0.35)({ day: 30, lookedAt: 100, bad: 0 })
    const alarmed = lookingByBelief(model, 100, 0.35)({ day: 30, lookedAt: 100, bad: 9 })
    expect(alarmed).toBeLessThan(calm)
  })
  it('draws lives that half outlive the middle', () => {
    const { model } = steadyLife(cropById('apple-late'), 15, 92, 'box')
    const fails = [...drawFailures(model, model.usual, 400, stream(9))].sort((a, b) => a - b)
    const curve = fails.filter((d) => d <= fails[200]!).length
    expect(curve).toBeGreaterThan(190)
    expect(curve).toBeLessThan(215)
  })
  it('loses fewer than the calendar with as many looks, says how far it is, and refuses what no store is', () => {
    const told: number[] = []
    const input = { crop: cropById('carrot'), temperatureC: 4, relativeHumidityPct: 95, pieces: 100, everyWeeks: 3 }
    const { everyWeeks, byBelief, fewerLostPct } = comparePolicies(input, (share) => told.push(share))
    expect(Math.abs(byBelief.looks / everyWeeks.looks - 1)).toBeLessThan(0.12)
    expect(fewerLostPct).toBeGreaterThan(5)
    expect(told.at(-1)).toBeCloseTo(1, 6)
    expect(told).toEqual([...told].sort((a, b) => a - b))
    expect(() => comparePolicies({ ...input, pieces: 3 })).toRefuse(/pieces/)
    expect(() => comparePolicies({ ...input, everyWeeks: 0 })).toRefuse(/everyWeeks/)
  })
  it.each([
    ['garlic-hardneck', 3, 60, 400, 2],
    ['onion-storing', 6, 65, 120, 3],
  ] as const)(
    'does not gather the looks late where most of %s only sprouts',
    (id, temperatureC, rh, pieces, everyWeeks) => {
      const input = { crop: cropById(id), temperatureC, relativeHumidityPct: rh, pieces, everyWeeks, seed: 3 }
      const { everyWeeks: fixed, byBelief } = comparePolicies(input)
      expect(Math.abs(byBelief.looks / fixed.looks - 1)).toBeLessThan(0.12)
      // hardly anything runs: a tenth of a piece is chance
      expect(byBelief.lostBySpread).toBeLessThan(fixed.lostBySpread + 0.1)
    },
  )
})
