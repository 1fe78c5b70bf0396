import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import {
  bearableLossPct,
  cullsCome,
  dayOfShare,
  endReason,
  endShares,
  endWord,
  hazardAt,
  keepAt,
  keepingForecast,
  lifeModelFromSpread,
  nineInTenFrom,
  noneBad,
  priorWeights,
  runningShare,
  runningShares,
  soundShare,
  steadyLife,
  survivalCurve,
  unitLife,
  type LifeModel,
  type LotBelief,
} from './index'

/** One state, in which things go at an even pace: one in a hundred a day by rot, three by sprouts. */
const evenly = (over: Partial<LifeModel> = {}): LifeModel => ({
  days: 200,
  names: ['rot', 'sprouting'],
  shapes: [1, 1],
  hazard: [0.01, 0.03].map((daily) => Float64Array.from({ length: 201 }, (_, day) => daily * day)),
  scales: Float64Array.of(1),
  prior: Float64Array.of(1),
  counts: [Float64Array.of(1), Float64Array.of(1)],
  usual: 0,
  driesFirst: false,
  ...over,
})
const sound: LotBelief = { weights: Float64Array.of(1), bad: [noneBad] }
const bad = (quiet: number): LotBelief => ({ ...sound, bad: [{ ...noneBad, quiet }] })
/** Days until a share of what lies there has gone, at four in a hundred a day. */
const daysUntil = (share: number) => -Math.log(1 - share) / 0.04

describe('a life that goes evenly, by hand', () => {
  const model = evenly()
  it('is sound as the exponential says, between days as well', () => {
    expect(soundShare(model, 10, 0)).toBeCloseTo(Math.exp(-0.4), 12)
    expect(hazardAt(model, 1, 7.5)).toBeCloseTo(0.225, 12)
    expect(hazardAt(model, 1, -2)).toBe(0)
    expect(hazardAt(model, 1, 300)).toBeCloseTo(6, 12)
    // in the first eight days what bends is bent, later it is straight from day to day
    const square = evenly({
      shapes: [2, 2],
      hazard: [1, 1].map(() => Float64Array.from({ length: 201 }, (_, d) => d * d)),
    })
    expect(hazardAt(square, 0, 7.5)).toBeCloseTo(56.25, 9)
    expect(hazardAt(square, 0, 8.5)).toBeCloseTo((64 + 81) / 2, 9)
  })
  it('counts each hazard as much as the state says', () => {
    const twice = evenly({ counts: [Float64Array.of(2), Float64Array.of(0)] })
    expect(soundShare(twice, 10, 0)).toBeCloseTo(Math.exp(-0.2), 12)
    expect(runningShare(twice, 0, 10, 0)).toBe(1)
  })
  it('shares out who took it, over all of the time or a part of it', () => {
    const shares = (of: LifeModel, from?: number, to?: number) =>
      endShares(of, Float64Array.of(1), from, to).map(({ end, share }) => [end, Number(share.toFixed(6))])
    expect(shares(model)).toEqual([
      ['sprouting', 0.75],
      ['rot', 0.25],
    ])
    // sprouts that come from the hundredth day on
    const late = evenly({
      hazard: [
        Float64Array.from({ length: 201 }, (_, day) => 0.001 * day),
        Float64Array.from({ length: 201 }, (_, day) => 0.009 * Math.max(0, day - 100)),
      ],
    })
    expect(shares(late, 0, 100)[0]).toEqual(['rot', 1])
    expect(shares(late, 100, 200)).toEqual([
      ['sprouting', 0.9],
      ['rot', 0.1],
    ])
    // of e^−0.1 that are sound on the hundredth day nine tenths of what goes are sprouts
    const before = -Math.expm1(-0.1)
    const then = Math.exp(-0.1) * -Math.expm1(-1)
    expect(shares(late)[0]![1]).toBeCloseTo((0.9 * then) / (before + then), 6)
    expect(shares(late, 199.5, 500)[0]![1]).toBeCloseTo(0.9, 6)
  })
  it('says what of it runs to neighbours: rot does, a sprout does not', () => {
    expect(runningShare(model, 5, 25, 0)).toBeCloseTo(0.25, 12)
    expect(runningShares(model, 5, 25)[0]).toBeCloseTo(0.25, 12)
    expect(runningShare(model, 200, 210, 0)).toBe(0)
    expect(cullsCome(model)).toBe(false)
    expect(cullsCome(evenly({ names: ['early rot', 'rot'] }))).toBe(true)
  })
  it('lives as long as the exponential does', () => {
    const { p10, p50, p90 } = unitLife(model, Float64Array.of(1))
    expect([p10, p50, p90].map((day, i) => Math.abs(day - daysUntil([0.1, 0.5, 0.9][i]!)) < 0.01)).toEqual([
      true,
      true,
      true,
    ])
    expect(dayOfShare((day) => 1 - day / 100, 0.25, 100)).toBeCloseTo(75, 1)
  })
  it('is forecast from today: nine in ten of the lot and half of it, today where that has passed', () => {
    const from = (nowDay: number, belief: LotBelief) =>
      keepingForecast(
        model,
        Float64Array.from({ length: 201 }, (_, day) => day / 8),
        nowDay,
        belief,
      )
    const fresh = from(20, sound)
    expect(fresh.nineInTenDay.p50).toBeCloseTo(20 + daysUntil(0.1), 1)
    expect(fresh.halfDay.p50).toBeCloseTo(20 + daysUntil(0.5), 1)
    // an eighth of a per cent a day
    expect(fresh.weightLossPctPerMonth).toBeCloseTo(30 / 8, 9)
    expect(from(195, sound).weightLossPctPerMonth).toBeCloseTo(30 / 8, 9)
    // four in a hundred lie there bad: 96 have to come down to 90, and to 50
    const some = from(20, bad(0.04))
    expect(some.nineInTenDay.p50).toBeCloseTo(20 + Math.log(96 / 90) / 0.04, 1)
    expect(some.halfDay.p50).toBeCloseTo(20 + Math.log(96 / 50) / 0.04, 1)
    const most = from(20, bad(0.3))
    expect(most.nineInTenDay.p50).toBe(20)
    expect(most.halfDay.p50).toBeCloseTo(20 + Math.log(70 / 50) / 0.04, 1)
    expect(from(20, bad(0.6)).halfDay.p50).toBe(20)
    expect(from(20, bad(0.1)).nineInTenDay.p50).toBeCloseTo(20, 1)
    expect(nineInTenFrom(model, 20, bad(0.04), 0, 0).p50).toBeCloseTo(20 + Math.log(96 / 90) / 0.04, 1)
    // what lasts beyond what is looked ahead ends with it
    const slow = evenly({
      hazard: [0.0001, 0.0001].map((daily) => Float64Array.from({ length: 201 }, (_, d) => daily * d)),
    })
    expect(keepingForecast(slow, new Float64Array(201), 0, sound).nineInTenDay.p50).toBe(200)
  })
  it('names first what takes the next tenth, hurt ones last unless they are most of it', () => {
    const named = (early: number) =>
      keepingForecast(
        evenly({
          names: ['early rot', 'rot'],
          hazard: [early, 0.01].map((daily) => Float64Array.from({ length: 201 }, (_, day) => daily * day)),
        }),
        new Float64Array(201),
        0,
        sound,
      ).endedBy.map(({ end }) => end)
    expect(named(0.0095)).toEqual(['rot', 'early rot'])
    expect(named(0.0105)).toEqual(['early rot', 'rot'])
    expect(named(0.009)[0]).toBe('rot')
    // what comes within a fortnight counts even where a tenth has gone before
    const late = evenly({
      hazard: [
        Float64Array.from({ length: 201 }, (_, day) => 0.004 * day),
        Float64Array.from({ length: 201 }, (_, day) => 0.1 * Math.max(0, day - 10)),
      ],
    })
    expect(keepingForecast(late, new Float64Array(201), 0, bad(0.2)).endedBy[0]!.end).toBe('sprouting')
    expect(keepingForecast(late, new Float64Array(201), 0, bad(0.2)).endedBy[0]!.share).toBeCloseTo(
      (0.4 / 0.416 / (1 - Math.exp(-0.456))) * (Math.exp(-0.04) - Math.exp(-0.456)),
      2,
    )
  })
  it('is drawn as it is forecast: before today as it stood, from today as it was found', () => {
    const slow = evenly({
      hazard: [0.001, 0.003].map((daily) => Float64Array.from({ length: 201 }, (_, d) => daily * d)),
    })
    const untouched = survivalCurve(slow, 0, sound)
    expect(untouched.map(({ day }) => day)).toEqual(Array.from({ length: 67 }, (_, i) => 3 * i))
    for (const { day, p10, p50, p90 } of untouched) {
      expect(p50, `day ${day}`).toBeCloseTo(Math.exp(-0.004 * day), 3)
      expect([p10, p90]).toEqual([p50, p50])
    }
    const looked = survivalCurve(evenly(), 9, bad(0.04), 0, 1)
    const at = (day: number) => looked.find((point) => point.day === day)!.p50
    expect(at(4)).toBeCloseTo(Math.exp(-0.16), 2)
    expect(at(20)).toBeCloseTo(0.96 * Math.exp(-0.44), 2)
    expect(at(40)).toBeCloseTo(0.96 * Math.exp(-1.24), 2)
  })
})

describe('steady air', () => {
  it('takes the water as it runs out, and is followed until hardly anything is left', () => {
    const carrot = cropById('carrot')
    const { model, lossPct } = steadyLife(carrot, 15, 60, 'box')
    const water = carrot.waterPct.value
    // every day the same share of what water is left
    const daily = lossPct[1]! / water
    expect(lossPct[40]).toBeCloseTo(water * (1 - (1 - daily) ** 40), 9)
    expect(model.hazard[model.names.indexOf('drying out')]![30]).toBeCloseTo(
      Math.LN2 * (lossPct[30]! / bearableLossPct(carrot)) ** 5,
      6,
    )
    expect(soundShare(model, model.days, model.usual)).toBeLessThan(0.01)
    expect(model.days).toBeGreaterThanOrEqual(60)
    // nothing is followed beyond fifteen years
    expect(steadyLife(cropById('bean-drying'), 2, 50, 'jar').model.days).toBe(15 * 365)
    expect(steadyLife(cropById('raspberry'), 35, 60, 'box').model.days).toBe(60)
  })
  it('is answered from −10 to 40 °C and 10 to 100 %, for what is frozen from −30 on', () => {
    const onion = cropById('onion-storing')
    for (const [t, rh] of [
      [-10, 60],
      [40, 60],
      [15, 10],
      [15, 100],
    ] as const) {
      expect(keepAt(onion, t, rh).lifeDays.p50).toBeGreaterThan(0)
    }
    for (const [t, rh] of [
      [-10.1, 60],
      [40.1, 60],
      [15, 9.9],
      [15, 100.1],
    ] as const) {
      expect(() => keepAt(onion, t, rh)).toRefuse(/from|between|to/)
    }
  })
  it('says what a month takes of the weight', () => {
    const { weightLossPctPerMonth } = keepAt(cropById('carrot'), 15, 60, 'box')
    expect(weightLossPctPerMonth).toBe(steadyLife(cropById('carrot'), 15, 60, 'box').lossPct[30])
  })
})

it('a life given as a spread is met at all three of its points', () => {
  for (const [p10, p50, p90] of [
    [90, 160, 260],
    [20, 30, 41],
    [100, 180, 300],
  ] as const) {
    const model = lifeModelFromSpread({ p10, p50, p90 }, 2000)
    const life = unitLife(model, priorWeights(model))
    expect(life.p50 / p50).toBeCloseTo(1, 2)
    expect(life.p90 / life.p10 / (p90 / p10)).toBeCloseTo(1, 1)
  }
})

it('says by which figures an end comes', () => {
  const says = (id: string, end: Parameters<typeof endReason>[1], t = 8.4, rh = 71.6) =>
    inPlainWords(endReason(cropById(id), end, t, rh))
  // the warmth in which its sprouting is quickest
  const onion = cropById('onion-storing')
  const [worst] = onion.keeping.sproutingDays!.value.reduce((a, b) => (b[1] < a[1] ? b : a))
  expect(says('onion-storing', 'sprouting')).toContain(`${worst} °C`)
  expect(says('onion-storing', 'rooting')).toContain(`${onion.keeping.rootsAbovePct!.value} %`)
  expect(says('onion-storing', 'rooting')).toContain('72')
  expect(says('onion-storing', 'frost')).toContain(`${Math.abs(onion.keeping.freezesAtC!.value)} °C`)
  expect(says('onion-storing', 'drying out')).toContain(`${Math.round(bearableLossPct(onion))} %`)
  // what does not breathe grows old instead of rotting
  expect(endWord(cropById('bean-drying'), 'rot')).toBe('age')
  expect(endWord(onion, 'rot')).toBe('rot')
  expect(endWord(cropById('bean-drying'), 'mould')).toBe('mould')
})
