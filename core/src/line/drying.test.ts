import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hourMs } from '../air'
import { normalDeviate, stream } from '../chance'
import { crops } from '../almanac'
import { leastRatioSd } from '../assumptions'
import { Refusal } from '../refusal'
import { dryingFit, dryWeight, fitThinLayer, thinLayers, dryerState, traysMoisturePct } from './index'

describe('dry weight', () => {
  it.each([
    // USDA FoodData Central water contents (recalled), ratio by mass balance
    [10_000, 85.56, 20, 1805.0, 5.54],
    [1000, 92.21, 10, 86.56, 11.55],
    [1000, 80.54, 15, 228.94, 4.37],
  ])('%i g at %f pct to %f pct gives %f g', (fresh, m0, mt, target, ratio) => {
    const answer = dryWeight(fresh, m0, mt)
    expect(answer.targetWeightG).toBeCloseTo(target, 1)
    expect(answer.dryingRatio).toBeCloseTo(ratio, 2)
    expect(answer.targetWeightG + answer.waterToLoseG).toBeCloseTo(fresh, 9)
  })
  it('keeps the dry matter, whatever the numbers', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 1e6, noNaN: true }),
        fc.double({ min: 30, max: 98, noNaN: true }),
        fc.double({ min: 1, max: 29, noNaN: true }),
        (w, m0, mt) => {
          const { targetWeightG } = dryWeight(w, m0, mt)
          return Math.abs(targetWeightG * (1 - mt / 100) - w * (1 - m0 / 100)) < 1e-6 * w
        },
      ),
    )
  })
  it('refuses drying that adds water', () => {
    expect(() => dryWeight(100, 10, 20)).toRefuse(/below/)
    expect(() => dryWeight(NaN, 80, 20)).toThrow(Refusal)
  })
})

describe('thin-layer models at their synthetic check points (arithmetic)', () => {
  const at = (id: string, p: number[], t: number) => thinLayers.find((m) => m.id === id)!.ratio(p)(t)
  it.each([
    [1, 0.740818, 0.740818, 0.738818],
    [2, 0.513892, 0.548812, 0.509892],
    [4, 0.228236, 0.301194, 0.220236],
    [8, 0.037685, 0.090718, 0.021685],
  ])('at %i h', (t, page, newton, midilli) => {
    expect(at('page', [0.3, 1.15], t)).toBeCloseTo(page, 6)
    expect(at('newton', [0.3], t)).toBeCloseTo(newton, 6)
    expect(at('midilli-kucuk', [1, 0.3, 1.15, -0.002], t)).toBeCloseTo(midilli, 6)
  })
  it('finds the parameters a curve was drawn with', () => {
    const hours = [0, 1, 2, 3, 4, 6, 8]
    const page = thinLayers[1]!
    const fit = fitThinLayer(page, hours, hours.map(page.ratio([0.3, 1.15])))!
    expect(fit.values[0]).toBeCloseTo(0.3, 2)
    expect(fit.values[1]).toBeCloseTo(1.15, 2)
  })
  it('is unsure by what the points miss the curve by, one point spent on each parameter', () => {
    const hours = [0, 1, 2, 3, 4, 6]
    const newton = thinLayers.find(({ id }) => id === 'newton')!
    const ratios = hours.map((t, i) => newton.ratio([0.25])(t) + (i % 2 ? 0.03 : -0.03))
    const { values, sd, aicc, covariance } = fitThinLayer(newton, hours, ratios)!
    const missed = hours.reduce((sum, t, i) => sum + (ratios[i]! - newton.ratio(values)(t)) ** 2, 0)
    expect(sd).toBeCloseTo(Math.sqrt(missed / 5), 9)
    // Hurvich & Tsai 1989 (recalled): with the variance two are fitted
    expect(aicc).toBeCloseTo(6 * Math.log(missed / 6) + 2 * 2 + (2 * 2 * 3) / (6 - 2 - 1), 9)
    const page = thinLayers.find(({ id }) => id === 'page')!
    const close = fitThinLayer(page, hours, hours.map(page.ratio([0.3, 1.15])))!
    // what fits to less than half of what a scale can tell fits no better than that
    expect(close.aicc).toBeCloseTo(6 * Math.log(leastRatioSd ** 2 / 4) + 2 * 3 + (2 * 3 * 4) / (6 - 3 - 1), 6)
    // how its two figures hang together: sd² over the inverse of JᵀJ, of e^(−k tⁿ) by k −tⁿ e^(−k tⁿ), by n k ln t times that
    const [k, n] = close.values as [number, number]
    const rows = hours.map((t) => {
      const by = -(t ** n) * Math.exp(-k * t ** n)
      return [by, t > 0 ? k * Math.log(t) * by : 0] as const
    })
    const sum = (i: 0 | 1, j: 0 | 1) => rows.reduce((all, row) => all + row[i] * row[j], 0)
    const determinant = sum(0, 0) * sum(1, 1) - sum(0, 1) ** 2
    const share = (of: number, exact: number) => expect(of / ((close.sd ** 2 * exact) / determinant)).toBeCloseTo(1, 4)
    share(close.covariance[0]![0]!, sum(1, 1))
    share(close.covariance[1]![1]!, sum(0, 0))
    share(close.covariance[0]![1]!, -sum(0, 1))
    expect(fitThinLayer(page, hours.slice(0, 4), [1, 0.8, 0.6, 0.5])).toBeUndefined()
    // of e^(−k t) by k: −t e^(−k t)
    const slopes = hours.reduce((sum, t) => sum + (t * Math.exp(-values[0]! * t)) ** 2, 0)
    expect(covariance[0]![0]!).toBeCloseTo(sd ** 2 / slopes, 6)
  })
})

describe('when the dryer is done', () => {
  /** Weighings of a tray dried by Page's law with a scale that misses. */
  const tray = (k: number, n: number, hours: number[], seed: number, noise = 0.005) => {
    const next = stream(seed)
    const dry = 1000 * 0.15
    const m0 = 0.85 / 0.15
    return hours.map((h) => ({
      hours: h,
      weightG: dry * (1 + m0 * Math.exp(-k * h ** n)) * (1 + (h ? noise * normalDeviate(next) : 0)),
    }))
  }
  it('comes close to the truth from half of the drying, and its window holds it most times', () => {
    let held = 0
    const misses: number[] = []
    for (let seed = 1; seed <= 40; seed++) {
      const k = 0.22 + 0.004 * seed
      const n = 0.95 + 0.005 * seed
      const truth = (-Math.log(0.25 / (0.85 / 0.15)) / k) ** (1 / n)
      const { readyAtHours } = dryingFit(tray(k, n, [0, 1, 2, 3.5, 5, 6.5], seed), 85, 20)
      misses.push(Math.abs(readyAtHours.p50 - truth) / truth)
      if (readyAtHours.p10 <= truth && truth <= readyAtHours.p90) held++
    }
    expect(misses.sort((a, b) => a - b)[20]).toBeLessThan(0.1)
    expect(held).toBeGreaterThanOrEqual(24)
  })
  it('never puts the end before the last weighing, and leaves more room after than before', () => {
    const rooms: number[] = []
    for (let seed = 1; seed <= 20; seed++) {
      const { p10, p50, p90 } = dryingFit(tray(0.24, 1, [0, 1, 2, 3, 4], seed), 85, 20).readyAtHours
      expect(p10).toBeGreaterThan(4)
      rooms.push((p90 - p50) / (p50 - p10))
    }
    expect(rooms.sort((a, b) => a - b)[10]).toBeGreaterThan(1.2)
  })
  it('lies in the band the handbook gives for apple rings at 60 °C, 6–12 h (NCHFP, recalled)', () => {
    const { readyAtHours, targetWeightG } = dryingFit(
      [
        { hours: 0, weightG: 1000 },
        { hours: 2, weightG: 610 },
        { hours: 4, weightG: 390 },
        { hours: 6, weightG: 275 },
      ],
      85.56,
      20,
    )
    expect(targetWeightG).toBeCloseTo(180.5, 1)
    expect(readyAtHours.p50).toBeGreaterThan(6)
    expect(readyAtHours.p50).toBeLessThan(12)
  })
  it('refuses two weighings within a minute, however near they stand', () => {
    for (const hours of [0, 5e-324, 1e-9, 0.01]) {
      const weighings = [
        { hours: 0, weightG: 1000 },
        { hours, weightG: 151 },
      ]
      expect(() => dryingFit(weighings, 85, 20), String(hours)).toRefuse(/less than a minute apart/)
    }
  })
  it('makes do with two weighings for the simplest curve, and says of them that it is not over', () => {
    const newton = thinLayers.find((model) => model.id === 'newton')!
    expect(fitThinLayer(newton, [0, 3], [1, 0.5])!.values[0]).toBeCloseTo(Math.LN2 / 3, 2)
    // a tray that has hardly lost any water is not done before it was weighed, however little is known
    const { readyAtHours } = dryingFit(
      [
        { hours: 0, weightG: 1000 },
        { hours: 3, weightG: 940 },
      ],
      85,
      20,
    )
    expect(readyAtHours.p10).toBeGreaterThan(3)
    expect(readyAtHours.p90).toBeGreaterThan(1.5 * readyAtHours.p10)
  })
  it('takes time from the first weighing, in any order', () => {
    const weighings = tray(0.3, 1, [0, 2, 4, 6], 3, 0)
    const later = weighings.map((w) => ({ ...w, hours: w.hours + 10 })).reverse()
    const [curve, moved] = [weighings, later].map((all) => dryingFit(all, 85, 20).curve)
    expect(moved!.map((p) => p.hours - 10)).toEqual(curve!.map((p) => expect.closeTo(p.hours, 6)))
    // drawn from the first weighing to a tenth past the late end
    const late = dryingFit(weighings, 85, 20).readyAtHours.p90
    expect([curve![0]!.hours, curve!.at(-1)!.hours]).toEqual([0, expect.closeTo(1.1 * Math.max(6, late), 6)])
    expect(dryingFit(later, 85, 20).readyAtHours.p50).toBeCloseTo(dryingFit(weighings, 85, 20).readyAtHours.p50 + 10, 6)
  })
  it.each([
    ['one weighing', [{ hours: 0, weightG: 1000 }], /two weighings/],
    [
      'rising weights',
      [
        { hours: 0, weightG: 900 },
        { hours: 2, weightG: 950 },
      ],
      /do not fall/,
    ],
    [
      'less than its dry matter',
      [
        { hours: 0, weightG: 1000 },
        { hours: 9, weightG: 90 },
      ],
      /dry matter/,
    ],
    [
      'the same hour twice',
      [
        { hours: 0, weightG: 1000 },
        { hours: 0, weightG: 900 },
      ],
      /Two weighings/,
    ],
    [
      'a crawl',
      [
        { hours: 0, weightG: 1000 },
        { hours: 24, weightG: 995 },
      ],
      /60 days/,
    ],
  ])('refuses %s', (_name, weighings, says) => {
    expect(() => dryingFit(weighings, 85, 20)).toRefuse(says)
  })
  it('asks for two grams lost of a thousand before it calls it drying', () => {
    const fit = (last: number) =>
      dryingFit(
        [
          { hours: 0, weightG: 1000 },
          { hours: 1, weightG: last },
        ],
        85,
        20,
      )
    expect(() => fit(999)).toRefuse(/do not fall/)
    expect(() => fit(1001)).toRefuse(/do not fall/)
    expect(fit(997).readyAtHours.p50).toBeGreaterThan(20)
  })
  it('leans on a weighing by how far it can mislead, by hand', () => {
    const crop = crops.find(
      (c) => c.dehydrating && Math.log(c.dehydrating.hours.value[1] / c.dehydrating.hours.value[0]) > 0.3,
    )!
    const [least, most] = crop.dehydrating!.hours.value
    const airC = (crop.dehydrating!.airC.value[0] + crop.dehydrating!.airC.value[1]) / 2
    const wetG = 1000 * (1 - traysMoisturePct(crop) / 100)
    const load = {
      atMs: 0,
      weightG: 1000,
      airC,
      weighings: [] as { atMs: number; weightG: number }[],
      rotatedAtMs: null,
    }
    const usual = dryerState(crop, load, 1000, 0)
    const [start, end] = [1000 / wetG - 1, usual.targetG / wetG - 1]
    const usualPace = Math.log(start / end) / Math.sqrt(least * most)
    // after two hours it has dried as twice the usual pace would
    const weightG = wetG * (1 + start * Math.exp(-2 * usualPace * 2))
    const state = dryerState(crop, { ...load, weighings: [{ atMs: 2 * hourMs, weightG }] }, 1000, 2 * hourMs)
    const spread = Math.log(most / least) / 2 / 1.2816
    const trust = spread ** 2 / (spread ** 2 + 0.15 ** 2)
    const hours = Math.sqrt(least * most) / 2 ** trust
    expect(state.doneAtMs.p50 / hourMs).toBeCloseTo(hours, 3)
    expect(state.doneAtMs.p90 / hourMs).toBeCloseTo(hours * Math.exp(1.2816 * spread * Math.sqrt(1 - trust)), 3)
    expect(state.rotateAtMs / hourMs).toBeCloseTo(hours / 2, 3)
    // one within the first quarter of an hour says nothing
    const soon = { ...load, weighings: [{ atMs: 0.2 * hourMs, weightG: 900 }] }
    expect(dryerState(crop, soon, 1000, 0.2 * hourMs).doneAtMs).toEqual(usual.doneAtMs)
    // in cooler air the pull of it is less: from what is drawn in, 1.17 kPa
    const pull = (c: number) => 0.61094 * Math.exp((17.625 * c) / (c + 243.04)) - 1.17
    const cooler = dryerState(crop, { ...load, airC: airC - 10 }, 1000, 0).doneAtMs.p50 / usual.doneAtMs.p50
    expect(Math.abs(cooler / (pull(airC) / pull(airC - 10)) - 1)).toBeLessThan(0.01)
  })
  it('what is back for beads stays in for two hours at least', () => {
    const crop = crops.find((c) => c.dehydrating)!
    const airC = (crop.dehydrating!.airC.value[0] + crop.dehydrating!.airC.value[1]) / 2
    const { targetG } = dryerState(crop, { atMs: 0, weightG: 1000, airC, weighings: [], rotatedAtMs: null }, 1000, 0)
    const again = { atMs: 0, weightG: targetG * 1.01, airC, weighings: [], rotatedAtMs: null }
    expect(dryerState(crop, again, 1000, 0).doneAtMs.p50).toBe(2 * hourMs)
  })
  it('dries every crop that goes on trays, from what water it brings to less', () => {
    const onTrays = crops.filter((c) => c.dehydrating)
    expect(onTrays.length).toBeGreaterThan(20)
    for (const crop of onTrays) {
      const [lo, hi] = crop.dehydrating!.airC.value
      const load = { atMs: 0, weightG: 1000, airC: (lo + hi) / 2, weighings: [], rotatedAtMs: null }
      const begun = dryerState(crop, load, 1000, 0)
      expect(begun.targetG, crop.id).toBeLessThan(1000)
      expect(begun.targetG, crop.id).toBeGreaterThan(10)
      expect(begun.progress).toBe(0)
      expect(begun.moisturePct, crop.id).toBeCloseTo(traysMoisturePct(crop), 3)
      const { p10, p50, p90 } = begun.doneAtMs
      expect(0 < p10 && p10 < p50 && p50 < p90, crop.id).toBe(true)
      // in its usual air the book's hours: their middle by ratio, and the ends of them for eight in ten
      const [least, most] = crop.dehydrating!.hours.value
      expect(p50 / hourMs, crop.id).toBeCloseTo(Math.sqrt(least * most), 2)
      if (Math.log(most / least) > 0.3) {
        expect(p10 / hourMs, crop.id).toBeCloseTo(least, 2)
        expect(p90 / hourMs, crop.id).toBeCloseTo(most, 2)
      }
      expect(dryerState(crop, load, 1000, p50).progress, crop.id).toBeCloseTo(1, 2)
    }
  })
})
