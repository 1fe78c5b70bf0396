import { told } from '../message'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { bookedAs, offOf, proposalsFor, readShelf, truthOf, type CountContext } from './index'

const jars = { weightG: 4000, pieces: 8 }
const sack = { weightG: 48_000, pieces: null }
const counted = (therePieces: number) => ({ therePieces, thereG: null })
const weighed = (thereG: number) => ({ therePieces: null, thereG })

describe('a shelf as it is typed', () => {
  it.each([
    ['3x4+2', { rows: 3, inRow: 4, loose: 2, total: 14 }],
    ['3*4 2', { rows: 3, inRow: 4, loose: 2, total: 14 }],
    ['14', { rows: 0, inRow: 0, loose: 14, total: 14 }],
    ['2×6+2×4+1', { rows: 2, inRow: 4, loose: 1, total: 21 }],
    ['0', { rows: 0, inRow: 0, loose: 0, total: 0 }],
  ])('%s', (typed, shelf) => expect(readShelf(typed)).toEqual(shelf))
  it.each(['', 'x', '3x', '3x4x5', '-2', '1.5', 'ten', '99999x9999'])('is not read: “%s”', (typed) =>
    expect(readShelf(typed)).toBeUndefined(),
  )
  it('property: rows times a row and what is loose add up', () => {
    const n = fc.integer({ min: 1, max: 60 })
    fc.assert(
      fc.property(n, n, fc.nat(60), (rows, inRow, loose) => {
        expect(readShelf(`${rows}x${inRow}+${loose}`)!.total).toBe(rows * inRow + loose)
      }),
    )
  })
})

describe('what is off', () => {
  it('is counted or weighed, the other by the lot’s mean; none left weighs nothing', () => {
    expect(offOf(counted(5), jars)).toEqual({ pieces: -3, weightG: -1500 })
    expect(offOf(counted(0), { weightG: 4001, pieces: 8 })).toEqual({ pieces: -8, weightG: -4001 })
    expect(offOf(weighed(44_500), sack)).toEqual({ pieces: null, weightG: -3500 })
  })
  const context: CountContext = {
    usedPerWeek: 0.8,
    used: told('count.usedEvery', { days: 9 }),
    weeksSince: 3,
    waterG: [0, 0],
    countedBefore: true,
  }
  const causes = (off: { pieces: number | null; weightG: number }, over: Partial<CountContext> = {}) =>
    proposalsFor(off, { ...context, ...over }).map(({ cause }) => cause)
  it('has its likeliest cause first, and no idea is always the last answer', () => {
    expect(causes({ pieces: -2, weightG: -1000 })[0]).toBe('eaten')
    expect(causes({ pieces: null, weightG: -1300 }, { waterG: [900, 1600] })[0]).toBe('dried-out')
    expect(causes({ pieces: -2, weightG: -1000 }, { waterG: [900, 1600] })).not.toContain('dried-out')
    expect(causes({ pieces: 1, weightG: 500 })[0]).toBe('found')
    for (const off of [-3, 2]) expect(causes({ pieces: off, weightG: off * 500 }).at(-1)).toBe('unknown')
    expect(causes({ pieces: 0, weightG: 0 })).toEqual([])
  })
  it('is proposed as eaten once, whether somebody ever used of it or not', () => {
    for (const usedPerWeek of [null, 0.01, 5]) {
      const all = causes({ pieces: -2, weightG: -1000 }, { usedPerWeek })
      expect(all.filter((cause) => cause === 'eaten')).toHaveLength(1)
    }
  })
})

describe('a difference booked', () => {
  const booked = (cause: Parameters<typeof bookedAs>[0], there: Parameters<typeof bookedAs>[1], quantity = jars) =>
    bookedAs(cause, there, { quantity })
  it('is the entry its cause is, to the gram and the piece', () => {
    const fewer = { weightG: -1500, pieces: -3 }
    expect(booked('eaten', counted(5))).toMatchObject({ kind: 'used', ...fewer })
    expect(booked('given', counted(5))).toMatchObject({ kind: 'given', ...fewer })
    expect(booked('lost', counted(5))).toMatchObject({ kind: 'lost', ...fewer })
    expect(booked('unknown', counted(5))).toMatchObject({ kind: 'lost', details: { cause: 'gone, cause unknown' } })
    expect(booked('miscounted', counted(5))).toMatchObject({ kind: 'corrected', ...fewer })
    expect(booked('found', counted(9))).toMatchObject({ kind: 'corrected', weightG: 500, pieces: 1 })
    expect(bookedAs('dried-out', weighed(47_000), { quantity: sack })).toMatchObject({
      kind: 'weighed',
      weightG: -1000,
      details: { scaleG: 47_000 },
    })
  })
  it('is nothing where it is as expected, and never eaten where there is more', () => {
    expect(booked('eaten', counted(8))).toBeUndefined()
    expect(() => booked('eaten', counted(9))).toRefuse(/more than the books say/)
    expect(() => booked('found', counted(7))).toRefuse(/less than the books say/)
  })
  it('weighed empty, no piece is left', () => {
    expect(booked('eaten', weighed(0))).toMatchObject({ weightG: -4000, pieces: -8 })
  })
})

describe('how true the books were', () => {
  it('is by weight, and more counts against them as less does', () => {
    expect(
      truthOf([
        { expectedG: 1000, offG: -100 },
        { expectedG: 1000, offG: 100 },
      ]),
    ).toBeCloseTo(0.9, 9)
    expect(truthOf([])).toBe(1)
    expect(truthOf([{ expectedG: 10, offG: 900 }])).toBe(0)
  })
})
