import { describe, expect, it } from 'vitest'
import { cropById, crops, feeding } from '../almanac'
import { Refusal } from '../refusal'
import { draft, lotHistory, perform, type LotEvent, type SortHeap } from './index'

const potato = cropById('potato-maincrop')
const airflowOf = () => 'still' as const

/** A sack in store, counted or not. */
const sack = (weightG: number, pieces = 0): LotEvent[] =>
  [
    draft('brought-in', { weightG, pieces, placeId: 'cellar' }),
    draft('finished', { placeId: 'cellar', details: { pack: 'sack' } }),
  ].map((one, atMs) => ({ ...one, atMs }))

/** What a sorting leaves of the sack, and what it made of the rest. */
function sort(events: LotEvent[], heaps: SortHeap[], rest: 'store' | 'missing' = 'store', crop = potato) {
  const outcome = perform({ act: 'sort', heaps, rest }, { crop, lot: lotHistory(events), nowMs: 9, airflowOf })
  const { quantity, checks, placeId } = lotHistory([...events, ...outcome.events.map((e) => ({ ...e, atMs: 9 }))])
  const ends = outcome.events.filter((e) => ['lost', 'fed', 'used', 'given'].includes(e.kind))
  const parts = (outcome.splitsOff ?? []).map(({ events: [part], heap, fate }) => ({
    heap,
    fate,
    ...part!,
  }))
  return { quantity, checks, placeId, ends, parts, events: outcome.events }
}
const refusal = (work: () => unknown): Refusal => {
  try {
    work()
  } catch (error) {
    if (error instanceof Refusal) return error
  }
  throw new Error('it was not refused')
}

describe('a sack sorted by what becomes of it', () => {
  it('gives each heap its own end, its lot, or its days', () => {
    const { quantity, ends, parts } = sort(sack(20_000), [
      { fate: 'eat-first', weightG: 3000 },
      { fate: 'plant', weightG: 4000 },
      { fate: 'small', weightG: 1000 },
      { fate: 'feed', weightG: 800, to: 'hens' },
      { fate: 'bin', weightG: 200, fault: potato.faults[0]!.id },
    ])
    expect(quantity.weightG).toBe(11_000)
    expect(parts.map(({ heap, fate, weightG }) => [heap, fate, weightG])).toEqual([
      [null, undefined, 3000],
      ['planting', 'plant', 4000],
      ['small', undefined, 1000],
    ])
    expect(parts[0]!.details).toMatchObject({ stage: 'fresh', aside: { why: 'eat-first', days: 21 } })
    // what goes on being stored is not asked to be eaten
    expect(parts[1]!.details).toMatchObject({ pack: 'sack' })
    expect(parts[1]!.details.stage).toBeUndefined()
    expect(ends.map(({ kind, details }) => [kind, details.to])).toEqual([
      ['fed', 'hens'],
      ['lost', 'bin'],
    ])
  })
  it('one heap takes all the rest, to the last gram and piece, whatever the means round to', () => {
    for (const heaps of [
      [
        { fate: 'eat-first', weightG: 1234 },
        { fate: 'feed', all: true },
      ],
      [
        { fate: 'feed', all: true },
        { fate: 'eat-first', pieces: 7 },
        { fate: 'plant', weightG: 777 },
      ],
    ] satisfies SortHeap[][]) {
      const { quantity, ends } = sort(sack(9_999, 83), heaps)
      expect(quantity).toEqual({ weightG: 0, pieces: 0 })
      expect(ends.at(-1)).toMatchObject({ kind: 'fed', details: { by: 'all' } })
    }
    expect(
      refusal(() =>
        sort(sack(9000), [
          { fate: 'bin', all: true },
          { fate: 'feed', all: true },
        ]),
      ).field,
    ).toBe('heaps')
  })
  it('a table that is empty: what is not accounted for is said, what went back stays', () => {
    const counted = sort(
      sack(10_000, 100),
      [
        { fate: 'store', pieces: 80 },
        { fate: 'bin', pieces: 5 },
      ],
      'missing',
    )
    expect(counted.quantity).toEqual({ weightG: 8000, pieces: 80 })
    expect(counted.ends.at(-1)).toMatchObject({ weightG: -1500, pieces: -15, details: { cause: 'not accounted for' } })
    // without a heap that went back, nothing is left
    expect(sort(sack(10_000, 100), [{ fate: 'bin', pieces: 5 }], 'missing').quantity.weightG).toBe(0)
  })
  it('all of it on the scale: up to a fifth less than booked is water', () => {
    const heaps: SortHeap[] = [
      { fate: 'store', weightG: 8000 },
      { fate: 'eat-first', weightG: 1200 },
    ]
    const dried = sort(sack(10_000), heaps, 'missing')
    expect(dried.quantity.weightG).toBe(8000)
    expect(dried.events.find((e) => e.kind === 'weighed')).toMatchObject({ weightG: -800, details: { scaleG: 9200 } })
    expect(dried.ends).toEqual([])
    // a fifth to the gram is water yet
    expect(sort(sack(11_500), heaps, 'missing').ends).toEqual([])
    expect(sort(sack(11_501), heaps, 'missing').ends).toHaveLength(1)
    const stolen = sort(sack(20_000), heaps, 'missing')
    expect(stolen.ends).toMatchObject([{ kind: 'lost', weightG: -10_800 }])
    // heavier than booked, the scale of today counts
    expect(sort(sack(9000), heaps).quantity.weightG).toBe(8000)
  })
  it('is a look at all of it: what was thrown out was bad, the rest was seen to be sound', () => {
    const [look] = sort(sack(10_000, 100), [
      { fate: 'compost', pieces: 6 },
      { fate: 'plant', pieces: 20 },
    ]).checks
    expect(look).toMatchObject({ lookedAt: 100, bad: 6, lotSize: 100 })
  })
  it('counts pieces by their usual weight where nobody counted, one at the least', () => {
    const fault = potato.faults[0]!.id
    const looked = (binG: number) => sort(sack(20_000), [{ fate: 'bin', weightG: binG, fault }]).checks.at(-1)!
    const usual = potato.pieceG.value
    expect(looked(20 * usual).bad).toBe(20)
    expect(looked(Math.round(0.3 * usual)).bad).toBe(1)
  })
  it('takes what goes back to where it goes', () => {
    const { placeId, quantity } = sort(sack(5000), [
      { fate: 'bin', weightG: 100 },
      { fate: 'store', weightG: 4900, placeId: 'loft' },
    ])
    expect([placeId, quantity.weightG]).toEqual(['loft', 4900])
  })
  it('names the heap that cannot be, by where it was given', () => {
    const heaps: SortHeap[] = [
      { fate: 'store', weightG: 100 },
      { fate: 'bin', pieces: 5 },
    ]
    expect(refusal(() => sort(sack(5000), heaps)).code).toBe('invalid')
    expect(refusal(() => sort(sack(5000, 50), [{ fate: 'store', pieces: 9 }, { fate: 'bin' }])).field).toBe(
      'heaps/1/weightG',
    )
    expect(refusal(() => sort(sack(5000), [{ fate: 'bin', weightG: 0 }])).field).toBe('heaps')
    expect(refusal(() => sort(sack(5000), [{ fate: 'bin', weightG: 9, fault: 'no' }])).field).toBe('heaps/0/fault')
  })
})

describe('what animals are fed (common practice, no source)', () => {
  it('is no onion, garlic or leek, and no rhubarb', () => {
    for (const crop of crops.filter((c) => c.group === 'allium' || c.id === 'rhubarb')) {
      expect([crop.id, feeding(crop).safe]).toEqual([crop.id, false])
      expect(refusal(() => sort(sack(1000), [{ fate: 'feed', weightG: 100 }], 'store', crop)).code).toBe('not-fed')
    }
  })
  it('is potatoes boiled and never green, dry beans cooked, and most else', () => {
    expect(feeding(potato).says).toMatch(/[Bb]oiled.*never green/s)
    expect(feeding(cropById('bean-drying')).says).toMatch(/cooked.*never raw/s)
    expect(['carrot', 'kale', 'apple-late', 'courgette'].every((id) => feeding(cropById(id)).safe)).toBe(true)
  })
})
