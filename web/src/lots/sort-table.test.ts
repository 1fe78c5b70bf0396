import { cropById } from '@vadose/core/almanac'
import { lotHistory, perform, sortFates, type LotEvent } from '@vadose/core/lots'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { heapsToSort, makesLot, tableHeaps, tableOf, throwsFrom, type Throw } from './sort-table'

const order = tableHeaps(cropById('potato-maincrop')).map((h) => h.fate)
const sack = { weightG: 10_000, pieces: 100 }

describe('the sorting table', () => {
  it('adds up what was counted and what was weighed', () => {
    const throws: Throw[] = [
      { fate: 'eat-first', pieces: 10 },
      { fate: 'eat-first', pieces: 5 },
      { fate: 'bin', weightG: 320 },
      { fate: 'store', weightG: 4000 },
      { fate: 'store', pieces: 10 },
    ]
    const { heaps, left } = tableOf(sack, throws, 100)
    expect(heaps.get('eat-first')).toEqual({ weightG: 1500, pieces: 15 })
    // partly weighed, it has no count
    expect(heaps.get('store')).toEqual({ weightG: 5000 })
    expect(left).toEqual({ weightG: 3180, pieces: 32 })
    expect(heapsToSort(throws, order, 100)).toEqual([
      { fate: 'store', weightG: 5000 },
      { fate: 'eat-first', pieces: 15 },
      { fate: 'bin', weightG: 320 },
    ])
  })
  it('gives one heap all the rest, also when something is taken back afterwards', () => {
    const throws: Throw[] = [
      { fate: 'plant', weightG: 2500 },
      { fate: 'feed', rest: true },
    ]
    expect(tableOf(sack, throws, 100)).toEqual({
      heaps: new Map([
        ['plant', { weightG: 2500 }],
        ['feed', { weightG: 7500, pieces: 75 }],
      ]),
      left: { weightG: 0, pieces: 0 },
    })
    expect(tableOf(sack, throws.slice(1), 100).heaps.get('feed')).toEqual({ weightG: 10_000, pieces: 100 })
    expect(heapsToSort(throws, order, 100).at(-1)).toEqual({ fate: 'feed', all: true, to: 'hens' })
  })
  it('is there again when one comes back, and empty where what was kept makes no sense', () => {
    const throws: Throw[] = [
      { fate: 'bin', pieces: 2 },
      { fate: 'feed', rest: true },
    ]
    expect(throwsFrom(JSON.stringify(throws))).toEqual(throws)
    for (const kept of [null, '', '{', '3', '{"fate":"bin"}', '[null,3]']) expect(throwsFrom(kept)).toEqual([])
  })
  it('offers the hens no onions, and has a word and a pattern for every heap', () => {
    expect(tableHeaps(cropById('onion-storing')).some((h) => h.fate === 'feed')).toBe(false)
    for (const heap of tableHeaps(cropById('apple-late'))) {
      expect(sortFates).toContain(heap.fate)
      expect([heap.label, heap.hint, heap.pattern].every((said) => said.length >= 3)).toBe(true)
    }
  })
  it('is sorted as it is shown: whatever was thrown, in any order and unit', () => {
    const crop = cropById('potato-maincrop')
    const amount = fc.oneof(
      fc.record({ pieces: fc.integer({ min: 1, max: 12 }) }),
      fc.record({ weightG: fc.integer({ min: 1, max: 1500 }) }),
    )
    const events: LotEvent[] = [
      { kind: 'brought-in', weightG: 9_997, pieces: 83, placeId: 'cellar', details: {}, atMs: 0 },
      { kind: 'finished', weightG: 0, pieces: 0, placeId: 'cellar', details: { pack: 'sack' }, atMs: 1 },
    ]
    const meanG = 9_997 / 83
    fc.assert(
      fc.property(
        fc.array(fc.tuple(fc.constantFrom(...order.filter((fate) => fate !== 'store')), amount), {
          minLength: 1,
          maxLength: 6,
        }),
        fc.option(fc.constantFrom(...order.filter((fate) => fate !== 'store')), { nil: undefined }),
        (thrown, restOn) => {
          const throws: Throw[] = [
            ...thrown.map(([fate, given]): Throw => ({ fate, ...given })),
            ...(restOn ? [{ fate: restOn, rest: true } as const] : []),
          ]
          const table = tableOf({ weightG: 9_997, pieces: 83 }, throws, meanG)
          fc.pre(restOn !== undefined || table.left.weightG > 500)
          const heaps = heapsToSort(throws, order, meanG)
          const { events: written, splitsOff } = perform(
            { act: 'sort', heaps, rest: 'store' },
            { crop, lot: lotHistory(events), nowMs: 2, airflowOf: () => 'still' },
          )
          const after = lotHistory([...events, ...written.map((e) => ({ ...e, atMs: 2 }))])
          // to less than half a potato: a weighed heap takes whole ones with it, and the mean of the rest moves
          expect(Math.abs(after.quantity.weightG - table.left.weightG)).toBeLessThan(meanG / 2)
          if (restOn) expect(after.quantity).toEqual({ weightG: 0, pieces: 0 })
          const shown = heaps.filter((heap) => makesLot(heap.fate))
          expect(splitsOff!.length).toBe(shown.length)
          splitsOff!.forEach(({ events: [part] }, i) => {
            expect(Math.abs(part!.weightG - table.heaps.get(shown[i]!.fate)!.weightG)).toBeLessThan(meanG / 2)
          })
        },
      ),
      { numRuns: 400, seed: 5 },
    )
  })
})
