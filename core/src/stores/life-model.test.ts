import { inPlainWords } from '@vadose/words'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { airSeries, steadyAir } from '../air'
import { cropById, crops } from '../almanac'
import {
  agesByDay,
  bearableLossPct,
  dayOfShare,
  endReason,
  endShares,
  ends,
  keepAt,
  keepingForecast,
  lotLife,
  survivalCurve,
  meanSoundShare,
  priorWeights,
  soundShare,
  steadyLife,
  nineInTenFrom,
  unlooked,
  type Packing,
} from './index'

const garlic = cropById('garlic-hardneck')
const anyAir = fc.array(
  fc.tuple(fc.double({ min: -8, max: 35, noNaN: true }), fc.double({ min: 20, max: 98, noNaN: true })),
  { minLength: 3, maxLength: 30 },
)
const daily = (air: [number, number][]) =>
  airSeries(
    0,
    Float64Array.from({ length: air.length * 24 }, (_, i) => air[Math.floor(i / 24)]![0]),
    Float64Array.from({ length: air.length * 24 }, (_, i) => air[Math.floor(i / 24)]![1]),
  )

describe('ages', () => {
  it('a degree of frost for a day is what half a lot stands, and two what none would doubt; on no day without', () => {
    const carrot = cropById('carrot')
    const frost = ends.indexOf('frost')
    const after = (degrees: number, days: number) =>
      agesByDay(
        carrot,
        daily(Array.from({ length: days }, () => [carrot.keeping.freezesAtC!.value - degrees, 80])),
        'net',
      ).ages[frost]!
    expect(after(1, 1)[1]).toBeCloseTo(1, 6)
    expect(after(2, 3)[3]).toBeCloseTo(6, 6)
    expect(after(-1, 3).every((age) => age === 0)).toBe(true)
  })

  it('by chilling, roots and light add up as their crop says, by hand: half is gone at 1', () => {
    const after = (id: string, t: number, rh: number, days: number, end: (typeof ends)[number]) =>
      agesByDay(cropById(id), steadyAir(t, rh, 24 * days), 'bare', { light: true, gas: 0 }).ages[ends.indexOf(end)]![
        days
      ]!
    const { keeping: squash } = cropById('squash-butternut')
    // five degrees too cold for as many days as the crop says
    const [line, days] = [squash.chillsBelowC!.value, squash.chillingDays!.value]
    expect(after('squash-butternut', line - 5, 60, days, 'chilling')).toBeCloseTo(1, 6)
    expect(after('squash-butternut', line - 2.5, 60, days, 'chilling')).toBeCloseTo(0.5, 6)
    expect(after('squash-butternut', line, 60, days, 'chilling')).toBe(0)
    // at ten degrees and 90 % for as many days as the crop says; dampness counts from where its roots begin
    const { keeping: onion } = cropById('onion-storing')
    const [roots, rooting] = [onion.rootsAbovePct!.value, onion.rootingDays!.value]
    expect(after('onion-storing', 10, 90, rooting, 'rooting')).toBeCloseTo(1, 6)
    expect(after('onion-storing', 10, (90 + roots) / 2, rooting, 'rooting')).toBeCloseTo(0.5, 6)
    // in light at twenty degrees
    const { keeping: potato } = cropById('potato-maincrop')
    expect(after('potato-maincrop', 20, 85, potato.greeningDays!.value, 'greening')).toBeCloseTo(1, 6)
    expect(after('potato-maincrop', 5, 85, potato.greeningDays!.value, 'greening')).toBeCloseTo(0.25, 6)
  })

  it('in a neighbour’s gas go faster the warmer it is, up to 20 °C, by hand', () => {
    const carrot = cropById('carrot')
    const after = (t: number, gas: number) =>
      agesByDay(carrot, steadyAir(t, 95, 24 * 20), 'box', { gas }).ages[ends.indexOf('ethylene')]![20]!
    // 35 days of the full gas at 7 °C are half the lot
    const days = (pace: number) => (20 * pace) / 35
    expect(after(-0.5, 1)).toBeCloseTo(days(0.3), 6)
    expect(after(0, 1)).toBeCloseTo(days(0.5), 6)
    expect(after(10, 1)).toBeCloseTo(days(1.25), 6)
    expect(after(10, 0.4)).toBeCloseTo(days(1.25) * 0.4, 6)
    expect(after(25, 1)).toBeCloseTo(days(2), 6)
    expect(after(10, 0)).toBe(0)
  })

  it('never turn back, in any air', () => {
    fc.assert(
      fc.property(anyAir, (air) =>
        crops.every((crop) => {
          const { ages, lossPct } = agesByDay(crop, daily(air), 'net')
          return [...ages, lossPct].every((age) =>
            age.every((x, i) => Number.isFinite(x) && (i === 0 || x >= age[i - 1]!)),
          )
        }),
      ),
      { numRuns: 60 },
    )
  })
  it('add up: a stretch after a stretch ages as the two together', () => {
    const whole = agesByDay(garlic, steadyAir(13, 70, 24 * 40), 'net')
    const half = agesByDay(garlic, steadyAir(13, 70, 24 * 20), 'net')
    // water lost is lost of what is still there, so that end alone slows
    ends.forEach((end, i) => {
      if (end !== 'drying out') expect(whole.ages[i]![40]).toBeCloseTo(2 * half.ages[i]![20]!, 9)
    })
  })
  it('lose water by packing: bare most, damp sand least', () => {
    const order: Packing[] = ['bare', 'plait', 'net', 'sack', 'box', 'damp-sand']
    const losses = order.map((p) => agesByDay(garlic, steadyAir(15, 60, 24 * 30), p).lossPct[30]!)
    expect(losses).toEqual([...losses].sort((a, b) => b - a))
  })
  it('call it dried out at what a household bears, twice the shop’s loss', () => {
    expect(bearableLossPct(garlic)).toBe(20)
    const { ages, lossPct } = agesByDay(garlic, steadyAir(22, 35, 24 * 300), 'bare')
    const day = ages[1]!.findIndex((a) => a >= 1)
    expect(lossPct[day]).toBeGreaterThanOrEqual(20)
    expect(lossPct[day - 1]).toBeLessThan(20)
  })
  it('root only where it is damp and not frozen', () => {
    const rooting = (t: number, rh: number) => agesByDay(garlic, steadyAir(t, rh, 24 * 10), 'net').ages[3]![10]!
    expect(rooting(10, 72)).toBe(0)
    expect(rooting(-3, 95)).toBe(0)
    expect(rooting(10, 90)).toBeGreaterThan(rooting(4, 90))
  })
})

describe('survival', () => {
  const { model, lossPct } = lotLife(garlic, steadyAir(12, 62, 24 * 500), 'net')
  const weights = priorWeights(model)
  it('starts whole, falls, and is a share', () => {
    expect(soundShare(model, 0, 0)).toBe(1)
    for (let j = 0; j < weights.length; j++) {
      for (let day = 1; day < 500; day += 7) {
        const now = soundShare(model, day, j)
        expect(now).toBeGreaterThanOrEqual(0)
        expect(now).toBeLessThanOrEqual(soundShare(model, day - 1, j) + 1e-12)
      }
    }
  })
  it('is longer for a lot of longer life', () => {
    expect(soundShare(model, 150, weights.length - 1)).toBeGreaterThan(soundShare(model, 150, 0))
  })
  it('is read between days and held beyond the last', () => {
    const between = meanSoundShare(model, weights, 100.5)
    expect(between).toBeLessThan(meanSoundShare(model, weights, 100))
    expect(between).toBeGreaterThan(meanSoundShare(model, weights, 101))
    expect(meanSoundShare(model, weights, 9999)).toBe(meanSoundShare(model, weights, 500))
  })
  it('finds the day of a share, and says the horizon where it is not reached', () => {
    const day = dayOfShare((d) => meanSoundShare(model, weights, d), 0.5, model.days)
    expect(meanSoundShare(model, weights, day)).toBeCloseTo(0.5, 3)
    expect(dayOfShare(() => 1, 0.5, 300)).toBe(300)
  })
  it('shares the blame out in full', () => {
    const shares = endShares(model, weights)
    expect(shares.reduce((sum, s) => sum + s.share, 0)).toBeCloseTo(1, 9)
    expect(shares.map((s) => s.share)).toEqual(shares.map((s) => s.share).sort((a, b) => b - a))
  })
  it('forecasts from today: nothing promised for the past, bands in order', () => {
    for (const nowDay of [0, 33.4, 120]) {
      const f = keepingForecast(model, lossPct, nowDay, unlooked(model, nowDay))
      expect(f.nineInTenDay.p10).toBeGreaterThanOrEqual(nowDay)
      expect(f.halfDay.p50).toBeGreaterThanOrEqual(f.nineInTenDay.p50)
      for (const p of survivalCurve(model, nowDay, unlooked(model, nowDay)))
        expect(0 <= p.p10 && p.p10 <= p.p50 && p.p50 <= p.p90 && p.p90 <= 1).toBe(true)
      const sound = survivalCurve(model, nowDay, unlooked(model, nowDay)).map((p) => p.p50)
      expect([sound[0]! > 0.95, sound.at(-1)! < 0.1]).toEqual([true, true])
    }
  })
  it('knows what is left no better than the model is known, even of a lot whose life is: two fifths more or less', () => {
    const { weights: all, bad } = unlooked(model, 30)
    const one = all.map((_, j) => (j === all.indexOf(Math.max(...all)) ? 1 : 0))
    const { p10, p50, p90 } = nineInTenFrom(model, 30, { weights: one, bad }, 0, 0)
    // e^(1.2816 · 0.27) = 1.413
    expect((p90 - 30) / (p50 - 30)).toBeCloseTo(1.413, 3)
    expect((p10 - 30) / (p50 - 30)).toBeCloseTo(1 / 1.413, 3)
    // where the air ahead is known to 0.4 only: e^(1.2816 · √(0.27² + 0.4²)) = 1.856
    const ahead = nineInTenFrom(model, 30, { weights: one, bad }, 0, 0.4)
    expect((ahead.p90 - 30) / (ahead.p50 - 30)).toBeCloseTo(1.856, 3)
  })
  it('is moved by the air: warm and dry, cold and dry, and damp end it differently', () => {
    const first = (t: number, rh: number) => {
      const { model: m } = steadyLife(garlic, t, rh, 'net')
      return endShares(m, priorWeights(m))[0]!.end
    }
    expect([first(28, 35), first(0, 66), first(9, 84), first(-5, 70)]).toEqual([
      'drying out',
      'sprouting',
      'rooting',
      'frost',
    ])
  })
  it('says what ends it in per cent, most first, what does next to nothing left out', () => {
    for (const [id, t, rh] of [
      ['garlic-hardneck', 15, 60],
      ['potato-maincrop', 8, 90],
      ['carrot', 4, 95],
    ] as const) {
      const { hazards, endedBy } = keepAt(cropById(id), t, rh)
      expect(hazards[0]!.end).toBe(endedBy)
      expect(hazards.reduce((sum, { sharePct }) => sum + sharePct, 0)).toBeGreaterThan(97)
      expect(hazards.reduce((sum, { sharePct }) => sum + sharePct, 0)).toBeLessThan(100.5)
      expect(hazards.every(({ sharePct }) => sharePct > 0.5)).toBe(true)
    }
  })
  it('says why in words with the numbers in them', () => {
    for (const end of ends) {
      const says = inPlainWords(endReason(garlic, end, 13.2, 61.7))
      expect(says).toMatch(/\.$/)
      if (!['greening', 'ethylene', 'early rot'].includes(end)) expect(says).toMatch(/\d/)
    }
  })
})
