import { told } from '../message'
import { describe, expect, it } from 'vitest'
import { cropById } from '../almanac'
import { addDays, daysBetween, type CivilDate } from '../households'
import { draft, type EventDraft } from '../lots'
import { eatFirstOf, keepsUntil, keepingInPieces, planOf, type LotState, keepingOf } from './index'
import { houseOn, lot, stored } from './made-up-house'

describe('a lot past its time', () => {
  it('is overdue since the day that was said, until somebody finds it fine', () => {
    const began = '2026-09-01'
    const untouched = stored('C26-1', 'carrot', began, 'cellar')
    const said = keepsUntil(houseOn(began, [untouched]), untouched).nineInTenUntil.p50
    const later = addDays(said, 5)
    const house = houseOn(later, [untouched])
    const since = keepsUntil(house, untouched).overdueSince!
    expect(Math.abs(daysBetween(said, since))).toBeLessThanOrEqual(1)
    expect(eatFirstOf(house)[0]).toMatchObject({ overdueSince: since, why: told('stores.itsTimeIsOver') })
    const fine = lot('C26-1', 'carrot', [
      [began, draft('brought-in', { weightG: 8000, pieces: 80 })],
      [began, draft('finished', { placeId: 'cellar', details: { pack: cropById('carrot').packs[0]!.id } })],
      [later, draft('checked', { details: { lookedAt: 60, bad: 0, lotSize: 80 } })],
    ])
    const after = houseOn(addDays(later, 1), [fine])
    expect(keepsUntil(after, fine).overdueSince).toBeNull()
    expect(keepsUntil(after, fine).nineInTenUntil.p50 > later).toBe(true)
    expect(planOf(after).map(({ kind }) => kind)).not.toContain('overdue')
  })
  it('is not past its time to whoever has just gone through it, whatever was found; left again, it is', () => {
    const began = '2026-08-20'
    const at = (lookedAt: number, bad: number, on: string) => {
      const faults = bad > 0 ? [{ fault: 'rooting', pieces: bad, action: 'eat' }] : []
      return lot('N26-4', 'onion-storing', [
        [began, draft('brought-in', { weightG: 2300, pieces: 38 })],
        [began, draft('finished', { placeId: 'cellar', details: { pack: 'net' } })],
        [on, draft('checked', { details: { lookedAt, bad, lotSize: 38, faults } })],
      ])
    }
    const on = '2027-01-10'
    for (const [lookedAt, bad] of [
      [20, 0],
      [20, 3],
      [20, 9],
      [38, 12],
    ] as const) {
      const looked = at(lookedAt, bad, on)
      const first = keepsUntil(houseOn(on, [looked]), looked).nineInTenUntil.p50
      for (const days of [0, 1, 5]) {
        const house = houseOn(addDays(on, days), [looked])
        const { overdueSince, nineInTenUntil } = keepsUntil(house, looked)
        expect(overdueSince, `${bad} of ${lookedAt}, ${days} days on`).toBeNull()
        // nor does the date go along with the days
        expect(Math.abs(daysBetween(first, nineInTenUntil.p50))).toBeLessThanOrEqual(1)
      }
      expect(keepsUntil(houseOn(addDays(on, 150), [looked]), looked).overdueSince).not.toBeNull()
    }
  })
})

describe('whoever does every look when it is asked for', () => {
  const cases: [crop: string, place: string, pack: string, pieces: number, weightG: number][] = [
    ['onion-storing', 'cellar', 'net', 38, 2300],
    ['onion-storing', 'room', 'net', 120, 9000],
    ['garlic-hardneck', 'room', 'net', 40, 2000],
    ['potato-maincrop', 'room', 'sack', 150, 15000],
    ['apple-late', 'cellar', 'box', 100, 14000],
    ['pear', 'cellar', 'box', 40, 6000],
    ['carrot', 'room', 'bare', 80, 8000],
    ['plum', 'cellar', 'box', 60, 2000],
    ['lettuce', 'cellar', 'bare', 6, 1800],
  ]
  it.each(cases)(
    'is never told first that the time of %s in the %s, %s, is over',
    (crop, place, pack, pieces, weightG) => {
      const began = '2026-09-20'
      const acts: [CivilDate, EventDraft][] = [
        [began, draft('brought-in', { weightG, pieces })],
        [began, draft('finished', { placeId: place, details: { pack } })],
      ]
      for (let looks = 0, on: CivilDate = began; looks < 30 && on < '2027-06-01'; looks++) {
        const here = lot('X26-1', crop, acts)
        on = addDays(on, keepingOf(houseOn(on, [here]), here).nextCheckInDays)
        expect(keepsUntil(houseOn(addDays(on, -1), [here]), here).overdueSince, `the day before ${on}`).toBeNull()
        acts.push([on, draft('checked', { details: { lookedAt: pieces, bad: 0, lotSize: pieces } })])
      }
    },
  )
})

describe('what is said of a lot that nobody touches', () => {
  const cases: [crop: string, place: string][] = [
    ['garlic-hardneck', 'cool-room'],
    ['onion-storing', 'cellar'],
    ['potato-maincrop', 'cellar'],
    ['carrot', 'cellar'],
    ['apple-late', 'cellar'],
    ['squash-hubbard', 'room'],
    ['cabbage-white', 'cellar'],
    ['herb-woody', 'room'],
    ['bean-drying', 'cellar'],
    ['plum', 'cellar'],
  ]
  it.each(cases)('%s in the %s keeps the date it had, to a day, until it has passed', (crop, place) => {
    const lots = [stored('X26-1', crop, '2026-10-01', place)]
    let house = houseOn('2026-10-01', lots)
    const first = keepsUntil(house, lots[0]!)
    for (let week = 1; week <= 40; week += 3) {
      const on = addDays('2026-10-01', 7 * week)
      house = houseOn(on, lots, house)
      const { nineInTenUntil, beyond, overdueSince } = keepsUntil(house, lots[0]!)
      if (beyond || first.beyond) continue
      if (addDays(first.nineInTenUntil.p50, 1) >= on) {
        expect(Math.abs(daysBetween(first.nineInTenUntil.p50, nineInTenUntil.p50)), on).toBeLessThanOrEqual(1)
      } else {
        // its time is over: nothing later is promised, and the day it was stays the day it was
        const since = daysBetween(first.nineInTenUntil.p50, overdueSince ?? '1900-01-01')
        expect(Math.abs(since), on).toBeLessThanOrEqual(1)
        expect(nineInTenUntil.p50).toBe(overdueSince)
        expect(planOf(house).map(({ kind, dueOn }) => [kind, dueOn])).toContainEqual(['overdue', overdueSince])
      }
    }
  })
  it('is never promised longer by a neighbour’s harm that does not run: a jar of beans is years', () => {
    const lots = [stored('E26-1', 'bean-drying', '2026-10-01', 'cellar')]
    const house = houseOn('2027-03-01', lots)
    expect(eatFirstOf(house)[0]!.soundNow).toBeGreaterThan(0.99)
  })
})

it('an old lot keeps the same, reckoned piece by piece or at once', () => {
  const beans = stored('B19-1', 'bean-drying', '2019-09-20', 'cellar')
  const onions = stored('N25-1', 'onion-storing', '2025-08-20', 'cellar')
  const lots = [beans, onions]
  const atOnce = houseOn('2026-11-20', lots)
  const inPieces = houseOn('2026-11-20', lots)
  // seven years and a half a quarter at a time, the days since, then the five things that follow
  const pieces = (lot: LotState) => [...keepingInPieces(inPieces, lot)].length
  expect(pieces(beans)).toBeGreaterThan(7 * 4)
  expect(pieces(onions)).toBeGreaterThan(5)
  expect(pieces(onions)).toBeLessThan(5 + 8)
  for (const one of lots) expect(keepingOf(inPieces, one)).toEqual(keepingOf(atOnce, one))
})
