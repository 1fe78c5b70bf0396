import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { draft, lotHistory, perform, type EventDraft, type LotAct, type LotHistory } from './index'

const onion = cropById('onion-storing')
let clock = 0
const told = (events: EventDraft[], origin?: LotHistory) =>
  lotHistory(
    events.map((event) => ({ ...event, atMs: ++clock * 3_600_000, id: clock })),
    origin,
  )
const stored = (details: EventDraft['details'] = {}) => [
  draft('brought-in', { weightG: 10_000, pieces: 100, placeId: 'a', details }),
  draft('finished', { placeId: 'a', details: { pack: 'sack' } }),
]
const done = (lot: LotHistory, act: LotAct) => perform(act, { crop: onion, lot, nowMs: 0, airflowOf: () => 'breezy' })
/** The lot that an act split off. */
const part = (lot: LotHistory, act: LotAct) => told(done(lot, act).splitsOff![0]!.events, lot)
const after = (events: EventDraft[], lot: LotHistory, act: LotAct) => told([...events, ...done(lot, act).events])
const neither = { weight: false, pieces: false }

describe('what nobody has weighed or counted', () => {
  it('is the weight of what came in by count, until it is weighed', () => {
    const events = stored({ guessed: 'weight' })
    const lot = told(events)
    expect(lot.guessed).toEqual({ weight: true, pieces: false })
    const correct: LotAct = { act: 'correct', weightG: 9400, pieces: 100, why: 'weighed' }
    expect(after(events, lot, correct).guessed).toEqual(neither)
    // eaten from, it is a guess still
    expect(after(events, lot, { act: 'use', pieces: 3 }).guessed.weight).toBe(true)
  })
  it('is the other of the two where a part is taken by count or by weight', () => {
    const lot = told(stored())
    expect(part(lot, { act: 'move', placeId: 'b', pieces: 20 }).guessed).toEqual({ weight: true, pieces: false })
    expect(part(lot, { act: 'move', placeId: 'b', weightG: 2000 }).guessed).toEqual({ weight: false, pieces: true })
    const uncounted = told([draft('brought-in', { weightG: 10_000, placeId: 'a' }), stored()[1]!])
    expect(part(uncounted, { act: 'move', placeId: 'b', weightG: 2000 }).guessed).toEqual(neither)
  })
  it('is handed on to a part, and set aside by faults counted', () => {
    const guess = told(stored({ guessed: 'weight' }))
    expect(part(guess, { act: 'move', placeId: 'b', weightG: 2000 }).guessed).toEqual({ weight: true, pieces: true })
    const faults = [{ fault: 'sprouting', pieces: 2, action: 'eat' }]
    expect(part(told(stored()), { act: 'check', lookedAt: 20, faults }).guessed.weight).toBe(true)
  })
  it('is what was taken down by eye', () => {
    const events = [
      draft('brought-in', { weightG: 10_000, pieces: 100, placeId: 'a' }),
      draft('hung', { placeId: 'a', details: { airflow: 'breezy', hungIn: 'bunch' } }),
    ]
    const finish: LotAct = { act: 'finish', neck: 'long', pack: 'sack', placeId: 'b', weightG: 8600, sure: true }
    expect(after(events, told(events), finish).guessed).toEqual(neither)
    expect(after(events, told(events), { ...finish, guessed: true }).guessed).toEqual({ weight: true, pieces: false })
  })
  it('is nothing once what came in is put right', () => {
    const events = stored({ guessed: 'weight' }).map((event, i) => ({ ...event, atMs: i + 1, id: i + 1 }))
    const { weightG } = { weightG: 9000 }
    const put = draft('restated', {
      details: { strikes: 1, of: 'brought-in', instead: { ...events[0]!, weightG, details: { guessed: 'nothing' } } },
    })
    expect(lotHistory([...events, { ...put, atMs: 9, id: 9 }]).guessed).toEqual(neither)
  })
})
