import fc from 'fast-check'
import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { Refusal } from '../refusal'
import {
  draft,
  eventSays,
  lastActed,
  lotHistory,
  perform,
  retold,
  standing,
  type Entry,
  type EventDraft,
  type LotAct,
} from './index'

const crop = cropById('garlic-hardneck')
const hour = 3_600_000
const startMs = Date.UTC(2026, 7, 1)
const grams = fc.integer({ min: 1, max: 3000 })
const by = { fault: crop.faults[0]!.id, action: 'bin' }
/** Anything a household may do, sensible or not: what is refused is left out. */
const anyAct = fc.oneof(
  fc.record({
    act: fc.constant('weigh' as const),
    weightG: grams,
    basis: fc.constantFrom('lot', 'bunch'),
    sure: fc.constant(true),
  }),
  fc.record({ act: fc.constantFrom('use', 'give', 'plant'), weightG: grams }),
  fc.record({ act: fc.constantFrom('use', 'give'), pieces: fc.integer({ min: 1, max: 30 }) }),
  fc.record({ act: fc.constant('lose'), weightG: grams, cause: fc.constant('mice') }),
  fc.record({ act: fc.constant('move'), placeId: fc.constantFrom('veranda', 'cellar') }),
  fc.record({ act: fc.constant('move'), placeId: fc.constant('shed'), weightG: grams }),
  fc.record({ act: fc.constant('correct'), weightG: grams, why: fc.constant('weighed again') }),
  fc.record({
    act: fc.constant('correct'),
    weightG: grams,
    pieces: fc.integer({ min: 1, max: 60 }),
    why: fc.constant('counted'),
  }),
  fc.record({ act: fc.constant('fan'), on: fc.boolean() }),
  fc.record({ act: fc.constant('note'), text: fc.constant('smells') }),
  fc.record({ act: fc.constant('hang'), placeId: fc.constantFrom('veranda', 'loft') }),
  fc.record({
    act: fc.constant('finish'),
    pack: fc.constant('net'),
    neck: fc.constant('long'),
    placeId: fc.constant('cellar'),
    weightG: grams,
    sure: fc.constant(true),
  }),
  fc.record({
    act: fc.constant('check'),
    lookedAt: fc.integer({ min: 5, max: 40 }),
    faults: fc.constantFrom([], [{ ...by, pieces: 2 }]),
  }),
  fc.record({
    act: fc.constant('sort'),
    heaps: fc.tuple(grams, grams, grams).map(([a, b, c]) => [
      { fate: 'eat-first', weightG: a },
      { fate: 'compost', pieces: 1 + (b % 9) },
      { fate: 'plant', weightG: c },
    ]),
    rest: fc.constantFrom('store', 'missing'),
    sure: fc.constant(true),
  }),
) as fc.Arbitrary<LotAct>

/** A lot's ledger as acts fill it, with numbers that go on counting. */
class Ledger {
  events: Entry[] = []
  private id = 0
  enter(drafts: readonly EventDraft[], atMs = startMs + this.id * hour): Entry[] {
    const written = drafts.map((one) => ({ ...one, atMs, id: ++this.id }))
    this.events = [...this.events, ...written]
    return written
  }
  /** @returns the numbers of what it wrote; undefined for what was refused */
  act(act: LotAct, atMs: number): number[] | undefined {
    try {
      const { events } = perform(act, { crop, lot: lotHistory(this.events), nowMs: atMs, airflowOf: () => 'breezy' })
      return this.enter(events, atMs).map(({ id }) => id)
    } catch (error) {
      if (error instanceof Refusal) return undefined
      throw error
    }
  }
}

function played(acts: readonly LotAct[], without?: number) {
  const ledger = new Ledger()
  ledger.enter([
    draft('brought-in', { weightG: 4000, pieces: 60, placeId: 'veranda' }),
    draft('hung', { placeId: 'veranda', details: { airflow: 'breezy' } }),
  ])
  let counted = true
  const written = acts.map((act, i) => {
    const ids = i === without ? [] : ledger.act(act, startMs + (i + 1) * 24 * hour)
    counted &&= lotHistory(ledger.events).quantity.pieces !== null
    return ids
  })
  const kinds = written.map((ids) => ids?.map((id) => ledger.events.find((e) => e.id === id)!.kind).join())
  return { ledger, written, kinds, counted }
}

/** What a lot is, without the ledger it is told from; the last thing that happened to it may be the putting right itself. */
const present = (events: readonly Entry[]) => {
  const { events: _, ...rest } = lotHistory(events)
  return rest
}

it('what is struck out never happened, whenever it was and whatever came after', () => {
  let compared = 0
  let restated = 0
  fc.assert(
    fc.property(fc.array(anyAct, { minLength: 2, maxLength: 10 }), fc.nat(9), (acts, pick) => {
      const index = pick % acts.length
      const { ledger, written, kinds, counted } = played(acts)
      const without = played(acts, index)
      const strike = written[index]
      // without it, the others must have been the same acts: not refused, and of a lot that stood where it did and was counted
      if (!strike || !counted || !without.counted || kinds.some((kind, i) => i !== index && kind !== without.kinds[i]))
        return
      let right: EventDraft[]
      try {
        right = retold(ledger.events, { strike, why: 'never was' })
      } catch (error) {
        if (!(error instanceof Refusal)) throw error
        expect(error.code).toBe('in-the-way')
        return
      }
      ledger.enter(right)
      expect(present(ledger.events)).toEqual(present(without.ledger.events))
      // the database sums every row
      expect(ledger.events.reduce((sum, e) => sum + e.weightG, 0)).toBe(lotHistory(ledger.events).quantity.weightG)
      compared++
      restated += right.some((e) => e.kind === 'restated') ? 1 : 0
      // and back: the striking struck out
      const back = retold(ledger.events, {
        strike: ledger.events.slice(-right.length).map(({ id }) => id),
      })
      ledger.enter(back)
      expect(present(ledger.events)).toEqual(present(played(acts).ledger.events))
      expect(ledger.events.reduce((sum, e) => sum + e.weightG, 0)).toBe(lotHistory(ledger.events).quantity.weightG)
    }),
    { numRuns: 1500, seed: 23 },
  )
  expect(compared).toBeGreaterThan(600)
  expect(restated).toBeGreaterThan(100)
})

it('the last act undone, step by step, stands as before it', () => {
  let undone = 0
  fc.assert(
    fc.property(fc.array(anyAct, { minLength: 1, maxLength: 12 }), fc.nat(5), (acts, back) => {
      const { ledger, written } = played(acts)
      const done = written.filter((one) => one !== undefined)
      for (let i = 0; i < Math.min(back, done.length); i++) {
        const act = done.at(-1 - i)!
        expect(act).toContain(lastActed(ledger.events)!.id)
        const before = standing(ledger.events).filter(({ id }) => !act.includes(id))
        ledger.enter(retold(ledger.events, { strike: act }))
        undone++
        expect(present(ledger.events)).toEqual(present(before))
      }
    }),
    { numRuns: 300, seed: 11 },
  )
  expect(undone).toBeGreaterThan(200)
})

describe('an entry told otherwise', () => {
  const season = () =>
    played([
      { act: 'weigh', weightG: 3500, basis: 'lot' },
      { act: 'use', weightG: 500 },
      { act: 'finish', pack: 'net', neck: 'long', placeId: 'cellar', weightG: 2400, pieces: 50 },
      { act: 'use', pieces: 10 },
    ]).ledger
  const of = (ledger: Ledger, kind: string) => standing(ledger.events).find((e) => e.kind === kind)!
  it('a typing slip in the weight at taking down: what was eaten since weighs what it weighed', () => {
    const ledger = season()
    expect(lotHistory(ledger.events).quantity).toEqual({ weightG: 1920, pieces: 40 })
    const { id } = of(ledger, 'finished')
    ledger.enter(retold(ledger.events, { restate: [{ id, instead: { details: { scaleG: 2900 } } }], why: 'a slip' }))
    expect(lotHistory(ledger.events).quantity).toEqual({ weightG: 2320, pieces: 40 })
    expect(standing(ledger.events).at(-1)).toMatchObject({ kind: 'used', weightG: -580, pieces: -10 })
    expect(ledger.events.reduce((sum, e) => sum + e.weightG, 0)).toBe(2320)
    expect(ledger.events.reduce((sum, e) => sum + e.pieces, 0)).toBe(40)
  })
  it('a weighing struck out leaves the scale of the next one as it was', () => {
    const ledger = season()
    const { id } = of(ledger, 'weighed')
    ledger.enter(retold(ledger.events, { strike: [id], why: 'wrong bunch' }))
    expect(lotHistory(ledger.events)).toMatchObject({ weighings: [], quantity: { weightG: 1920, pieces: 40 } })
    expect(
      inPlainWords(
        eventSays(
          crop,
          ledger.events.find((e) => e.kind === 'undone')!,
          null,
        ),
      ),
    ).toBe('struck out: the weighing (wrong bunch)')
    expect(() => retold(ledger.events, { strike: [id], why: 'again' })).toRefuse(/already/)
    expect(() => retold(ledger.events, { strike: [999], why: 'no' })).toRefuse(/no such entry/)
  })
  it('another day: it takes its place among the rest', () => {
    const ledger = season()
    const { id } = of(ledger, 'finished')
    const atMs = startMs + 30 * hour
    ledger.enter(retold(ledger.events, { restate: [{ id, instead: { atMs } }] }))
    expect(lotHistory(ledger.events).storedAtMs).toBe(atMs)
    expect(standing(ledger.events).map((e) => e.kind)).toEqual([
      'brought-in',
      'hung',
      'weighed',
      'finished',
      'used',
      'used',
    ])
  })
  it('what is cut up is counted no longer, however many there were', () => {
    const ledger = new Ledger()
    const [brought] = ledger.enter([
      draft('brought-in', { weightG: 1000, pieces: 10, placeId: 'kitchen' }),
      draft('loaded', { weightG: -150, pieces: -10, placeId: 'kitchen', details: { scaleG: 850, trays: 3, airC: 58 } }),
    ])
    ledger.enter(retold(ledger.events, { restate: [{ id: brought!.id, instead: { weightG: 1100, pieces: 12 } }] }))
    expect(standing(ledger.events).at(-1)).toMatchObject({ kind: 'loaded', weightG: -250, pieces: -12 })
    expect(ledger.events.reduce((sum, e) => sum + e.pieces, 0)).toBe(0)
  })
  it('says what stands in the way, and changes nothing', () => {
    const ledger = season()
    expect(() => retold(ledger.events, { strike: [of(ledger, 'brought-in').id], why: 'no' })).toRefuse(
      /could not have been/,
    )
    const tested = played([{ act: 'fan', on: true }]).ledger
    expect(() => retold(tested.events, { strike: [of(tested, 'hung').id], why: 'no' })).toRefuse(/could not have been/)
  })
})

it('a part goes on with the history of what it was taken from, by its share', () => {
  const { ledger } = played([
    { act: 'weigh', weightG: 3600, basis: 'lot' },
    { act: 'move', placeId: 'shed', weightG: 900 },
  ])
  const whole = lotHistory(standing(ledger.events).filter((e) => e.kind !== 'split-out'))
  const origin = lotHistory(ledger.events.slice(0, -1))
  const part = lotHistory(
    [
      {
        ...draft('split-in', { weightG: 900, pieces: 15, placeId: 'shed', details: { stage: 'drying' } }),
        atMs: startMs,
        id: 99,
      },
    ],
    origin,
  )
  expect([part.stage, part.hungAtMs, part.broughtAtMs]).toEqual(['drying', whole.hungAtMs, whole.broughtAtMs])
  expect(part.quantity).toEqual({ weightG: 900, pieces: 15 })
  // a quarter of what the scale showed of all of it
  expect(part.weighings.map(({ weightG }) => weightG)).toEqual([900])
  expect(part.stays.map(({ placeId }) => placeId)).toEqual(['veranda', 'shed'])
  // what is left weighs as if it had always been so much
  expect(lotHistory(ledger.events).weighings.map(({ weightG }) => weightG)).toEqual([2700])
  // of what was set aside, a part has the same days
  const aside = { why: 'cook' as const, days: 2 }
  const put = [{ ...draft('split-in', { weightG: 500, details: { stage: 'fresh', aside } }), atMs: startMs, id: 1 }]
  const of = lotHistory(
    [{ ...draft('split-in', { weightG: 200, details: { stage: 'fresh' } }), atMs: startMs + hour, id: 9 }],
    lotHistory(put),
  )
  expect(of.aside).toEqual({ ...aside, atMs: startMs })
})
