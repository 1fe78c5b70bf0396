import fc from 'fast-check'
import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { draft, eventSays, keepsOf, lotHistory, perform, type EventDraft, type LotAct } from './index'

const squash = cropById('squash-hubbard')
const told = (events: EventDraft[], origin?: ReturnType<typeof lotHistory>) =>
  lotHistory(
    events.map((event, i) => ({ ...event, atMs: (i + 1) * 3_600_000, id: i + 1 })),
    origin,
  )
const stored = [
  draft('brought-in', { weightG: 12_000, pieces: 4, placeId: 'loft' }),
  draft('finished', { placeId: 'loft', details: { pack: 'shelf' } }),
]
type Use = Extract<LotAct, { act: 'use' }>
const use = (act: Omit<Use, 'act'>, events = stored) =>
  perform({ act: 'use', ...act }, { crop: squash, lot: told(events), nowMs: 0, airflowOf: () => 'still' })

describe('peelings and seed of what is eaten', () => {
  it('are lots of their own, with days to deal with them; what is eaten weighs the rest', () => {
    const { events, splitsOff } = use({ pieces: 1, kept: [{ what: 'seed', weightG: 140 }, { what: 'peelings' }] })
    expect(events.map(({ kind, weightG, pieces }) => [kind, weightG, pieces])).toEqual([
      ['split-out', -140, 0],
      ['split-out', -450, 0],
      ['used', -2410, -1],
    ])
    expect(inPlainWords(eventSays(squash, events[0]!, null))).toBe('140 g split off (seed)')
    const [seed, peel] = splitsOff!.map((one) => told(one.events, told(stored)))
    expect(splitsOff!.map(({ heap, fate }) => [heap, fate])).toEqual([
      ['seed', 'eat-first'],
      ['peelings', 'eat-first'],
    ])
    expect(seed).toMatchObject({ stage: 'fresh', quantity: { weightG: 140, pieces: null }, aside: { why: 'dry' } })
    expect(seed!.guessed.weight).toBe(false)
    expect(peel).toMatchObject({ stage: 'fresh', placeId: 'loft', aside: { why: 'cook' }, guessed: { weight: true } })
    expect(told([...stored, ...events]).quantity).toEqual({ weightG: 9000, pieces: 3 })
  })
  it('are offered where they are worth it: no seed of an onion', () => {
    expect(keepsOf(squash)).toEqual(['seed', 'peelings'])
    expect(keepsOf(cropById('onion-storing'))).toEqual(['peelings'])
  })
  it('never weigh as much as what was cut up, and are told once each', () => {
    expect(() => use({ weightG: 200, kept: [{ what: 'seed', weightG: 200 }] })).toRefuse(
      /nothing would have been eaten/,
    )
    expect(() => use({ pieces: 1, kept: [{ what: 'seed' }, { what: 'seed' }] })).toRefuse(/one heap/)
  })
  it('property: eaten and kept are what was taken, to the last piece', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 4 }), fc.integer({ min: 1, max: 900 }), (pieces, weightG) => {
        const { events, splitsOff } = use({ pieces, kept: [{ what: 'seed', weightG }] })
        const took = 0 - events.reduce((sum, e) => sum + e.weightG, 0)
        expect(took).toBe(3000 * pieces)
        expect(splitsOff![0]!.events[0]!.weightG).toBe(weightG)
        expect(told([...stored, ...events]).stage).toBe(pieces === 4 ? 'gone' : 'stored')
      }),
    )
  })
})
