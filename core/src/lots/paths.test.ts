import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById, driedForm, type Crop } from '../almanac'
import { hourMs } from '../air'
import { keepAt } from '../stores'
import { dryerState } from '../line'
import { Refusal } from '../refusal'
import { bringIn, eventSays, jarDay, lotHistory, perform, type LotAct, type LotEvent, type LotHistory } from './index'

const airflowOf = () => 'breezy' as const

/** One lot walked through acts at given hours. */
function walk(crop: Crop, weightG: number) {
  const events: LotEvent[] = bringIn(
    crop,
    weightG,
    [{ heap: 'sound', weightG, placeId: 'shed' }],
    airflowOf,
  )[0]!.events.map((e) => ({ ...e, atMs: 0 }))
  return {
    events,
    lot: () => lotHistory(events),
    at: (hour: number, act: LotAct) => {
      const outcome = perform(act, { crop, lot: lotHistory(events), nowMs: hour * hourMs, airflowOf })
      events.push(...outcome.events.map((e) => ({ ...e, atMs: hour * hourMs })))
      return outcome
    },
  }
}

describe('beans to the jar', () => {
  const beans = cropById('bean-drying')
  it('are threshed, sieved and winnowed, each step losing straw and never gaining', () => {
    const lot = walk(beans, 6000)
    lot.at(200, { act: 'clean', step: 'thresh', weightG: 2600 })
    lot.at(201, { act: 'clean', step: 'sieve', weightG: 2300 })
    expect(() => lot.at(202, { act: 'clean', step: 'winnow', weightG: 2400 })).toRefuse(/cannot weigh more/)
    lot.at(202, { act: 'clean', step: 'winnow', weightG: 2210 })
    expect(lot.lot()).toMatchObject({ stage: 'drying', quantity: { weightG: 2210 } })
    expect(inPlainWords(eventSays(beans, lot.events.at(-1)!, null))).toBe(
      'winnowed: 2,210 g clean, 90 g of straw and chaff off',
    )
    expect(() => walk(cropById('garlic-hardneck'), 900).at(1, { act: 'clean', step: 'thresh', weightG: 1 })).toThrow(
      Refusal,
    )
  })
  it('forget weighings made with the straw on', () => {
    const lot = walk(beans, 6000)
    lot.at(2, { act: 'weigh', weightG: 5900, basis: 'lot' })
    lot.at(3, { act: 'clean', step: 'thresh', weightG: 2000 })
    expect(lot.lot().weighings).toEqual([])
  })
})

describe('apples through the dehydrator', () => {
  const apple = cropById('apple-late')
  const load = { act: 'load' as const, weightG: 2500, trays: 5, airC: 60, placeId: 'kitchen' }
  it('a part becomes a lot of its own and the rest stays', () => {
    const lot = walk(apple, 10_000)
    const { splitsOff } = lot.at(24, { ...load, takenG: 3000 })
    expect(lot.lot()).toMatchObject({ stage: 'stored', quantity: { weightG: 7000 } })
    const part = lotHistory(splitsOff![0]!.events.map((e) => ({ ...e, atMs: 0 })))
    expect(part).toMatchObject({ stage: 'dryer', quantity: { weightG: 2500, pieces: null } })
  })
  it('come to the weight that mass balance gives, sooner or later by the scale', () => {
    const lot = walk(apple, 2500)
    lot.at(0, load)
    const state = (hour: number) => dryerState(apple, lot.lot().loads[0]!, 2500, hour * hourMs)
    // 2.5 kg at 85.56 % water to 20 %: 2500 · 0.1444 / 0.8 = 451 g
    expect(state(0).targetG).toBeCloseTo(451.25, 1)
    const hours = state(0).doneAtMs.p50 / hourMs
    expect(state(0).moisturePct).toBeCloseTo(85.56, 2)
    expect(state(hours).moisturePct).toBeCloseTo(20, 1)
    expect(hours).toBeGreaterThan(6)
    expect(hours).toBeLessThan(12)
    expect(state(0).rotateAtMs / hourMs).toBeCloseTo(hours / 2, 6)
    lot.at(3, { act: 'weigh', weightG: 1600, basis: 'lot' })
    const slow = state(3)
    expect(slow.doneAtMs.p50).toBeGreaterThan(hours * hourMs)
    expect(slow.doneAtMs.p90 - slow.doneAtMs.p10).toBeLessThan(state(0).doneAtMs.p90 * 0.6)
    expect(() => lot.at(4, { act: 'weigh', weightG: 300, basis: 'bunch' })).toRefuse(/whole load/)
  })
  it('the Newton curve with a known pace is found from one weighing', () => {
    // X = X0·exp(−k t) with k = 0.3 an hour on 361 g of dry matter (2.5 kg at 85.56 % water)
    const dry = 2500 * 0.1444
    const k = 0.3
    const weightAt = (h: number) => dry * (1 + (85.56 / 14.44) * Math.exp(-k * h))
    const at = (h: number) => ({ atMs: h * hourMs, weightG: weightAt(h) })
    const done = Math.log(85.56 / 14.44 / 0.25) / k
    const state = dryerState(
      apple,
      { atMs: 0, weightG: 2500, airC: 60, weighings: [at(2), at(6)], rotatedAtMs: null },
      2500,
      6 * hourMs,
    )
    expect(Math.abs(state.doneAtMs.p50 / hourMs / done - 1)).toBeLessThan(0.12)
    expect(state.doneAtMs.p10 / hourMs).toBeLessThan(done)
    expect(state.doneAtMs.p90 / hourMs).toBeGreaterThan(done)
  })
  it('beads in the jar send them back; a week without puts them by', () => {
    const lot = walk(apple, 2500)
    lot.at(0, load)
    lot.at(9, { act: 'rotate' })
    lot.at(10, { act: 'jar', weightG: 480 })
    expect(lot.lot().stage).toBe('conditioning')
    lot.at(34, { act: 'shake', beads: true, mould: false })
    expect(lot.lot()).toMatchObject({ stage: 'dryer', quantity: { weightG: 480 } })
    const again = dryerState(apple, lot.lot().loads.at(-1)!, 2500, 34 * hourMs)
    expect(again.doneAtMs.p50 - 34 * hourMs).toBeGreaterThanOrEqual(2 * hourMs - 1)
    expect(again.doneAtMs.p50 - 34 * hourMs).toBeLessThan(8 * hourMs)
    lot.at(38, { act: 'jar', weightG: 452 })
    for (let day = 1; day <= 7; day++) lot.at(38 + 24 * day - 20, { act: 'shake', beads: false, mould: false })
    expect(lot.lot()).toMatchObject({ stage: 'stored', pack: 'jar', quantity: { weightG: 452 } })
    expect(() => lot.at(300, { act: 'shake', beads: false, mould: false })).toRefuse(/no conditioning jar/)
  })
  it('mould ends the whole jar', () => {
    const lot = walk(apple, 2500)
    lot.at(0, load)
    lot.at(10, { act: 'jar', weightG: 480 })
    lot.at(58, { act: 'shake', beads: false, mould: true })
    expect(lot.lot()).toMatchObject({ stage: 'gone', quantity: { weightG: 0 } })
  })
  it('asks when most of a lot would count as trimmings', () => {
    const lot = walk(apple, 10_000)
    expect(() => lot.at(0, { ...load, weightG: 900 })).toRefuse(/count.* as trimmings/)
    lot.at(0, { ...load, weightG: 900, sure: true })
    expect(lot.lot().quantity.weightG).toBe(900)
  })
  it('asks about a heat that is far off, and refuses crops nobody dries so', () => {
    expect(() => walk(apple, 2500).at(0, { ...load, airC: 35 })).toRefuse(/Keep it anyway/)
    expect(() => walk(cropById('bean-drying'), 2500).at(0, load)).toRefuse(/not dried in a dehydrator/)
  })
  it('dried, they keep a year in a cool cupboard and half of that ten degrees warmer', () => {
    const dried = driedForm(apple)
    // NCHFP: dried fruit about 12 months at 60 °F, 6 at 80 °F (recalled, not re-read)
    const cool = keepAt(dried, 15.6, 50, 'jar').nineInTenDays.p50
    const warm = keepAt(dried, 26.7, 50, 'jar').nineInTenDays.p50
    expect(cool).toBeGreaterThan(365 * 0.75)
    expect(cool).toBeLessThan(365 * 1.25)
    expect(cool / warm).toBeGreaterThan(1.8)
    expect(cool / warm).toBeLessThan(2.5)
    expect(driedForm(cropById('garlic-hardneck')).id).toBe('garlic-hardneck')
  })
})

describe('days in the jar', () => {
  it('count from its first, and a morning after an evening is the second', () => {
    const filled = Date.UTC(2026, 7, 20, 20)
    const day = (hours: number) => jarDay({ jar: { atMs: filled } } as LotHistory, filled + hours * 3_600_000)
    expect([0, 11.9, 12, 35.9, 36, 60].map(day)).toEqual([1, 1, 2, 2, 3, 4])
    expect(jarDay({ jar: null } as unknown as LotHistory, filled)).toBe(1)
  })
})

describe('how a lot dries', () => {
  it('is the crop’s usual way unless said, and only a way that crop is dried', () => {
    const chilli = cropById('chilli')
    const hung = (hungIn?: 'bag' | 'plait') =>
      bringIn(chilli, 900, [{ heap: 'sound', weightG: 900, placeId: 'shed', ...(hungIn ? { hungIn } : {}) }], airflowOf)
    expect(lotHistory(hung()[0]!.events.map((e) => ({ ...e, atMs: 0 }))).hungIn).toBe('bunch')
    expect(lotHistory(hung('bag')[0]!.events.map((e) => ({ ...e, atMs: 0 }))).hungIn).toBe('bag')
    expect(() => hung('plait')).toRefuse(/not dried in plaits/)
  })
})
