import { describe, expect, it } from 'vitest'
import { steadyAir, vapourPressureDeficitKPa, hourMs } from '../air'
import { cropById } from '../almanac'
import { usePriorWeeks, usualUsesPerWeek, weatherAheadLogSd } from './index'
import { dayMs } from '../households'
import { runOut } from '../larder'
import { curingOf, curingPosterior, curingState, healingRate, pullKPa, weightShare, type CuringLot } from '../line'
import { draft, lotHistory, perform, piecesOfGrams, type EventDraft } from '../lots'
import { climateFor, dailyOf, dayOf, outdoorDays, placeFit, usualAir } from '../places'
import { agesByDay, ends } from '../stores'

/** Each judgement shows in a number: an example worked by hand for what is easily broken unseen. */

const garlic = cropById('garlic-hardneck')
const curing = curingOf(garlic)
const climate = climateFor(47, 430)
const age = (end: (typeof ends)[number], t: number, rh: number, around = {}) =>
  agesByDay(garlic, steadyAir(t, rh, 24 * 10), 'net', around).ages[ends.indexOf(end)]![10]!

describe('keeping', () => {
  it('rots faster in the damp: 8 % for each point from five above the best humidity on', () => {
    // garlic's best is up to 70 %: at 85 % ten points count
    expect(age('rot', 18, 85) / age('rot', 18, 70)).toBeCloseTo(1.8, 6)
    expect(age('rot', 18, 75) / age('rot', 18, 60)).toBeCloseTo(1, 6)
  })
  it('feels ripening gas by the warmth: half at freezing, twice at 20 °C and above', () => {
    const carrot = cropById('carrot')
    const gas = (t: number) =>
      agesByDay(carrot, steadyAir(t, 95, 240), 'damp-sand', { gas: 'much' }).ages[ends.indexOf('ethylene')]![10]!
    expect(gas(20) / gas(0)).toBeCloseTo(4, 6)
    expect(gas(10)).toBeCloseTo(10 / 35 / (1 / 1.25), 1)
  })
})

describe('the drying clock', () => {
  const spread = (powers: number[], finalRatio = 0.72) => {
    const weighings = powers.map((powerKPaH) => ({
      powerKPaH,
      weightG: 1000 * weightShare(powerKPaH, curing.budget.value, finalRatio),
    }))
    const { budgetKPaH, weight } = curingPosterior(curing, weighings, [])
    const mean = weight.reduce((sum, w, i) => sum + w * budgetKPaH[i]!, 0)
    return Math.sqrt(weight.reduce((sum, w, i) => sum + w * (budgetKPaH[i]! - mean) ** 2, 0)) / mean
  }
  it('learns nothing from one weighing, and something from two', () => {
    expect(spread([40])).toBeCloseTo(spread([]), 9)
    expect(spread([40, 250])).toBeLessThan(0.97 * spread([]))
  })
  it('keeps a doubt that no number of weighings takes away: air moves more on one day than another', () => {
    // with scale noise alone twelve perfect weighings would leave well under 3 %
    const many = spread(Array.from({ length: 12 }, (_, i) => 20 + 25 * i))
    expect(many).toBeGreaterThan(0.04)
    expect(many).toBeLessThan(0.15)
  })
  it('is as wide as the weather to come may differ, where the lot itself is known', () => {
    const known = { ...garlic, curing: { ...curing, budgetLogSd: { value: 1e-4, source: 'judgement' as const } } }
    const lot: CuringLot = {
      crop: known,
      air: steadyAir(20, 60, 24 * 90),
      nowMs: 0,
      airflow: [{ atMs: 0, airflow: 'breezy' }],
      weighings: [],
      tests: [],
    }
    const { p10, p50, p90 } = curingState(lot).readyAtMs
    const days = curing.budget.value / (24 * pullKPa(vapourPressureDeficitKPa(20, 60), 60))
    expect(p50 / dayMs).toBeCloseTo(days, 0)
    // seven points of the spread: the outer ones of eight in ten lie near one and a half of its standard deviations
    expect(Math.log(p90 / p10) / weatherAheadLogSd).toBeGreaterThan(2)
    expect(Math.log(p90 / p10) / weatherAheadLogSd).toBeLessThan(3.2)
  })
  it('heals potatoes half as fast 25 points too dry, and not at all near freezing', () => {
    const potato = curingOf(cropById('potato-maincrop'))
    expect(healingRate(potato, 18, 90)).toBe(1)
    expect(healingRate(potato, 18, 60)).toBeCloseTo(0.5, 6)
    expect(healingRate(potato, 1.5, 90)).toBe(0)
  })
})

describe('healing in days (HB 66 and common practice, recalled)', () => {
  const days = (id: string, t: number, rh: number) => {
    const c = curingOf(cropById(id))
    return c.budget.value / healingRate(c, t, rh) / 24
  }
  it('squash takes one to two weeks in the warm, potatoes a fortnight cool and three to five weeks in a cold cellar', () => {
    for (const id of ['squash-butternut', 'squash-hubbard', 'squash-kabocha']) {
      expect(days(id, 26, 60), id).toBeGreaterThan(7)
      expect(days(id, 26, 60), id).toBeLessThan(14)
    }
    expect(days('potato-maincrop', 12, 90)).toBeGreaterThan(10)
    expect(days('potato-maincrop', 12, 90)).toBeLessThan(16)
    expect(days('potato-maincrop', 8, 90)).toBeGreaterThan(21)
    expect(days('potato-maincrop', 8, 90)).toBeLessThan(35)
    expect(days('potato-maincrop', 19, 90)).toBeLessThan(days('potato-maincrop', 14, 90))
  })
})

describe('steady air, days to ready (common practice, no source)', () => {
  const ready = (id: string, t: number, rh: number) => {
    const c = curingOf(cropById(id))
    return c.budget.value / (24 * pullKPa(vapourPressureDeficitKPa(t, rh), rh, c.stillAbovePct?.value))
  }
  it.each([
    [20, 60, 16, 26],
    [27, 70, 13, 23],
    [9, 78, 45, 150],
  ])('garlic at %i °C and %i pct takes %i to %i', (t, rh, lo, hi) => {
    expect(ready('garlic-hardneck', t, rh)).toBeGreaterThan(lo)
    expect(ready('garlic-hardneck', t, rh)).toBeLessThan(hi)
  })
  it.each([
    ['garlic-hardneck', 25, 90],
    ['bean-drying', 15, 80],
    ['wheat', 12, 80],
    ['maize', 10, 80],
    ['herb-soft', 18, 75],
    ['herb-woody', 20, 80],
    ['coriander', 12, 85],
    ['chilli', 18, 80],
  ])('%s never gets there at %i °C and %i pct', (id, t, rh) => expect(ready(id, t, rh)).toBe(Infinity))
})

describe('the air ahead', () => {
  const july = Date.UTC(2026, 6, 20)
  it('comes late in a cellar: it is warmest weeks after the garden', () => {
    const warmest = (kind: 'cellar' | 'outdoors') => {
      const at = (day: number) => usualAir(kind, climate, Date.UTC(2026, 0, 1) + day * dayMs).temperatureC
      return Array.from({ length: 365 }, (_, day) => day).reduce((best, day) => (at(day) > at(best) ? day : best))
    }
    expect(warmest('cellar') - warmest('outdoors')).toBeGreaterThan(38)
    expect(warmest('cellar') - warmest('outdoors')).toBeLessThan(52)
  })
  it('believes ten days of readings, of what sets a place apart from its kind, by more than half', () => {
    const usual = usualAir('cellar', climate, july).temperatureC
    const hours = 240
    const record = {
      startMs: july - hours * hourMs,
      temperatureC: new Float64Array(hours).fill(usual + 4),
      relativeHumidityPct: new Float64Array(hours).fill(80),
    }
    const outdoors = outdoorDays(climate, july - 200 * dayMs, july + 300 * dayMs)
    const fit = placeFit('cellar', outdoors, dailyOf(record, record.startMs, july))
    const later = july + 250 * dayMs
    const over = fit.temperatureC[dayOf(later) - fit.firstDay]! - usualAir('cellar', climate, later).temperatureC
    expect(over).toBeGreaterThan(2)
    expect(over).toBeLessThan(4)
  })
})

describe('the larder', () => {
  it('weighs what was watched with what is usual: uses after the first, and the prior’s', () => {
    // opened a week ago, two uses since of 300 g: (2 + 1.05) uses in (0.96 + 0.7) weeks, the late ones for more
    const uses = ['2026-11-24', '2026-11-27', '2026-11-30'].map((date) => ({ date, amount: 300 }))
    const { p10, p50, p90 } = runOut(5000, uses, '2026-12-01').perWeek
    const mean = (300 * (1.97 + usePriorWeeks * usualUsesPerWeek)) / (0.96 + usePriorWeeks)
    expect((p10 + p50 + p90) / 3 / mean).toBeGreaterThan(0.9)
    expect((p10 + p50 + p90) / 3 / mean).toBeLessThan(1.15)
  })
})

describe('the ledger', () => {
  const event = (kind: EventDraft['kind'], rest: Partial<EventDraft>, atMs: number) => ({ ...draft(kind, rest), atMs })
  it('counts the nearest number of pieces, not the one below', () => {
    expect(piecesOfGrams({ weightG: 1000, pieces: 10 }, 260)).toBe(3)
    expect(piecesOfGrams({ weightG: 1000, pieces: 10 }, 240)).toBe(2)
  })
  it('takes a corrected weight for what the lot began with', () => {
    const events = [
      event('brought-in', { weightG: 5000 }, 0),
      event('finished', { placeId: 'p', details: { pack: 'net' } }, 1),
      event('corrected', { weightG: -800, details: { why: 'read wrong' } }, 2),
      event('used', { weightG: -200 }, 3),
    ]
    expect(lotHistory(events).weightAtFirstG).toBe(4200)
  })
  it('asks about a weighing that is far too low', () => {
    const lot = lotHistory([
      event('brought-in', { weightG: 5000 }, 0),
      event('hung', { placeId: 'p' }, 0),
      event('weighed', { details: { scaleG: 620, basis: 'bunch' } }, 1),
    ])
    const weigh = (weightG: number) =>
      perform({ act: 'weigh', weightG, basis: 'bunch' }, { crop: garlic, lot, nowMs: 2, airflowOf: () => 'breezy' })
    expect(() => weigh(240)).toRefuse(/less than it can well be/)
    expect(() => weigh(750)).toRefuse(/more than it can well be/)
    expect(weigh(260).events).toHaveLength(1)
  })
})
