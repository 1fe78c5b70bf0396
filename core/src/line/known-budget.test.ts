import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { hourMs, joinSeries, steadyAir, type AirSeries } from '../air'
import { cropById } from '../almanac'
import { dayMs } from '../households'
import { told } from '../message'
import {
  asItIs,
  curingOf,
  curingState,
  expectedNowG,
  expectedWeightG,
  pullKPa,
  weightCurve,
  weightShare,
  whatIf,
  whatWouldHelp,
  type CuringLot,
  type CuringPosterior,
} from './index'

const garlic = cropById('garlic-hardneck')
const curing = curingOf(garlic)
/** A belief that is sure of one budget and one final weight. */
const sure = (budget: number, ratio: number): CuringPosterior => ({
  budgetKPaH: new Float64Array(15).fill(budget),
  finalRatio: new Float64Array(15).fill(ratio),
  weight: Float64Array.from({ length: 15 }, (_, i) => (i === 0 ? 1 : 0)),
})
/** What an hour at 20 °C and 60 % pulls in moving air, kPa: 2.339 of saturation, 0.97 − 0.60. */
const pull = pullKPa(steadyAir(20, 60, 1).vpdKPa[0]!, 60)
const hung = (nowDay: number, over: Partial<CuringLot> = {}): CuringLot => ({
  crop: garlic,
  air: steadyAir(20, 60, 24 * 120),
  nowMs: nowDay * dayMs,
  airflow: [{ atMs: 0, airflow: 'breezy' }],
  weighings: [],
  tests: [],
  ...over,
})

describe('a lot whose budget is known', () => {
  it('is as far as the air has given, and ready when the rest will have been', () => {
    const state = curingState(hung(10), sure(400, 0.7))
    expect(state.spentKPaH).toBeCloseTo(240 * pull, 6)
    expect(state.progress).toBeCloseTo((240 * pull) / 400, 9)
    expect(state.readyNow).toBe(0)
    expect(state.readyAtMs.p50 / hourMs).toBeCloseTo(400 / pull, 3)
    // the middle of the seventh on either side of what comes: z = 1.465, a fifth more or less a standard deviation
    const left = 400 / pull - 240
    expect(state.readyAtMs.p10 / hourMs).toBeCloseTo(240 + left / Math.exp(1.4652 * 0.2), 1)
    expect(state.readyAtMs.p90 / hourMs).toBeCloseTo(240 + left * Math.exp(1.4652 * 0.2), 1)
    // one bunch is not the lot: √(0.2² + 0.25²)
    const bunch = curingState(hung(10, { weighings: [{ atMs: 0, weightG: 300, basis: 'bunch' }] }), sure(400, 0.7))
    expect(bunch.readyAtMs.p90 / hourMs).toBeCloseTo(240 + left * Math.exp(1.4652 * Math.hypot(0.2, 0.25)), 1)
  })
  it('is ready once the air has given it, since the hour it had', () => {
    const state = curingState(hung(40), sure(400, 0.7))
    expect([state.progress, state.readyNow]).toEqual([1, 1])
    const { p10, p50, p90 } = state.readyAtMs
    expect([p10, p90]).toEqual([p50, p50])
    expect(p50 / hourMs).toBeCloseTo(400 / pull, 3)
  })
  it('weighs what its share says, by the last weighing and along the curve', () => {
    const known = sure(400, 0.7)
    const spent = (hours: number) => hours * pull
    expect(expectedWeightG(known, 900, spent(24), spent(96))).toBeCloseTo(
      (900 * weightShare(spent(96), 400, 0.7)) / weightShare(spent(24), 400, 0.7),
      9,
    )
    const lot = hung(10, {
      weighings: [
        { atMs: 0, weightG: 1000 },
        { atMs: 4 * dayMs, weightG: Math.round(1010 * weightShare(spent(96), 400, 0.7)) },
      ],
    })
    const now = expectedNowG(lot, curingState(lot, known))!
    expect(now).toBeCloseTo(1010 * weightShare(spent(240), 400, 0.7), 0)
    // the true first weight lies half way between what the two say, by their ratio
    const points = weightCurve(lot, known, 'lot', 5 * dayMs)
    expect(points.map(({ atMs }) => atMs / hourMs)).toEqual([0, 12, 24, 36, 48, 60, 72, 84, 96, 108, 120])
    for (const { atMs, p10, p50, p90 } of points) {
      const first = Math.sqrt(1000 * 1010)
      expect(p50 / (first * weightShare(spent(atMs / hourMs), 400, 0.7))).toBeCloseTo(1, 3)
      expect([p10, p90]).toEqual([p50, p50])
    }
    expect(weightCurve(lot, known, 'bunch', 5 * dayMs)).toEqual([])
  })
  it('counts the hours in which mould can start, and those without drying, up to now', () => {
    const damp = steadyAir(15, 95, 30)
    const air = joinSeries(damp, steadyAir(20, 60, 24 * 120, 30 * hourMs))
    const at = (nowHour: number) => curingState({ ...hung(0), air, nowMs: nowHour * hourMs }, sure(400, 0.7))
    expect([at(20).mouldRiskHours, at(20).stalledHours, at(20).stalledForHours]).toEqual([20, 20, 20])
    expect([at(50).mouldRiskHours, at(50).stalledHours, at(50).stalledForHours]).toEqual([30, 30, 0])
  })
})

describe('what would come of it', () => {
  it('is reckoned from now on, with the airflow it would have and as thin as it was spread', () => {
    const lot = hung(5, {
      airflow: [
        { atMs: 0, airflow: 'still' },
        { atMs: 2 * dayMs, airflow: 'still', gain: 1.3 },
      ],
    })
    const so = 0.55 * pull * (48 + 1.3 * 72)
    const left = (400 - so) / pull
    const ready = (gain: number, airflow: 'still' | 'breezy' | 'fan', own?: number) =>
      whatIf(lot, { id: 'x', label: told('line.leave'), airflow, gain: own }, sure(400, 0.7)).readyAtMs.p50 / hourMs -
      (120 + left / ({ still: 0.55, breezy: 1, fan: 1.35 }[airflow] * gain))
    expect(ready(1.3, 'still')).toBeCloseTo(0, 3)
    expect(ready(1.3, 'fan')).toBeCloseTo(0, 3)
    expect(ready(1, 'breezy', 1)).toBeCloseTo(0, 3)
    expect(asItIs(lot)).toMatchObject({ id: 'leave', airflow: 'still' })
  })
  it('is days sooner or later than leaving it, and without end only where nothing gets there', () => {
    const dampAir = joinSeries(steadyAir(20, 60, 72), steadyAir(12, 95, 24 * 100, 72 * hourMs))
    const lot = hung(3, { air: dampAir })
    const room = (airAhead: AirSeries) => ({
      id: 'room',
      label: told('line.leave'),
      airflow: 'breezy' as const,
      airAhead,
    })
    const [asIs, dry, damp] = whatWouldHelp(lot, [
      room(steadyAir(20, 60, 24 * 60, 72 * hourMs)),
      room(steadyAir(13, 95, 24 * 60, 72 * hourMs)),
    ])
    expect([asIs!.daysSaved, dry!.daysSaved, damp!.daysSaved]).toEqual([0, Infinity, 0])
    // of the next fortnight
    expect([asIs!.mouldHoursAhead, dry!.mouldHoursAhead, damp!.mouldHoursAhead]).toEqual([336, 0, 336])
    const brief = whatWouldHelp(lot, [room(steadyAir(13, 95, 100, 72 * hourMs))])
    expect(brief[1]!.mouldHoursAhead).toBe(100)
    const [, twice] = whatWouldHelp(hung(3), [room(steadyAir(26, 60, 24 * 100, 72 * hourMs))])
    const warm = pullKPa(steadyAir(26, 60, 1).vpdKPa[0]!, 60)
    const middle = curingState(hung(3)).readyAtMs.p50 / hourMs
    // the same budget lies in the middle: what is left of it, at either pull
    const rest = (middle - 72) * pull
    expect(twice!.daysSaved * 24).toBeCloseTo(rest / pull - rest / warm, 1)
  })
  it('says what the air has given and what is usual', () => {
    const says = curingState(hung(10)).reasons.map(inPlainWords).join(' ')
    expect(says).toContain(`given ${Math.round(240 * pull)} kPa·h`)
    expect(says).toContain(`about ${curing.budget.value} is usual`)
  })
})
