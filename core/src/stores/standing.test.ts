import { runsForDays } from '../assumptions'
import { describe, expect, it } from 'vitest'
import { airSeries } from '../air'
import { cropById } from '../almanac'
import { badShare, dayOfShare, lotLife, noneBad, sameUntil, soundShare, stand, steadyLife, type Bad } from './index'
import { hazardAt, runs, type LifeModel } from './life-model'

/** The same law in steps of an hour or so, written down once more: what goes bad, what spoils its neighbours, what dries up. */
function inHours(model: LifeModel, j: number, to: number, spread: number, bad: Bad = noneBad, from = 0): Bad {
  const step = 0.04
  const hazard = (day: number, running: boolean) =>
    model.hazard.reduce(
      (sum, _, i) =>
        runs.has(model.names[i]!) === running ? sum + hazardAt(model, i, day) * model.counts[i]![j]! : sum,
      0,
    )
  let { running, spent, quiet } = bad
  let came = [hazard(from, true), hazard(from, false)]
  for (let n = 1; from + n * step <= to; n++) {
    const come = [hazard(from + n * step, true), hazard(from + n * step, false)]
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
  return { running, spent, quiet }
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
          const [stood, hourly] = [stand(model, j, noneBad, 0, day, 0.35), inHours(model, j, day, 0.35)]
          expect(badShare(stood)).toBeCloseTo(badShare(hourly), 1.7)
          // where all has gone nobody asks which way it went
          if (badShare(stood) > 0.99) continue
          expect(stood.running).toBeCloseTo(hourly.running, 1.7)
          expect(stood.quiet).toBeCloseTo(hourly.quiet, 1.7)
        }
      }
    })
  }
  it('from what lies there bad on some later day', () => {
    const { model } = steadyLife(cropById('apple-late'), 4, 90, 'box')
    const bad = { running: 0.06, spent: 0.02, quiet: 0.03 }
    const [stood, hourly] = [stand(model, model.usual, bad, 33, 58, 0.8), inHours(model, model.usual, 58, 0.8, bad, 33)]
    expect(stood.running).toBeCloseTo(hourly.running, 2)
    expect(stood.spent).toBeCloseTo(hourly.spent, 2)
    expect(stood.quiet).toBeCloseTo(hourly.quiet, 2)
    // most of those six have dried up by then, after spoiling more than as many again
    expect(stood.spent).toBeGreaterThan(0.1)
  })
  it('and where nothing spreads, as the share sound says, in one step or in many', () => {
    const { model } = steadyLife(cropById('carrot'), 6, 93, 'damp-sand')
    const heard: [number, number][] = []
    const bad = stand(model, model.usual, noneBad, 0, 80.5, 0, (day, share) => void heard.push([day, share]))
    expect(badShare(bad)).toBeCloseTo(1 - soundShare(model, 80.5, model.usual), 9)
    expect(badShare(stand(model, model.usual, noneBad, 0, 80.5, 0))).toBeCloseTo(badShare(bad), 9)
    expect(heard.at(-1)![0]).toBe(80.5)
    for (const [day, share] of heard) expect(share).toBeCloseTo(1 - soundShare(model, day, model.usual), 9)
    // a step is a twenty-fourth of the time in which half of the usual lot go, or a week
    const half = dayOfShare((day) => soundShare(model, day, model.usual), 0.5, model.days)
    expect(half / 24).toBeGreaterThan(7)
    expect(heard[0]![0]).toBe(7)
    const brief = steadyLife(cropById('raspberry'), 12, 85, 'box').model
    const steps: number[] = []
    stand(brief, brief.usual, noneBad, 0, 20, 0, (day) => void steps.push(day))
    const briefly = dayOfShare((day) => soundShare(brief, day, brief.usual), 0.5, brief.days) / 24
    expect(steps[0]! / briefly).toBeGreaterThan(0.99)
    expect(steps[0]! / briefly).toBeLessThan(1.26)
    // whoever has heard enough stops it
    let asked = 0
    stand(model, model.usual, noneBad, 0, 80.5, 0, () => ++asked === 3)
    expect(asked).toBe(3)
  })
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
