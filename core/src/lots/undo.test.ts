import fc from 'fast-check'
import { expect, it } from 'vitest'
import { cropById } from '../almanac'
import { Refusal } from '../refusal'
import { lotHistory, perform, standing, undoing, type LotAct, type LotEvent } from './index'

const crop = cropById('garlic-hardneck')
const nowMs = Date.UTC(2026, 7, 1)
const grams = fc.integer({ min: 1, max: 3000 })
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
  fc.record({ act: fc.constant('correct'), weightG: grams, why: fc.constant('weighed again') }),
  fc.record({ act: fc.constant('fan'), on: fc.boolean() }),
  fc.record({ act: fc.constant('note'), text: fc.constant('smells') }),
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
    faults: fc.constantFrom([], [{ fault: crop.faults[0]!.id, pieces: 2, action: crop.faults[0]!.actions[0]!.id }]),
  }),
) as fc.Arbitrary<LotAct>

it('what was undone never happened: any acts, the last of them undone, stand as before it', () => {
  let undone = 0
  fc.assert(
    fc.property(fc.array(anyAct, { minLength: 1, maxLength: 12 }), fc.nat(5), (acts, back) => {
      let id = 0
      const enter = (drafts: readonly Omit<LotEvent, 'atMs'>[]): (LotEvent & { id: number })[] =>
        drafts.map((draft) => ({ ...draft, atMs: nowMs + id * 60_000, id: ++id }))
      let events = enter([
        { kind: 'brought-in', weightG: 4000, pieces: 60, placeId: 'veranda', details: {} },
        { kind: 'hung', weightG: 0, pieces: 0, placeId: 'veranda', details: {} },
      ])
      const steps = [events]
      for (const act of acts) {
        try {
          const { events: written } = perform(act, { crop, lot: lotHistory(events), nowMs, airflowOf: () => 'breezy' })
          events = [...events, ...enter(written)]
          steps.push(events)
        } catch (error) {
          if (!(error instanceof Refusal)) throw error
        }
      }
      // back step by step, as somebody who taps again
      for (let i = 0; i < Math.min(back, steps.length - 1); i++) {
        const [before, after] = [steps.at(-2 - i)!, steps.at(-1 - i)!]
        const act = standing(events).filter(
          ({ id }) => after.some((e) => e.id === id) && !before.some((e) => e.id === id),
        )
        events = [...events, ...enter(undoing(act))]
        undone++
        const { events: _, ...now } = lotHistory(events)
        const { events: __, ...then } = lotHistory(before)
        expect(now).toEqual(then)
        expect(events.reduce((sum, e) => sum + e.weightG, 0)).toBe(then.quantity.weightG)
      }
    }),
    { numRuns: 300, seed: 11 },
  )
  expect(undone).toBeGreaterThan(200)
})
