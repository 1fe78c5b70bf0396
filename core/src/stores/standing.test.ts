import { runsForDays } from '../assumptions'
import { describe, expect, it } from 'vitest'
import { airSeries } from '../air'
import { cropById } from '../almanac'
import { badShare, lotLife, noneBad, sameUntil, stand, steadyLife } from './index'
import { hazardAt, runs, type LifeModel } from './life-model'

/** The same law in steps of an hour or so, written down once more: what goes bad, what spoils its neighbours, what dries up. */
function inHours(model: LifeModel, j: number, to: number, spread: number): number {
  const step = 0.04
  const hazard = (day: number, running: boolean) =>
    model.hazard.reduce(
      (sum, _, i) =>
        runs.has(model.names[i]!) === running ? sum + hazardAt(model, i, day) * model.counts[i]![j]! : sum,
      0,
    )
  let [running, spent, quiet] = [0, 0, 0]
  let came = [0, 0]
  for (let n = 1; n * step <= to; n++) {
    const come = [hazard(n * step, true), hazard(n * step, false)]
    const [run, quieten] = [come[0]! - came[0]!, come[1]! - came[1]!]
    const sound = 1 - running - spent - quiet
    const going = sound * -Math.expm1(-(run + quieten))
    const goes = run > 0 ? (going * run) / (run + quieten) : 0
    const spoilt = Math.min(sound - going, (spread / 7) * step * running * sound)
    const dries = (running * step) / runsForDays
    running += goes + spoilt - dries
    spent += dries
    quiet += going - goes
    came = come
  }
  return running + spent + quiet
}

describe('a lot left standing goes as in steps of an hour', () => {
  for (const [what, id, t, rh, days] of [
    ['where weeks pass in a step', 'potato-maincrop', 8, 90, 150],
    // one lot in twelve is shut in better, and lies on when the others have withered
    ['long after the usual lot has gone', 'beetroot', 9, 75, 100],
    ['where all is over in days', 'raspberry', 12, 85, 20],
  ] as const) {
    it(`${what}: ${id}`, () => {
      const { model } = steadyLife(cropById(id), t, rh, 'box')
      expect(model.days).toBeGreaterThanOrEqual(days)
      const likely = [...model.prior.keys()].filter((j) => model.prior[j]! > 0.006)
      for (const j of likely) {
        for (const day of [days / 4, days]) {
          expect(badShare(stand(model, j, noneBad, 0, day, 0.35))).toBeCloseTo(inHours(model, j, day, 0.35), 1.7)
        }
      }
    })
  }
})

it('two lives are the same until the day their air parts, and not a week later', () => {
  const life = (then: number) => {
    const days = Float64Array.from({ length: 24 * 120 }, (_, hour) => (hour < 24 * 40 ? 4 : then))
    return lotLife(cropById('carrot'), airSeries(0, days, new Float64Array(days.length).fill(95)), 'damp-sand').model
  }
  const [one, other] = [life(5), life(8)]
  expect(sameUntil(one, other, 35)).toBe(true)
  expect(sameUntil(one, other, 47)).toBe(false)
  expect(sameUntil(one, one, 119)).toBe(true)
})
