import fc from 'fast-check'
import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { asGoods, cropById, inForm, pantry } from '../almanac'
import { draft, eventSays, lotHistory, type EventDraft } from '../lots'
import { keepAt } from '../stores'
import { dishOf, recipesFrom, scaleOf, yieldOf, type Dish, type DishLot } from './index'

const told = (events: readonly EventDraft[], origin?: ReturnType<typeof lotHistory>) =>
  lotHistory(
    events.map((event, i) => ({ ...event, atMs: (i + 1) * 3_600_000, id: i + 1 })),
    origin,
  )
const stored = (crop: string, code: string, weightG: number, pieces = 0): DishLot & { events: EventDraft[] } => {
  const events = [
    draft('brought-in', { weightG, pieces, placeId: 'cellar' }),
    draft('finished', { placeId: 'cellar', details: { pack: 'box' } }),
  ]
  return { code, crop: cropById(crop), lot: told(events), events }
}
const cabbage = stored('cabbage-red', 'C26-1', 6000, 3)
const apples = stored('apple-late', 'A26-1', 20_000, 130)
const onions = stored('onion-storing', 'O26-1', 9000, 90)
const braise: Dish = {
  name: 'Braised red cabbage',
  form: 'frozen',
  takes: [
    { code: 'C26-1', all: true },
    { code: 'A26-1', weightG: 900 },
    { code: 'O26-1', pieces: 4 },
  ],
  adds: [
    { name: 'wine', weightG: 500 },
    { name: 'butter', weightG: 120 },
  ],
  weightG: 6600,
  pieces: 11,
  unit: 'portion',
  placeId: 'freezer',
  wasteG: 900,
  prepared: 'braised',
}
const lots = [cabbage, apples, onions]

describe('a dish of several lots', () => {
  it('is a form of what most of it is, and tells what went in, out and away to the gram', () => {
    const { taken, main, made, inG, goneG } = dishOf(braise, lots)
    expect(main).toBe('C26-1')
    expect(taken.map(({ event }) => [event.kind, event.weightG, event.pieces])).toEqual([
      ['split-out', -6000, -3],
      ['split-out', -900, -6],
      ['split-out', -400, -4],
    ])
    expect([inG, goneG]).toEqual([7920, 1320])
    expect(made.map(({ kind }) => kind)).toEqual(['split-in', 'split-in', 'split-in', 'added', 'added', 'made'])
    const lot = told(made, cabbage.lot)
    expect(lot).toMatchObject({
      quantity: { weightG: 6600, pieces: 11 },
      stage: 'stored',
      named: 'Braised red cabbage',
      unit: 'portion',
      placeId: 'freezer',
      made: { form: 'frozen', dish: true },
      guessed: { weight: false },
    })
    expect(lot.storedAtMs).toBe(lot.made!.atMs)
    const says = inPlainWords(eventSays(cropById('cabbage-red'), made.at(-1)!, 'Chest freezer'))
    expect(says).toBe(
      'frozen, braised: 11 portions, 6,600 g, in chest freezer; 1,320 g went as water and trimmings, 900 g of it trimmings',
    )
  })
  it('keeps as long as the shortest of method and main part', () => {
    const goods = { name: 'Braised red cabbage', unit: 'portion', lifeDays: null, dish: true } as const
    const dish = asGoods(cropById('cabbage-red'), 'frozen', goods)
    const plain = inForm(cropById('cabbage-red'), 'frozen')
    expect(dish.piece).toEqual({ one: 'portion', many: 'portions' })
    expect(keepAt(dish, -18, 60).nineInTenDays.p50).toBeLessThan(keepAt(plain, -18, 60).nineInTenDays.p50 / 2)
    const said = asGoods(cropById('cabbage-red'), 'frozen', { ...goods, lifeDays: 30 })
    expect(keepAt(said, -18, 60).nineInTenDays.p50).toBeLessThan(35)
    // the date on a packet is when nine in ten are still good, in any cupboard
    const oil = asGoods(pantry, 'fresh', { name: 'Oil', unit: 'bottle', lifeDays: 211, dish: false })
    for (const t of [10, 20]) {
      const days = keepAt(oil, t, 70).nineInTenDays.p50
      expect(days).toBeGreaterThan(190)
      expect(days).toBeLessThan(230)
    }
    // USDA FSIS: leftovers three to four days in the fridge; two to three months frozen (recalled, not re-read)
    const fridge = asGoods(cropById('cabbage-red'), 'cooked', goods)
    expect(keepAt(fridge, 4, 60).nineInTenDays.p50).toBeGreaterThan(2.4)
    expect(keepAt(fridge, 4, 60).nineInTenDays.p50).toBeLessThan(4.5)
    expect(keepAt(fridge, 21, 60).nineInTenDays.p50).toBeLessThan(1)
  })
  it('jars keep a year and more in the cellar, ferments months in the fridge and weeks in the kitchen', () => {
    const nine = (form: 'jarred' | 'brined', t: number) =>
      keepAt(inForm(cropById('cabbage-white'), form), t, 70).nineInTenDays.p50 / 30.4
    expect(nine('jarred', 15)).toBeGreaterThan(12)
    expect(nine('jarred', 30)).toBeLessThan(9)
    expect(nine('brined', 4)).toBeGreaterThan(4)
    expect(nine('brined', 4)).toBeLessThan(6.5)
    expect(nine('brined', 20)).toBeLessThan(1.5)
  })
  it('is refused where more comes out than went in, nothing would be left, or a lot has not that much', () => {
    const refuse = (over: Partial<Dish>) => () => dishOf({ ...braise, ...over }, lots)
    expect(refuse({ weightG: 7500 })).toRefuse(/say what else went in, water too/)
    expect(refuse({ wasteG: 7920, weightG: undefined as never })).toRefuse(/Nothing would be left/)
    expect(refuse({ takes: [{ code: 'A26-1', weightG: 30_000 }] })).toThrow()
    expect(refuse({ takes: [], adds: [] })).toRefuse(/Nothing goes into it/)
    expect(refuse({ name: '  ' })).toRefuse(/name/)
    expect(refuse({ takes: [braise.takes[0]!, braise.takes[0]!] })).toRefuse(/once/)
  })
  it('nobody weighed it: what went in less the trimmings, and said to be a guess', () => {
    const { weightG: _, ...unweighed } = braise
    const lot = told(dishOf(unweighed, lots).made, cabbage.lot)
    expect(lot.quantity.weightG).toBe(7020)
    expect(lot.guessed.weight).toBe(true)
  })
  it('tops up an open bag, which is no younger for it', () => {
    const first = dishOf(
      { ...braise, takes: [{ code: 'C26-1', pieces: 1 }], adds: [], weightG: 1600, wasteG: 300, pieces: 3 },
      [cabbage],
    )
    const bag = told(first.made, cabbage.lot)
    const into = { code: 'C26-2', crop: cabbage.crop, lot: bag }
    const more = dishOf(
      {
        ...braise,
        takes: [{ code: 'O26-1', weightG: 500 }],
        adds: [],
        weightG: 450,
        wasteG: 0,
        pieces: 1,
        into: 'C26-2',
      },
      [onions],
      into,
    )
    const after = told([...first.made, ...more.made], cabbage.lot)
    expect(after.quantity).toEqual({ weightG: 2050, pieces: 4 })
    expect(after.storedAtMs).toBe(bag.storedAtMs)
    expect(() => dishOf({ ...braise, form: 'jarred', into: 'C26-2' }, lots, into)).toRefuse(/not jarred/)
  })
  it('property: what went in is what came out and what went, whatever is taken', () => {
    const grams = fc.integer({ min: 1, max: 5000 })
    fc.assert(
      fc.property(grams, grams, fc.nat(900), fc.double({ min: 0.1, max: 1, noNaN: true }), (a, b, wasteG, share) => {
        const inG = a + b + 300
        const weightG = Math.max(1, Math.round((inG - wasteG) * share))
        fc.pre(weightG + wasteG <= inG)
        const takes = [
          { code: 'A26-1', weightG: a },
          { code: 'O26-1', weightG: b },
        ]
        const of = dishOf({ ...braise, takes, adds: [{ name: 'stock', weightG: 300 }], wasteG, weightG }, [
          apples,
          onions,
        ])
        const out = of.taken.reduce((sum, { event }) => sum + event.weightG, 0)
        expect(of.made.reduce((sum, e) => sum + e.weightG, 0)).toBe(weightG)
        expect(0 - out + 300).toBe(weightG + of.goneG)
        expect(of.main).toBe(a >= b ? 'A26-1' : 'O26-1')
      }),
    )
  })
})

describe('the household’s recipes', () => {
  const lotMade = (on: string, dish: Dish) => ({
    broughtOn: on,
    events: dishOf(dish, lots).made.map((e, i) => ({ ...e, atMs: i, id: i + 1 })),
  })
  const cropOf = (code: string) => lots.find((one) => one.code === code)?.crop.id
  it('are remembered as they were made the last time, and scale to what there is least of', () => {
    const [recipe, ...none] = recipesFrom(
      [lotMade('2025-11-02', { ...braise, pieces: 5, adds: [], weightG: 5000 }), lotMade('2026-11-02', braise)],
      cropOf,
    )
    expect(none).toEqual([])
    expect(recipe).toMatchObject({ name: 'Braised red cabbage', pieces: 11, times: 2, madeOn: '2026-11-02' })
    expect(recipe!.takes).toContainEqual({ crop: 'onion-storing', weightG: 400 })
    expect(recipe!.adds).toEqual(braise.adds)
    const here = new Map([
      ['cabbage-red', 4000],
      ['apple-late', 9000],
      ['onion-storing', 9000],
    ])
    const scale = scaleOf(recipe!, here)
    expect(scale).toEqual({ times: 4000 / 6000, short: 'cabbage-red' })
    expect(yieldOf(recipe!, scale.times)).toBe('7 portions')
  })
})
