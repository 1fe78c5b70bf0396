import { describe, expect, it } from 'vitest'
import { normalDeviate, stream } from '../chance'
import { dryingFit } from './index'

/** Truths that are none of the fitted laws: moisture, dry basis, against hours, from how a batch is made. */
type World = (k: number, me: number, m0: number, random: () => number) => (hours: number) => number
const stepH = 0.02

/** Steps dM/dt from the start. */
function stepped(m0: number, slope: (m: number, t: number) => number): (hours: number) => number {
  const at = [m0]
  return (hours) => {
    const n = Math.round(hours / stepH)
    while (at.length <= n) {
      const m = at.at(-1)!
      at.push(m + stepH * slope(m, at.length * stepH))
    }
    return at[n]!
  }
}
const worlds: Record<string, World> = {
  // Crank 1975, The Mathematics of Diffusion, slab, eq. 4.18 (recalled): the sum of all its modes
  'slab diffusion': (k, me, m0) => (hours) => {
    let sum = 0
    for (let i = 0; i < 40; i++) sum += Math.exp(-((2 * i + 1) ** 2) * k * 0.8 * hours) / (2 * i + 1) ** 2
    return me + (m0 - me) * (8 / Math.PI ** 2) * sum
  },
  // wet skin first, then the falling rate
  'constant, then falling': (k, me, m0, random) => {
    const critical = me + (m0 - me) * (0.35 + 0.3 * random())
    return stepped(m0, (m) => -k * (m > critical ? critical - me : m - me))
  },
  // a thermostat and a kitchen that cools at night
  'a cycling dryer': (k, me, m0, random) => {
    const phase = 6.28 * random()
    return stepped(
      m0,
      (m, t) => -k * (1 + 0.25 * Math.sin(t * 2 + phase) + 0.2 * Math.sin((t * 6.28) / 24 + phase)) * (m - me),
    )
  },
  // changed round: each tray has had its turn at the warm end
  'swapped trays': (k, me, m0, random) => {
    const every = 1.5 + 2 * random()
    const pace = Array.from({ length: 40 }, () => 0.7 + 0.6 * random())
    return stepped(m0, (m, t) => -k * pace[Math.min(39, Math.floor(t / every))]! * (m - me))
  },
}

describe('windows of a batch whose law is none of the fitted ones', () => {
  it.each(Object.entries(worlds))(
    '%s: they hold the truth about four times in five, and come close',
    (_name, world) => {
      const m0 = 0.85 / 0.15
      const target = 0.2 / 0.8
      let held = 0
      let asked = 0
      const misses: number[] = []
      for (let seed = 1; seed <= 120; seed++) {
        const random = stream(seed)
        const k = 0.18 + 0.25 * random()
        const me = 0.02 + 0.08 * random()
        const moisture = world(k, me, m0, random)
        let truth = 0
        while (moisture(truth) > target) truth += stepH
        // weighed every two hours or so until somewhere between half of the time and most of it
        const until = truth * (0.5 + 0.3 * random())
        const every = 1.2 + 0.8 * random()
        const times = Array.from({ length: 14 }, (_, i) => i * every).filter((t) => t < until)
        if (times.length < 4) continue
        const weighings = times.map((hours) => ({
          hours,
          weightG: 150 * (1 + moisture(hours)) * (1 + (hours ? 0.006 * normalDeviate(random) : 0)),
        }))
        const { readyAtHours } = dryingFit(weighings, 85, 20)
        asked++
        misses.push((readyAtHours.p50 - truth) / (truth - times.at(-1)!))
        if (readyAtHours.p10 <= truth && truth <= readyAtHours.p90) held++
      }
      expect(asked).toBeGreaterThan(80)
      const share = held / asked
      expect(share).toBeGreaterThanOrEqual(0.7)
      expect(share).toBeLessThanOrEqual(0.92)
      // the middle leans to neither side by more than a quarter of the time left
      expect(Math.abs(misses.sort((a, b) => a - b)[misses.length >> 1]!)).toBeLessThan(0.25)
    },
  )
})
