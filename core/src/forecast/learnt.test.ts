import { describe, expect, it } from 'vitest'
import { almanacWith, noChanges } from '../almanac'
import type { Lesson } from '../checks'
import { draft, type EventDraft } from '../lots'
import { House } from './house'
import { keepsUntil } from './keeping'
import { cropLearnt, learntOfLot, lessonOf } from './learnt'
import { lotState, type LotState } from './lot'
import { ifRelabelled } from './relabel'
import { at, houseOn, household, nextEntry } from './made-up-house'

const looked = (lookedAt: number, sprouted: number): EventDraft =>
  draft('checked', {
    details: {
      lookedAt,
      bad: sprouted,
      faults: sprouted ? [{ fault: 'sprouting', pieces: sprouted, action: 'eat' }] : [],
    },
  })

function onions(variety: string | null, events: [string, EventDraft][], almanac = almanacWith(noChanges)): LotState {
  const all: [string, EventDraft][] = [
    ['2026-09-01', draft('brought-in', { weightG: 12000, pieces: 100 })],
    ['2026-09-01', draft('finished', { placeId: 'cool-room', details: { pack: 'net' } })],
    ...events,
  ]
  return lotState(
    {
      id: 'n',
      code: 'N26-1',
      crop: 'onion-storing',
      heap: 'sound',
      fate: 'store',
      variety,
      bed: null,
      broughtOn: '2026-09-01',
    },
    all.map(([on, event]) => ({ ...event, atMs: at(on), id: nextEntry() })),
    almanac,
  )
}
const houseWith = (
  lots: LotState[],
  lessons: Lesson[],
  varieties: (typeof noChanges)['varieties'] = [],
  on = '2026-10-01',
) => {
  const { everyPlace: places, nowMs } = houseOn(on, [])
  const almanac = almanacWith({ ...noChanges, varieties })
  return new House({ household, places, lots, almanac, nowMs, rainMm: new Map(), stands: [], lessons })
}
const lesson = (variety: string, logMean: number, year: number): Lesson => ({
  crop: 'onion-storing',
  variety,
  placeId: 'cool-room',
  year,
  logMean,
  logSd: 0.12,
})

describe('a lot that is gone', () => {
  const gone = (sprouted: number) => {
    const lot = onions('Red', [
      ['2026-12-01', looked(30, 0)],
      ['2027-03-01', looked(30, sprouted)],
      ['2027-03-20', draft('lost', { weightG: -12000, pieces: -100, details: { cause: 'eaten by mice' } })],
    ])
    expect(lot.stage).toBe('gone')
    return lessonOf(houseWith([], [], [], '2027-06-01'), lot)!
  }
  it('teaches by its looks, with its variety, place and year', () => {
    expect(gone(0)).toMatchObject({ crop: 'onion-storing', variety: 'Red', placeId: 'cool-room', year: 2026 })
    expect(gone(0).logMean).toBeGreaterThan(gone(20).logMean + 0.3)
  })
  it('teaches nothing where nobody looked', () => {
    expect(lessonOf(houseWith([], []), onions('Red', []))).toBeNull()
  })
})

describe('a lot’s date', () => {
  const until = (house: House) => keepsUntil(house, house.lot('N26-1')!).nineInTenUntil
  const red = [lesson('Red', 0.35, 2023), lesson('Red', 0.25, 2024), lesson('Red', 0.3, 2025)]
  it('moves by what earlier lots of its variety taught, and less for another', () => {
    const books = until(houseWith([onions('Red', [])], []))
    const taught = until(houseWith([onions('Red', [])], red))
    const other = until(houseWith([onions('White', [])], red))
    expect(taught.p50 > other.p50 && other.p50 > books.p50).toBe(true)
    expect(learntOfLot(houseWith([onions('Red', [])], []), onions('Red', []))).toBeNull()
    expect(learntOfLot(houseWith([onions('Red', [])], red), onions('Red', []))).toMatchObject({
      variety: 'Red',
      lots: 3,
      years: 3,
    })
  })
  it('moves by what is said of its variety', () => {
    const said = (keeps: 'shorter' | 'longer') =>
      until(houseWith([onions('Red', [])], [], [{ crop: 'onion-storing', variety: 'red', keeps }])).p50
    expect(said('shorter') < until(houseWith([onions('Red', [])], [])).p50).toBe(true)
    expect(said('longer') > until(houseWith([onions('Red', [])], [])).p50).toBe(true)
  })
  it('is said beforehand where a tag is put right to another variety', () => {
    const house = houseWith([onions('White', [])], red)
    const { now, then } = ifRelabelled(house, house.lot('N26-1')!, { variety: 'Red' }, household.timeZone)
    expect(then!.to! > now!.to!).toBe(true)
    expect(then!.to).toBe(until(houseWith([onions('Red', [])], red)).p90)
  })
  it('is its own again once it was dried or frozen: no variety’s', () => {
    const frozen = onions('Red', [
      ['2026-09-02', draft('frozen', { placeId: 'cellar', pieces: 10, details: { prepared: 'chopped' } })],
    ])
    expect(frozen.form).toBe('frozen')
    expect(learntOfLot(houseWith([frozen], red), frozen)).toBeNull()
  })
})

describe('what is told of a crop', () => {
  it('names the variety that outlasts the other, the longest first', () => {
    const lessons = [2021, 2022, 2023, 2024, 2025].flatMap((year) => [
      lesson('Red', 0.25, year),
      lesson('white', -0.2, year),
    ])
    const { lines, outlasts } = cropLearnt(houseWith([], lessons), 'onion-storing')
    expect(lines.map(({ of, name }) => [of, name])).toEqual([
      ['crop', null],
      ['variety', 'Red'],
      ['variety', 'white'],
      ['place', 'cool-room'],
    ])
    expect(lines[1]).toMatchObject({ lots: 5, years: 5 })
    expect(outlasts).toHaveLength(1)
    expect(outlasts[0]).toMatchObject({ longer: 'Red', shorter: 'white' })
    expect(cropLearnt(houseWith([], lessons), 'carrot')).toEqual({ lines: [], outlasts: [] })
  })
})
