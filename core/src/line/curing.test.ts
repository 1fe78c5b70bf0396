import { inPlainWords } from '@vadose/words'
import { told } from '../message'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hourMs, joinSeries, steadyAir } from '../air'
import { cropById } from '../almanac'
import { dayMs } from '../households'
import { airflowWalkKPaH, curedShare, scaleNoise } from '../assumptions'
import {
  curingPosterior,
  curingState,
  expectedNowG,
  weightCurve,
  weightShare,
  whatWouldHelp,
  type Airflow,
  type CuringLot,
} from './index'

const garlic = cropById('garlic-hardneck')
const onion = cropById('onion-storing')

const hung = (crop = garlic, t = 20, rh = 60, airflow: Airflow = 'breezy', nowDay = 0): CuringLot => ({
  crop,
  air: steadyAir(t, rh, 24 * 120),
  nowMs: nowDay * dayMs,
  airflow: [{ atMs: 0, airflow }],
  weighings: [],
  tests: [],
})
const readyDays = (lot: CuringLot) => {
  const { p10, p50, p90 } = curingState(lot).readyAtMs
  return { p10: p10 / dayMs, p50: p50 / dayMs, p90: p90 / dayMs }
}

describe('curing budget against practice in its own climates', () => {
  it('garlic: about three weeks in shaded moving air near 20 °C and 60 % (common practice, no source)', () => {
    const { p50 } = readyDays(hung(garlic, 20, 60))
    expect(p50).toBeGreaterThan(18)
    expect(p50).toBeLessThan(24)
  })
  it('garlic: two to three weeks in warm, humid 27 °C and 70 % (common practice, no source)', () => {
    const { p50 } = readyDays(hung(garlic, 27, 70))
    expect(p50).toBeGreaterThan(14)
    expect(p50).toBeLessThan(21)
  })
  it('garlic: 2 to 10 days in forced warm air, 35 °C and 65 % (general Allium guidance, recalled)', () => {
    const { p50 } = readyDays(hung(garlic, 35, 65, 'fan'))
    expect(p50).toBeGreaterThan(2)
    expect(p50).toBeLessThan(10)
  })
  it('onion: two to four weeks under airy cover (HB 66 and grower guides, recalled)', () => {
    const { p50 } = readyDays(hung(onion, 20, 60))
    expect(p50).toBeGreaterThan(14)
    expect(p50).toBeLessThan(28)
  })
  it('onion: 1 to 10 days in forced warm air at 30 °C, 60–75 % (HB 66, recalled)', () => {
    const { p50 } = readyDays(hung(onion, 30, 67, 'fan'))
    expect(p50).toBeGreaterThan(1)
    expect(p50).toBeLessThan(10)
  })
})

describe('the curing clock', () => {
  it('never dries slower for more drying power', () => {
    fc.assert(
      fc.property(fc.integer({ min: 12, max: 32 }), fc.integer({ min: 40, max: 75 }), (t, rh) => {
        const damp = readyDays(hung(garlic, t, rh)).p50
        const dry = readyDays(hung(garlic, t, rh - 5)).p50
        return dry <= damp
      }),
      { numRuns: 40 },
    )
  })

  it('stands still in damp air and says so', () => {
    const state = curingState(hung(garlic, 12, 95, 'breezy', 5))
    expect(state.progress).toBe(0)
    expect(state.stalledForHours).toBe(120)
    expect(state.mouldRiskHours).toBe(120)
    expect(state.readyAtMs.p50).toBe(Infinity)
    expect(state.reasons.map(inPlainWords).join(' ')).toMatch(/Stalled for 120 hours/)
  })

  it('tells of a standstill that is over from a day of it on', () => {
    const after = (dampHours: number) => {
      const damp = steadyAir(12, 95, dampHours)
      const air = joinSeries(damp, steadyAir(22, 55, 24 * 60, damp.startMs + dampHours * hourMs))
      const lot = { ...hung(garlic, 22, 55, 'breezy', 5), air }
      return curingState(lot).reasons.map(inPlainWords).join(' ')
    }
    expect(after(24)).toMatch(/Drying stood still for 24 hours in all/)
    expect(after(23)).not.toMatch(/stood still/)
  })

  it('names what speaks against it from where it counts: six hours of standstill, a day of mould, a test not passed', () => {
    const told = (lot: CuringLot) => curingState(lot).reasons.map(inPlainWords).join(' ')
    const still = (hours: number) => {
      const dry = steadyAir(22, 55, 48 - hours)
      const air = joinSeries(dry, steadyAir(12, 95, 24 * 60, dry.startMs + (48 - hours) * hourMs))
      return told({ ...hung(garlic, 22, 55, 'breezy', 2), air })
    }
    expect(still(6)).toMatch(/Stalled for 6 hours/)
    expect(still(5)).not.toMatch(/Stalled/)
    expect(still(24)).toMatch(/24 hours/)
    expect(still(23)).not.toMatch(/mould/)
    expect(still(24)).toMatch(/mould/)
    const test = (passed: boolean) => ({ test: 'neck', atMs: dayMs, passed })
    const lot = hung(garlic, 20, 60, 'breezy', 5)
    expect(told({ ...lot, tests: [test(false), test(false)] })).toMatch(/2 end tests not passed yet/)
    expect(told({ ...lot, tests: [test(true)] })).not.toMatch(/not passed/)
    expect(told({ ...lot, weighings: [weigh(0), weigh(4)] })).toMatch(/2 weighings/)
    expect(told({ ...lot, weighings: [weigh(0)] })).not.toMatch(/weighings/)
    expect(told(lot)).not.toMatch(/likely ready/)
    expect(told({ ...lot, nowMs: 60 * dayMs })).toMatch(/More likely ready than not: try the .* test/)
  })

  it('says the same of a lot whenever it was hung: only the time since counts', () => {
    const at = (startMs: number) => {
      const damp = steadyAir(12, 95, 30, startMs)
      const air = joinSeries(damp, steadyAir(20, 60, 24 * 120, startMs + 30 * hourMs))
      const weighings = [0, 4].map((day) => ({ ...weigh(day), atMs: startMs + day * dayMs }))
      const state = curingState({ ...hung(), air, weighings, nowMs: startMs + 5 * dayMs })
      const { p10, p50, p90 } = state.readyAtMs
      return { ...state, readyAtMs: [p10, p50, p90].map((ms) => Math.round((ms - startMs) / hourMs)) }
    }
    const then = Date.UTC(2026, 7, 20)
    expect(at(then)).toEqual(at(0))
    expect(at(then).stalledHours).toBe(30)
  })

  it('expects of a bunch what a bunch weighs, and of the lot what the lot does', () => {
    const both = [weigh(0), weigh(6), { atMs: 3 * dayMs, weightG: 310, basis: 'bunch' }]
    const lot = { ...hung(garlic, 20, 60, 'breezy', 8), weighings: both.sort((a, b) => a.atMs - b.atMs) }
    const state = curingState(lot)
    const [ofLot, ofBunch] = [expectedNowG(lot, state, 'lot')!, expectedNowG(lot, state, 'bunch')!]
    expect(ofLot).toBeLessThan(weigh(6).weightG)
    expect(ofLot).toBeGreaterThan(0.85 * weigh(6).weightG)
    expect(ofBunch).toBeLessThan(310)
    expect(ofBunch).toBeGreaterThan(0.7 * 310)
    // on whichever was weighed last where nobody says
    expect(expectedNowG(lot, state)).toBe(ofLot)
    expect(expectedNowG(lot, state, 'jar')).toBeUndefined()
  })

  const trueBudget = 480
  const trueRatio = 0.75
  const weigh = (day: number) => ({
    atMs: day * dayMs,
    weightG: Math.round(2500 * weightShare(day * 24 * 0.7857, trueBudget, trueRatio)),
  })

  it('narrows with each weighing and closes in on the truth', () => {
    const widths: number[] = []
    let last = { p10: 0, p50: 0, p90: 0 }
    for (const days of [[0], [0, 4], [0, 4, 8], [0, 4, 8, 12], [0, 4, 8, 12, 15]]) {
      const lot = { ...hung(garlic, 20, 60, 'breezy', days[days.length - 1]), weighings: days.map(weigh) }
      last = readyDays(lot)
      widths.push(last.p90 - last.p10)
    }
    expect(widths[1]).toBeLessThanOrEqual(widths[0]! + 0.3)
    expect(widths[4]!).toBeLessThan(widths[0]! * 0.65)
    const truth = trueBudget / 0.7857 / 24
    expect(Math.abs(last.p50 - truth)).toBeLessThan(2)
  })

  it('moves the window later when the neck is still soft, and earlier never', () => {
    const before = readyDays(hung(garlic, 20, 60, 'breezy', 20)).p50
    const soft = readyDays({
      ...hung(garlic, 20, 60, 'breezy', 20),
      tests: [{ atMs: 20 * dayMs, test: 'neck', passed: false }],
    }).p50
    expect(soft).toBeGreaterThan(before + 1)
  })

  it('tells what weight to expect', () => {
    const lot = { ...hung(garlic, 20, 60, 'breezy', 8), weighings: [weigh(0), weigh(4)] }
    const expected = expectedNowG(lot, curingState(lot))!
    expect(Math.abs(expected - weigh(8).weightG)).toBeLessThan(40)
  })

  it('draws a band that holds the weighings', () => {
    const lot = { ...hung(garlic, 20, 60, 'breezy', 12), weighings: [0, 4, 8, 12].map(weigh) }
    const points = weightCurve(lot, curingState(lot).posterior, 'lot', 20 * dayMs, 24)
    for (const day of [0, 4, 8, 12]) {
      expect(points[day]!.p10 * 0.99).toBeLessThan(weigh(day).weightG)
      expect(points[day]!.p90 * 1.01).toBeGreaterThan(weigh(day).weightG)
    }
  })

  it('says what a fan and a drier room would save', () => {
    const lot = { ...hung(garlic, 15, 80, 'still', 3), air: steadyAir(15, 80, 24 * 400) }
    const [asIs, fan, room] = whatWouldHelp(lot, [
      { id: 'fan', label: told('line.fanOn'), airflow: 'fan' },
      {
        id: 'room',
        label: told('line.moveTo', { place: 'room' }),
        airflow: 'still',
        airAhead: steadyAir(21, 50, 24 * 200, 72 * hourMs),
      },
    ])
    expect(asIs!.daysSaved).toBe(0)
    expect(fan!.daysSaved).toBeGreaterThan(10)
    expect(room!.daysSaved).toBeGreaterThan(fan!.daysSaved)
  })
})

/** Solution of a symmetric positive system and the logarithm of its determinant, by elimination. */
function solved(matrix: readonly (readonly number[])[], right: readonly number[]): { x: number[]; logDet: number } {
  const rows = matrix.map((row, i) => [...row, right[i]!])
  let logDet = 0
  for (let i = 0; i < rows.length; i++) {
    logDet += Math.log(rows[i]![i]!)
    for (let k = 0; k < rows.length; k++) {
      if (k === i) continue
      const factor = rows[k]![i]! / rows[i]![i]!
      rows[k] = rows[k]!.map((value, m) => value - factor * rows[i]![m]!)
    }
  }
  return { x: rows.map((row, i) => row.at(-1)! / row[i]!), logDet }
}

it('believes the weighings as generalized least squares with an unknown constant does (textbook, recalled)', () => {
  const curing = garlic.curing!
  const weighings = [0, 45, 130, 260].map((powerKPaH, i) => ({ powerKPaH, weightG: [610, 571, 508, 452][i]! }))
  const { budgetKPaH, finalRatio, weight } = curingPosterior(curing, weighings, [])
  const logs = Array.from(weight, (_, i) => {
    const [budget, ratio] = [budgetKPaH[i]!, finalRatio[i]!]
    const zb = Math.log(budget / curing.budget.value) / curing.budgetLogSd.value
    const zr = (ratio - curing.finalWeightRatio.value) / curing.finalWeightRatioSd.value
    const shares = weighings.map((w) => weightShare(w.powerKPaH, budget, ratio))
    const slopes = shares.map((share) => (Math.log(1 - curedShare) / budget) * ((share - ratio) / share))
    const covariance = weighings.map((a, j) =>
      weighings.map((b, k) => {
        const walked = airflowWalkKPaH * Math.min(a.powerKPaH, b.powerKPaH)
        return slopes[j]! * slopes[k]! * walked + (j === k ? scaleNoise.lot ** 2 : 0)
      }),
    )
    const seen = weighings.map((w, j) => Math.log(w.weightG / shares[j]!))
    const ones = seen.map(() => 1)
    const dot = (a: readonly number[], b: readonly number[]) => a.reduce((sum, x, j) => sum + x * b[j]!, 0)
    const { x, logDet } = solved(covariance, seen)
    const { x: unit } = solved(covariance, ones)
    const [oneOne, oneSeen, seenSeen] = [dot(ones, unit), dot(ones, x), dot(seen, x)]
    return -0.5 * (zb * zb + zr * zr + logDet + Math.log(oneOne) + seenSeen - oneSeen ** 2 / oneOne)
  })
  const best = Math.max(...logs)
  const total = logs.reduce((sum, log) => sum + Math.exp(log - best), 0)
  logs.forEach((log, i) => expect(weight[i]).toBeCloseTo(Math.exp(log - best) / total, 9))
})
