import { Grown } from '@vadose/core/grown'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { movesAfter, movesOf, movesWith } from './known'
import type { MoveRow } from './queries'

const zone = 'Europe/Vienna'
const row = (id: number, over: Partial<MoveRow> = {}): MoveRow => ({
  id,
  atMs: Date.UTC(2026, 6, 1) + id * 7_200_000,
  kind: 'used',
  crop: 'carrot',
  code: 'R26-1',
  variety: null,
  bed: 'Bed 2',
  name: null,
  weightG: -100 * id,
  pieces: 0,
  placeId: null,
  details: {},
  ...over,
})

/** Ledgers in which some entries weigh nothing, some strike an earlier one out, and some tell one otherwise. */
const ledger = fc
  .array(fc.constantFrom('used', 'noted', 'brought-in', 'undone', 'restated'), { maxLength: 25 })
  .map((kinds) =>
    kinds.map((kind, i) => {
      const about = { strikes: Math.max(1, Math.floor((i + 1) / 2)) }
      const instead = { atMs: Date.UTC(2026, 6, 2), weightG: -7, pieces: 0, placeId: null, details: {} }
      return row(i + 1, {
        kind: kind as MoveRow['kind'],
        ...(kind === 'noted' ? { weightG: 0 } : {}),
        ...(kind === 'undone' ? { weightG: 0, details: about } : {}),
        ...(kind === 'restated' ? { weightG: 0, details: { ...about, instead } as unknown as MoveRow['details'] } : {}),
      })
    }),
  )

describe('what moved', () => {
  it('is told the same entry by entry as all at once', () => {
    fc.assert(
      fc.property(ledger, fc.nat(25), (rows, cut) => {
        const [before, entered] = [rows.slice(0, cut), rows.slice(cut)]
        const all = movesOf(movesWith(Grown.of(before), entered)!, zone)
        const told = movesAfter(Grown.of(movesOf(before, zone)), entered, zone)
        if (told) expect([...told]).toEqual(all)
        else expect(entered.some(({ kind }) => kind === 'undone' || kind === 'restated')).toBe(true)
      }),
      { numRuns: 300 },
    )
  })
  it('stays the very same list where nothing was entered', () => {
    const moves = Grown.of(movesOf([row(1)], zone))
    expect(movesAfter(moves, [], zone)).toBe(moves)
  })
  it('is read anew where a lot became another crop', () => {
    expect(movesWith(Grown.of([row(1)]), [row(2, { kind: 'relabelled' })])).toBeUndefined()
  })
  it('falls on the household’s day, whatever zone was asked for before', () => {
    const late = row(1, { atMs: Date.UTC(2026, 6, 1, 22, 30) })
    expect(movesOf([late], 'UTC')[0]!.on).toBe('2026-07-01')
    expect(movesOf([late], zone)[0]!.on).toBe('2026-07-02')
    expect(movesOf([late], 'UTC')[0]!.on).toBe('2026-07-01')
  })
  it('keeps a cause for what was lost alone, and the bed it went to for what was planted', () => {
    const [lost, planted, used] = movesOf(
      [
        row(1, { kind: 'lost', details: { cause: 'mice', bed: 'Bed 9' } }),
        row(2, { kind: 'planted', details: { cause: 'mice', bed: 'Bed 9' } }),
        row(3, { details: { cause: 'mice', bed: 'Bed 9' } }),
      ],
      zone,
    )
    expect([lost!.cause, planted!.cause, used!.cause]).toEqual(['mice', null, null])
    expect([lost!.bed, planted!.bed, used!.bed]).toEqual(['Bed 2', 'Bed 9', 'Bed 2'])
  })
})
