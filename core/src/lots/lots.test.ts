import fc from 'fast-check'
import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { dayMs } from '../households'
import { Refusal } from '../refusal'
import { bringIn, eventSays, lotHistory, nextLotCode, perform, sortFates, type LotAct, type LotEvent } from './index'

const crop = cropById('garlic-hardneck')
const airflowOf = () => 'breezy' as const
const begin = (heaps: { heap: string; weightG: number; pieces?: number }[], totalG: number) =>
  bringIn(
    crop,
    totalG,
    heaps.map((h) => ({ ...h, placeId: 'veranda' })),
    airflowOf,
  )

/** Plays acts on one lot and on what splits off; refused acts change nothing. */
function play(acts: LotAct[], of = crop) {
  const ledgers: LotEvent[][] = [
    bringIn(of, 5000, [{ heap: 'sound', weightG: 5000, pieces: 60, placeId: 'veranda' }], airflowOf)[0]!.events.map(
      (e) => ({
        ...e,
        atMs: 0,
      }),
    ),
  ]
  acts.forEach((act, i) => {
    const ledger = ledgers[i % ledgers.length]!
    try {
      const outcome = perform(act, { crop: of, lot: lotHistory(ledger), nowMs: i * dayMs, airflowOf })
      ledger.push(...outcome.events.map((e) => ({ ...e, atMs: i * dayMs })))
      for (const split of outcome.splitsOff ?? []) ledgers.push(split.events.map((e) => ({ ...e, atMs: i * dayMs })))
    } catch (error) {
      if (!(error instanceof Refusal)) throw error
    }
  })
  return ledgers
}

const amount = fc.integer({ min: 1, max: 900 })
const few = fc.integer({ min: 1, max: 12 })
const anyAct: fc.Arbitrary<LotAct> = fc.oneof(
  fc.record({
    act: fc.constant('weigh' as const),
    weightG: fc.integer({ min: 1, max: 6000 }),
    basis: fc.constantFrom('lot' as const, 'bunch' as const),
    sure: fc.boolean(),
  }),
  fc.record({
    act: fc.constant('finish' as const),
    neck: fc.constantFrom('long', 'short'),
    pack: fc.constant('net'),
    placeId: fc.constant('north'),
    weightG: fc.integer({ min: 1, max: 5000 }),
    pieces: fc.integer({ min: 1, max: 120 }),
    grades: fc.array(
      fc.record({
        grade: fc.constantFrom('large' as const, 'small' as const, 'seconds' as const),
        weightG: fc.integer({ min: 1, max: 900 }),
        pieces: fc.option(fc.integer({ min: 1, max: 30 }), { nil: undefined }),
      }),
      { maxLength: 3 },
    ),
  }),
  fc.record({
    act: fc.constantFrom('use' as const, 'give' as const, 'plant' as const),
    pieces: fc.integer({ min: 1, max: 20 }),
  }),
  fc.record({ act: fc.constant('use' as const), weightG: fc.integer({ min: 1, max: 900 }) }),
  fc.record({
    act: fc.constant('lose' as const),
    weightG: fc.integer({ min: 1, max: 900 }),
    cause: fc.constant('mice'),
  }),
  fc.record({
    act: fc.constant('check' as const),
    lookedAt: fc.integer({ min: 1, max: 30 }),
    faults: fc.array(
      fc.record({
        fault: fc.constantFrom('dry-rot', 'sprouting'),
        pieces: fc.integer({ min: 1, max: 3 }),
        action: fc.constantFrom('bin', 'cut', 'eat'),
      }),
      { maxLength: 3 },
    ),
  }),
  fc.record({
    act: fc.constant('correct' as const),
    weightG: fc.integer({ min: 0, max: 5000 }),
    why: fc.constant('scale'),
  }),
  fc.record({
    act: fc.constant('clean' as const),
    step: fc.constantFrom('thresh' as const, 'winnow' as const),
    weightG: fc.integer({ min: 1, max: 5200 }),
  }),
  fc.record({
    act: fc.constant('load' as const),
    takenG: fc.option(fc.integer({ min: 1, max: 3000 }), { nil: undefined }),
    weightG: fc.integer({ min: 1, max: 3000 }),
    trays: fc.constant(3),
    airC: fc.constant(58),
    placeId: fc.constant('kitchen'),
  }),
  fc.constant({ act: 'rotate' as const }),
  fc.constant({ act: 'thin' as const }),
  fc.record({ act: fc.constant('hang' as const), placeId: fc.constant('loft') }),
  fc.record({ act: fc.constant('move' as const), placeId: fc.constantFrom('north', 'cellar'), weightG: amount }),
  fc.record({ act: fc.constant('move' as const), placeId: fc.constant('north'), pieces: few }),
  fc.record({ act: fc.constant('feed' as const), to: fc.constant('hens'), pieces: few }),
  fc.record({
    act: fc.constant('finish' as const),
    neck: fc.constant('long'),
    pack: fc.constantFrom('net', 'jar', 'box'),
    placeId: fc.constant('north'),
    ofG: amount,
    weightG: amount,
    sure: fc.constant(true),
  }),
  fc.record({
    act: fc.constant('sort' as const),
    heaps: fc.array(
      fc.oneof(
        fc.record({ fate: fc.constantFrom(...sortFates), weightG: fc.integer({ min: 0, max: 900 }) }),
        fc.record({ fate: fc.constantFrom(...sortFates), pieces: fc.integer({ min: 0, max: 12 }) }),
        fc.record({ fate: fc.constantFrom(...sortFates), pieces: few, weightG: amount }),
        fc.record({ fate: fc.constantFrom(...sortFates), all: fc.constant(true) }),
      ),
      { minLength: 1, maxLength: 6 },
    ),
    rest: fc.constantFrom('store' as const, 'missing' as const),
    sure: fc.boolean(),
  }),
  fc.record({ act: fc.constant('jar' as const), weightG: fc.integer({ min: 1, max: 3000 }) }),
  fc.record({ act: fc.constant('shake' as const), beads: fc.boolean(), mould: fc.constant(false) }),
)

const paths = ['garlic-hardneck', 'apple-late', 'bean-drying', 'tomato']

describe('the ledger', () => {
  it('conserves weight and pieces over any sequence of acts: what is there is what came less what went', () => {
    fc.assert(
      fc.property(fc.array(anyAct, { maxLength: 30 }), fc.constantFrom(...paths), (acts, id) => {
        const ledgers = play(acts, cropById(id))
        let there = 0
        let came = 0
        let went = 0
        // eaten, given, planted, fed, lost, and what left as water and trimmings: each gram left by one of these doors
        const doors = [
          'used',
          'given',
          'planted',
          'fed',
          'lost',
          'weighed',
          'finished',
          'corrected',
          'cleaned',
          'loaded',
          'jarred',
        ]
        for (const ledger of ledgers) {
          const { quantity } = lotHistory(ledger)
          expect(Number.isInteger(quantity.weightG)).toBe(true)
          expect(quantity.weightG).toBeGreaterThanOrEqual(0)
          if (quantity.pieces !== null) expect(quantity.pieces).toBeGreaterThanOrEqual(0)
          there += quantity.weightG
          for (const e of ledger) {
            if (e.kind === 'brought-in') came += e.weightG
            else if (!e.kind.startsWith('split')) {
              went -= e.weightG
              if (e.weightG !== 0) expect(doors).toContain(e.kind)
            }
          }
        }
        expect(there).toBe(came - went)
      }),
      { numRuns: 1000 },
    )
  })

  it('gives the last gram with the last piece', () => {
    const ledger = begin([{ heap: 'sound', weightG: 1000, pieces: 3 }], 1000)[0]!.events.map((e) => ({ ...e, atMs: 0 }))
    for (let i = 1; i <= 3; i++) {
      const outcome = perform({ act: 'use', pieces: 1 }, { crop, lot: lotHistory(ledger), nowMs: 0, airflowOf })
      ledger.push(...outcome.events.map((e) => ({ ...e, atMs: i })))
    }
    expect(lotHistory(ledger).quantity).toEqual({ weightG: 0, pieces: 0 })
    expect(lotHistory(ledger).stage).toBe('gone')
  })
})

describe('bringing in', () => {
  it('makes a lot a heap, hangs what hangs and writes off what is binned', () => {
    const lots = begin(
      [
        { heap: 'sound', weightG: 4900 },
        { heap: 'nicked', weightG: 700 },
        { heap: 'diseased', weightG: 400 },
      ],
      6000,
    )
    expect(lots.map((l) => l.events.map((e) => e.kind))).toEqual([
      ['brought-in', 'hung'],
      ['brought-in'],
      ['brought-in', 'lost'],
    ])
  })
  it('refuses heaps that do not add up, saying by how much', () => {
    expect(() => begin([{ heap: 'sound', weightG: 4900 }], 6000)).toRefuse(/1,100 g lighter/)
    expect(() => begin([{ heap: 'sound', weightG: 6001 }], 6000)).toRefuse(/1 g heavier/)
    expect(() => begin([{ heap: 'golden', weightG: 6000 }], 6000)).toRefuse(/no heap/)
  })
})

describe('acts', () => {
  const ledger = () => begin([{ heap: 'sound', weightG: 5000 }], 5000)[0]!.events.map((e) => ({ ...e, atMs: 0 }))
  it('lets a marked bunch stand for the lot', () => {
    const events = ledger()
    events.push({
      ...perform({ act: 'weigh', weightG: 600, basis: 'bunch' }, { crop, lot: lotHistory(events), nowMs: 0, airflowOf })
        .events[0]!,
      atMs: 1,
    })
    expect(lotHistory(events).quantity.weightG).toBe(5000)
    events.push({
      ...perform({ act: 'weigh', weightG: 540, basis: 'bunch' }, { crop, lot: lotHistory(events), nowMs: 0, airflowOf })
        .events[0]!,
      atMs: 2,
    })
    expect(lotHistory(events).quantity.weightG).toBe(4500)
  })
  it('asks about a surprise and takes it when sure', () => {
    const context = { crop, lot: lotHistory(ledger()), nowMs: 0, airflowOf }
    expect(() => perform({ act: 'weigh', weightG: 9000, basis: 'lot' }, context)).toRefuse(/keep it anyway/)
    expect(perform({ act: 'weigh', weightG: 9000, basis: 'lot', sure: true }, context).events[0]!.weightG).toBe(4000)
  })
  it('says each event in words', () => {
    const [hang] = ledger().slice(1)
    expect(inPlainWords(eventSays(crop, hang!, 'Veranda'))).toBe('hung in bunches, veranda')
  })
  it('numbers codes by crop and year', () => {
    expect(nextLotCode('G', 2026, ['G26-1', 'G26-9', 'G25-12', 'N26-30'])).toBe('G26-10')
  })
})
