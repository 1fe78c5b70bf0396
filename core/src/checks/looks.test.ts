import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { foundByLooking, lotLifeLogSd, runsForDays, spreadPerWeek } from '../assumptions'
import { badShare, noneBad, stand, steadyLife, type LifeModel, type LotBelief } from '../stores'
import {
  aged,
  asksForAll,
  beliefAfterChecks,
  beliefNow,
  checkUpdate,
  nextCheckInDays,
  nextLookInDays,
  noLooksYet,
  soundNow,
  takeInLook,
  toldBy,
} from './index'
import { living } from './made-up-life'

describe('a look, by hand', () => {
  const model = living([1], [1])
  const look = (over: object) => {
    const looks = { ...noLooksYet(model), day: 20, bad: [{ running: 0.1, spent: 0.02, quiet: 0.08 }] }
    takeInLook(model, looks, { day: 20, lookedAt: 30, bad: 6, lotSize: 60, ...over }, 0)
    return looks.bad[0]!
  }
  it('takes out what it found of the half it looked at, and what is left is that much cleaner', () => {
    // of each hundred: half looked at, nineteen in twenty of the bad noticed
    const gone = 0.5 * foundByLooking
    const left = 1 - gone * 0.2
    const stays = (1 - gone) / left
    expect(look({}).running).toBeCloseTo(0.1 * stays, 12)
    expect(look({}).spent).toBeCloseTo(0.02 * stays, 12)
    expect(look({}).quiet).toBeCloseTo(0.08 * stays, 12)
  })
  it('takes out only those that were not left lying', () => {
    const gone = 0.5 * foundByLooking * (2 / 3)
    expect(badShare(look({ kept: 2 }))).toBeCloseTo((0.2 * (1 - gone)) / (1 - gone * 0.2), 12)
    expect(badShare(look({ kept: 6 }))).toBeCloseTo(0.2, 12)
    expect(badShare(look({ bad: 0, kept: 0 }))).toBeCloseTo(badShare(look({})), 12)
  })
  it('cleans nothing of a lot nobody counted, and no more than all of one that was counted short', () => {
    expect(badShare(look({ lotSize: undefined }))).toBeCloseTo(0.2, 12)
    const all = (0.2 * (1 - foundByLooking)) / (1 - foundByLooking * 0.2)
    expect(badShare(look({ lookedAt: 60 }))).toBeCloseTo(all, 12)
    expect(badShare(look({ lookedAt: 90 }))).toBeCloseTo(all, 12)
  })
  it('on the day it is stored speaks of what shows within a day, and a lot ages on from it', () => {
    const two = living([1, 4], [0.5, 0.5])
    const first = beliefAfterChecks(two, [{ day: 0, lookedAt: 50, bad: 0 }], 0)
    const next = beliefAfterChecks(two, [{ day: 1, lookedAt: 50, bad: 0 }], 1)
    expect(first.weights[1]).toBeCloseTo(next.weights[1]!, 9)
    expect(first.weights[1]).toBeGreaterThan(0.5)
    expect(badShare(first.bad[0]!)).toBe(0)
    const later = aged(two, first, 0, 30, 0)
    expect(badShare(later.bad[0]!)).toBeCloseTo(1 - Math.exp(-0.3), 9)
    expect(badShare(later.bad[1]!)).toBeCloseTo(1 - Math.exp(-0.075), 9)
    expect(later.weights).toEqual(first.weights)
    const sound = first.weights[0]! * Math.exp(-0.3) + first.weights[1]! * Math.exp(-0.075)
    expect(soundNow(later)).toBeCloseTo(sound, 9)
  })
  it('ages with what runs from one to the next in between, in whatever order looks are told', () => {
    const looks = [
      { day: 40, lookedAt: 30, bad: 3, lotSize: 90 },
      { day: 15, lookedAt: 30, bad: 1, lotSize: 90 },
    ]
    const told = beliefAfterChecks(model, looks, 60, 0.5)
    expect(told.bad).toEqual(beliefAfterChecks(model, [...looks].reverse(), 60, 0.5).bad)
    const state = noLooksYet(model)
    takeInLook(model, state, looks[1]!, 0.5)
    const before = stand(model, 0, state.bad[0]!, 15, 40, 0.5)
    takeInLook(model, state, looks[0]!, 0.5)
    const gone = (30 / 90) * foundByLooking
    expect(state.bad[0]!.running).toBeCloseTo((before.running * (1 - gone)) / (1 - gone * badShare(before)), 12)
    expect(beliefNow(state).weights[0]).toBe(1)
  })
})

describe('when to look again, by hand', () => {
  const certain = (model: LifeModel): LotBelief => ({ weights: model.prior, bad: [noneBad] })
  it('is before a fifth of what is sound has gone, or a tenth in case its time is over first', () => {
    const model = living([1], [1])
    const habits = { bearableBadPct: 100, longestLookGapDays: 300 }
    const next = (looks: number, left = 1000, day = 50) =>
      nextLookInDays(model, certain(model), day, looks, 100, 0, habits, left)
    // ln(1 / 0.8) of a hundred days
    expect(next(3)).toBe(Math.ceil(100 * Math.log(1.25)))
    expect(next(3, 11.9)).toBe(11)
    // whoever has just looked knows it for a week
    expect(next(3, 2)).toBe(7)
    expect(next(0, 2)).toBe(2)
    expect(next(0, 0.4)).toBe(1)
    // what is over is not over once more
    expect(next(3, 0)).toBe(Math.ceil(100 * Math.log(1.25)))
    expect(next(3, -5)).toBe(Math.ceil(100 * Math.log(1.25)))
  })
  it('is not within the first ten days where nothing hurt has shown, however little is borne', () => {
    const { model } = steadyLife(cropById('apple-late'), 15, 90, 'box')
    const belief = beliefAfterChecks(model, [], 0)
    const next = (nowDay: number, longestLookGapDays = 56) =>
      nextLookInDays(model, belief, nowDay, 0, 400, 3, { bearableBadPct: 0.001, longestLookGapDays }, 400)
    expect(nextCheckInDays(model, belief, 0, 400, 3, 0.002)).toBe(3)
    expect(next(0)).toBe(10)
    expect(next(4)).toBe(6)
    // a household that goes through everything weekly is asked weekly
    expect(next(0, 7)).toBe(7)
    expect(next(20)).toBe(3)
  })
  it('by harm is at most as long as a household ever leaves a lot', () => {
    const model = living([1000], [1])
    expect(nextCheckInDays(model, certain(model), 0, 100, 0.3, 50)).toBe(56)
    expect(nextCheckInDays(model, certain(model), 0, 100, 0.3, 50, 30)).toBe(30)
  })
  it('counts a running one for a fiftieth of a neighbour even where nothing spreads', () => {
    const model = living([1], [1])
    // 100 · (1 − e^(−d/100)) · 0.02 ≥ 0.3
    expect(nextCheckInDays(model, certain(model), 10, 100, 0, 0.3)).toBe(Math.ceil(-100 * Math.log(1 - 0.15)))
    // with spread: those that come evenly spoil, and what they spoil spoils, until it has dried up
    const [daily, bearable] = [0.05, 2]
    const growth = daily - 1 / runsForDays
    const harm = (days: number) => {
      const x = growth * days
      return 100 * -Math.expm1(-days / 100) * (0.02 + (daily * days * (Math.expm1(x) - x)) / (x * x))
    }
    const due = nextCheckInDays(model, certain(model), 10, 100, 7 * daily, bearable)
    expect(harm(due)).toBeGreaterThanOrEqual(bearable)
    expect(harm(due - 1)).toBeLessThan(bearable)
  })
  it('goes through all of it where more than a quarter of those looked at were bad', () => {
    expect(asksForAll({ lookedAt: 20, bad: 5 })).toBe(false)
    expect(asksForAll({ lookedAt: 20, bad: 6 })).toBe(true)
    expect(asksForAll({ lookedAt: 20, bad: 6, lotSize: 20 })).toBe(false)
    expect(asksForAll({ lookedAt: 20, bad: 6, lotSize: 21 })).toBe(true)
  })
})

describe('a forecast before and after looking', () => {
  const onion = cropById('onion-storing')
  it('is for the crop’s best air where no air is given', () => {
    const { bestTemperatureC, bestHumidityPct } = onion.keeping
    const given = checkUpdate(
      {
        crop: onion,
        temperatureC: bestTemperatureC.value[1],
        relativeHumidityPct: bestHumidityPct.value[0],
      },
      [],
    )
    expect(checkUpdate({ crop: onion }, [])).toEqual(given)
    expect(checkUpdate({ crop: onion, temperatureC: 15 }, []).lifeDays.p50).toBeLessThan(given.lifeDays.p50)
  })
  it('is of today: the day of the last look, whichever is told first', () => {
    const looks = [
      { day: 60, lookedAt: 20, bad: 0, lotSize: 100 },
      { day: 30, lookedAt: 20, bad: 1, lotSize: 100 },
    ]
    expect(checkUpdate({ crop: onion }, looks)).toEqual(checkUpdate({ crop: onion }, [...looks].reverse()))
    const { model } = steadyLife(
      onion,
      onion.keeping.bestTemperatureC.value[1],
      onion.keeping.bestHumidityPct.value[0],
      'net',
    )
    const belief = beliefAfterChecks(model, looks, 60)
    const answer = checkUpdate({ crop: onion }, looks, 80)
    expect(answer.soundFractionNow).toBeCloseTo(soundNow(belief), 12)
    expect(answer.nextCheckInDays).toBe(nextLookInDays(model, belief, 60, 2, 80, spreadPerWeek.net))
  })
  it('refuses lives that do not rise, lie too close or beyond ten years, and looks beyond them', () => {
    const of = (p10: number, p50: number, p90: number, day = 1) =>
      checkUpdate({ lifeDays: { p10, p50, p90 } }, [{ day, lookedAt: 5, bad: 0 }]).lifeDays.p50
    expect(of(100, 104, 108) / 104).toBeCloseTo(1, 2)
    expect(() => of(100, 102, 104)).toRefuse(/lifeDays/)
    expect(of(1000, 2000, 3650) / 2000).toBeCloseTo(1, 1)
    for (const [a, b, c] of [
      [1000, 2000, 3651],
      [100, 90, 200],
      [100, 200, 200],
      [0, 100, 200],
    ] as const) {
      expect(() => of(a, b, c)).toRefuse(/lifeDays/)
    }
    // a look long after the life is one of its days; beyond what can be followed none is
    expect(of(100, 180, 300, 2500)).toBeGreaterThan(180)
    expect(() => of(100, 180, 300, 20_001)).toRefuse(/20,?000|20 000/)
  })
})

describe('what looks say of a life by themselves', () => {
  it('is the factor that takes the belief from before to after, by hand', () => {
    const log = [-0.3, 0, 0.3]
    const prior = [0.25, 0.5, 0.25]
    const model = living(
      log.map((z) => Math.exp(z)),
      prior,
    )
    const after = [0.05, 0.35, 0.6]
    const weights = log.map((z, j) => (after[j]! / prior[j]!) * Math.exp(-(z * z) / (2 * lotLifeLogSd ** 2)))
    const total = weights.reduce((a, b) => a + b, 0)
    const mean = weights.reduce((sum, w, j) => sum + w * log[j]!, 0) / total
    const variance = weights.reduce((sum, w, j) => sum + w * log[j]! ** 2, 0) / total - mean ** 2
    const gained = 1 / variance - 1 / lotLifeLogSd ** 2
    const told = toldBy(model, { weights: Float64Array.from(after), bad: log.map(() => noneBad) })!
    expect(gained).toBeGreaterThan(1)
    expect(told.logSd).toBeCloseTo(Math.sqrt(1 / gained), 9)
    expect(told.logMean).toBeCloseTo(mean / variance / gained, 9)
    // what moved nothing says nothing
    const { model: usual } = steadyLife(cropById('onion-storing'), 5, 65, 'net')
    expect(toldBy(usual, beliefAfterChecks(usual, [], 30))).toBeUndefined()
  })
  it('is taken over all else that is not known of the lot', () => {
    const twice = living([0.8, 0.8, 1.25, 1.25], [0.3, 0.2, 0.3, 0.2])
    const once = living([0.8, 1.25], [0.5, 0.5])
    const told = (model: LifeModel, weights: number[]) =>
      toldBy(model, { weights: Float64Array.from(weights), bad: weights.map(() => noneBad) })!
    expect(told(twice, [0.01, 0.04, 0.45, 0.5]).logMean).toBeCloseTo(told(once, [0.05, 0.95]).logMean, 9)
  })
})
