import { inPlainWords } from '@vadose/words'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { Refusal } from '../refusal'
import {
  draft,
  eventSays,
  gramsOfPieces,
  lotHistory,
  perform,
  piecesOfGrams,
  sumOf,
  type EventDraft,
  type LotAct,
  type LotEvent,
} from './index'

const garlic = cropById('garlic-hardneck')
const airflowOf = (placeId: string) => (placeId === 'veranda' ? ('breezy' as const) : ('still' as const))

const at = (drafts: EventDraft[]): LotEvent[] => drafts.map((d, i) => ({ ...d, atMs: i }))
const hung = at([
  draft('brought-in', { weightG: 5000 }),
  draft('hung', { placeId: 'veranda', details: { airflow: 'breezy' } }),
])
const stored = at([
  ...hung,
  draft('finished', { weightG: -1500, pieces: 100, placeId: 'north', details: { neck: 'long', pack: 'net' } }),
])
const fresh = at([draft('brought-in', { weightG: 700, pieces: 12, placeId: 'kitchen' })])

const doIt = (events: LotEvent[], act: LotAct) =>
  perform(act, { crop: garlic, lot: lotHistory(events), nowMs: 0, airflowOf })
const refusal = (events: LotEvent[], act: LotAct): Refusal => {
  try {
    doIt(events, act)
  } catch (error) {
    if (error instanceof Refusal) return error
  }
  throw new Error('it was not refused')
}

describe('a lot by its events', () => {
  it('hangs, is stored, and is gone', () => {
    expect([hung, stored, fresh].map((events) => lotHistory(events).stage)).toEqual(['drying', 'stored', 'fresh'])
    const gone = at([...fresh, draft('used', { weightG: -700, pieces: -12 })])
    expect(lotHistory(gone).stage).toBe('gone')
  })
  it('remembers where it was, what moved the air, and what it began with in store', () => {
    const moved = at([...stored, draft('moved', { placeId: 'cellar' }), draft('used', { weightG: -35, pieces: -1 })])
    const history = lotHistory(moved)
    expect(history.stays.map((s) => s.placeId)).toEqual(['veranda', 'north', 'cellar'])
    expect([history.weightAtFirstG, history.piecesAtFirst, history.pack]).toEqual([3500, 100, 'net'])
    expect(history.quantity).toEqual({ weightG: 3465, pieces: 99 })
  })
  it('is not counted until somebody counts', () => {
    expect(lotHistory(hung).quantity.pieces).toBeNull()
    expect(sumOf([{ weightG: 5, pieces: 2 }], false)).toEqual({ weightG: 5, pieces: null })
  })
})

describe('pieces and grams', () => {
  it('go by the lot’s own mean, to the last', () => {
    const quantity = { weightG: 1000, pieces: 3 }
    expect([1, 2, 3].map((n) => gramsOfPieces(quantity, n))).toEqual([333, 667, 1000])
    expect([1, 334, 999, 1000].map((g) => piecesOfGrams(quantity, g))).toEqual([0, 1, 2, 3])
  })
  it('refuse what is not there', () => {
    expect(() => gramsOfPieces({ weightG: 10, pieces: 1 }, 2)).toRefuse(/only 1 left/)
    expect(() => gramsOfPieces({ weightG: 10, pieces: null }, 1)).toRefuse(/not counted/)
    expect(() => piecesOfGrams({ weightG: 10, pieces: null }, 11)).toRefuse(/only 10 g/)
    expect(() => piecesOfGrams({ weightG: 10, pieces: null }, 0)).toRefuse(/above 0/)
  })
})

describe('acts refused, with what would be possible', () => {
  const refused: [string, LotEvent[], LotAct, string][] = [
    ['a fan for what does not hang', stored, { act: 'fan', on: true }, 'not-drying'],
    ['an end test in store', stored, { act: 'test', results: [{ test: 'neck', passed: true }] }, 'not-drying'],
    ['a test the crop does not have', hung, { act: 'test', results: [{ test: 'thumbnail', passed: true }] }, 'invalid'],
    [
      'finishing twice',
      stored,
      { act: 'finish', neck: 'long', pack: 'net', placeId: 'x', weightG: 1, pieces: 1 },
      'not-drying',
    ],
    ['a move to where it is', stored, { act: 'move', placeId: 'north' }, 'invalid'],
    ['looking at more than there are', stored, { act: 'check', lookedAt: 101, faults: [] }, 'invalid'],
    ['using more than there is', fresh, { act: 'use', weightG: 701 }, 'not-enough'],
    ['a correction to what it is', fresh, { act: 'correct', weightG: 700, why: 'x' }, 'invalid'],
    [
      'a bunch that grows',
      at([...hung, draft('weighed', { details: { scaleG: 600, basis: 'bunch' } })]),
      { act: 'weigh', weightG: 900, basis: 'bunch' },
      'surprise',
    ],
    [
      'a finish heavier than what hung',
      hung,
      { act: 'finish', neck: 'long', pack: 'net', placeId: 'x', weightG: 9000, pieces: 9 },
      'surprise',
    ],
  ]
  it.each(refused)('%s', (_name, events, act, code) => {
    const error = refusal(events, act)
    expect(error.code).toBe(code)
    expect(inPlainWords(error.says)).toMatch(/\.$/)
  })
  it('anything but a correction or a note once nothing is left', () => {
    const gone = at([...fresh, draft('used', { weightG: -700, pieces: -12 })])
    expect(refusal(gone, { act: 'use', pieces: 1 }).code).toBe('gone')
    expect(doIt(gone, { act: 'correct', weightG: 60, pieces: 1, why: 'one rolled away' }).events[0]!.weightG).toBe(60)
    expect(doIt(gone, { act: 'note', text: 'good ones' }).events).toHaveLength(1)
  })
})

describe('what acts write', () => {
  it('takes a finish a tenth heavier than what hung, which may be damp, and asks at a quarter', () => {
    const finish = (weightG: number): LotAct => ({ act: 'finish', neck: 'long', pack: 'net', placeId: 'x', weightG })
    expect(doIt(hung, finish(5500)).events.at(-1)).toMatchObject({ kind: 'finished', weightG: 500 })
    expect(refusal(hung, finish(6250)).code).toBe('surprise')
  })
  it('moves the air with the place while it dries, not in store', () => {
    expect(doIt(hung, { act: 'move', placeId: 'loft' }).events[0]!.details).toEqual({ airflow: 'still' })
    const moved = doIt(stored, { act: 'move', placeId: 'loft' }).events
    expect(lotHistory(at([...stored, ...moved])).airflow).toEqual(lotHistory(stored).airflow)
    expect(doIt(hung, { act: 'fan', on: false }).events[0]!.details).toEqual({ airflow: 'breezy' })
  })
  it('takes faulty ones out by what was decided, and keeps nothing that was not', () => {
    const { events } = doIt(stored, {
      act: 'check',
      lookedAt: 20,
      faults: [
        { fault: 'dry-rot', pieces: 1, action: 'bin' },
        { fault: 'sprouting', pieces: 2, action: 'plant' },
      ],
    })
    expect(events.map((e) => [e.kind, e.pieces, e.weightG])).toEqual([
      ['checked', 0, 0],
      ['lost', -1, -35],
      ['planted', -2, -70],
    ])
    expect(events[0]!.details).toMatchObject({ lookedAt: 20, bad: 3, lotSize: 100 })
  })
  it('reckons pieces of an uncounted lot by the crop’s usual weight, never past what is there', () => {
    const little = at([draft('brought-in', { weightG: 60, placeId: 'kitchen' })])
    const { events } = doIt(little, {
      act: 'check',
      lookedAt: 3,
      faults: [{ fault: 'soft', pieces: 3, action: 'bin' }],
    })
    expect(events[1]!.weightG).toBe(-60)
  })
})

describe('every event has its words', () => {
  const spoken: [EventDraft, RegExp][] = [
    [draft('brought-in', { weightG: 12_500 }), /^brought in, 12\.5 kg$/],
    [draft('brought-in', { weightG: 700, pieces: 12 }), /12 heads$/],
    [
      draft('weighed', { weightG: -402, details: { scaleG: 4415, basis: 'bunch' } }),
      /marked bunch weighed 4,415 g; 402 g of water/,
    ],
    [draft('weighed', { details: { scaleG: 620, basis: 'lot' } }), /^lot weighed 620 g$/],
    [draft('tested', { details: { results: [{ test: 'neck', passed: false }] } }), /^neck: soft or green inside$/],
    [draft('fan', { details: { airflow: 'fan' } }), /fan on/],
    [draft('fan', { details: { airflow: 'still' } }), /fan off/],
    [
      draft('finished', { weightG: -364, details: { neck: 'long', pack: 'net' } }),
      /long neck, net.*364 g of trimmings/,
    ],
    // nothing trimmed and no neck: it is simply put by; with either it is told
    [draft('finished', { details: { pack: 'net' } }), /^put by: net, in loft$/],
    [draft('finished', { details: { neck: 'long', pack: 'net' } }), /long neck, net/],
    [draft('finished', { weightG: -364, details: { pack: 'net' } }), /364 g of trimmings/],
    [
      draft('split-out', { weightG: -300, pieces: -14, details: { code: 'G26-4' } }),
      /14 heads, 300 g split off as G26-4/,
    ],
    [draft('split-in', { weightG: 300, details: { code: 'G26-1' } }), /split from G26-1/],
    [draft('moved'), /^moved to loft$/],
    [draft('checked', { details: { lookedAt: 20, lotSize: 96, bad: 1 } }), /looked at 20 of 96, 1 not right/],
    [draft('checked', { details: { lookedAt: 20, bad: 0 } }), /all sound/],
    [draft('used', { weightG: -35, pieces: -1 }), /^used 1 head, 35 g$/],
    [draft('lost', { weightG: -35, pieces: -1, details: { cause: 'Mice' } }), /^gone: 1 head, 35 g \(mice\)$/],
    [draft('given', { weightG: -70, pieces: -2 }), /^given away 2 heads/],
    [draft('planted', { weightG: -70, pieces: -2 }), /^planted 2 heads/],
    [draft('corrected', { weightG: 60, details: { why: 'one rolled away' } }), /corrected by \+60 g: one rolled away/],
    [draft('noted', { details: { text: 'good ones' } }), /^good ones$/],
    [
      draft('added', { weightG: 1200, pieces: 3, details: { source: 'bought', unit: 'jar' } }),
      /^bought, 3 jars, 1,200 g$/,
    ],
    // weighed and not counted; counted, but nobody said in what
    [draft('added', { weightG: 1200, details: { source: 'given', unit: 'jar' } }), /^given, 1,200 g$/],
    [draft('added', { weightG: 1200, pieces: 3, details: { source: 'bought' } }), /^bought, 1,200 g$/],
  ]
  it.each(spoken)('%#', (event, says) => {
    expect(inPlainWords(eventSays(garlic, event, 'Loft'))).toMatch(says)
  })
})
