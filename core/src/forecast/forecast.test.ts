import { told } from '../message'
import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hourMs } from '../air'
import { cropById } from '../almanac'
import { addDays, daysBetween, type CivilDate } from '../households'
import { draft, type EventDraft } from '../lots'
import { recordOf } from '../readings'
import {
  bestMoves,
  cropAhead,
  comingHour,
  eatFirstOf,
  House,
  keepsElsewhere,
  keepsUntil,
  keepingInPieces,
  lotState,
  movePreview,
  placeState,
  planOf,
  stockAhead,
  verdictOn,
  weatherOf,
  type LotState,
  keepingOf,
} from './index'
import { almanac, at, climate, household, houseOn, lot, nextEntry, stored } from './made-up-house'

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

describe('a house made from an earlier one', () => {
  const lots = [
    stored('G26-1', 'garlic-hardneck', '2026-08-20', 'cool-room', 3400, 90),
    stored('R26-1', 'carrot', '2026-10-01', 'cellar'),
    stored('A26-1', 'apple-late', '2026-10-02', 'cellar', 30_000, 200),
    lot('N26-1', 'onion-storing', [
      ['2026-09-20', draft('brought-in', { weightG: 9000 })],
      ['2026-09-20', draft('hung', { placeId: 'veranda', details: { airflow: 'breezy' } })],
      ['2026-09-25', draft('weighed', { details: { scaleG: 620, basis: 'bunch' } })],
      ['2026-09-29', draft('weighed', { details: { scaleG: 570, basis: 'bunch' } })],
    ]),
  ]
  const noMoves: never[] = []
  /** Everything the screens are made from. */
  const all = (house: House) => ({
    plan: planOf(house).map(({ lot: of, place, ...job }) => ({ ...job, of: of?.code ?? place?.id })),
    keeps: house.lots.filter((l) => l.stage === 'stored').map((l) => keepsUntil(house, l)),
    eat: eatFirstOf(house).map(({ lot: _, ...rest }) => rest),
    ahead: stockAhead(house),
    crops: lots.map(({ crop }) => cropAhead(house, noMoves, crop)),
    moves: bestMoves(house).map(({ lot: of, option }) => [of.code, option.id]),
    verdicts: house.places.map((place) => verdictOn(house, place)),
    weather: weatherOf(house, 2),
    elsewhere: keepsElsewhere(house, house.lot('G26-1')!).map(({ place, ...rest }) => ({ ...rest, in: place.id })),
    preview: movePreview(house, house.lot('G26-1')!, house.place('cellar')!),
  })
  it('says what one made anew would, whatever happened and however long ago it was made', () => {
    const step = fc.record({
      days: fc.integer({ min: 0, max: 9 }),
      what: fc.constantFrom('use', 'look', 'weigh', 'move', 'nothing'),
      which: fc.integer({ min: 0, max: 3 }),
    })
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 4 }), (steps) => {
        let on = '2026-10-03'
        let now = [...lots]
        let house = houseOn(on, now)
        all(house)
        for (const { days, what, which } of steps) {
          on = addDays(on, days)
          const old = now[which]!
          const add: EventDraft | undefined =
            what === 'use'
              ? draft('used', { weightG: -100, pieces: old.pieces ? -1 : 0 })
              : what === 'look' && old.stage === 'stored'
                ? draft('checked', { details: { lookedAt: 20, bad: 1, lotSize: old.pieces ?? 80 } })
                : what === 'weigh' && old.stage === 'drying'
                  ? draft('weighed', { details: { scaleG: 560, basis: 'bunch' } })
                  : what === 'move'
                    ? draft('moved', { placeId: old.placeId === 'room' ? 'cellar' : 'room' })
                    : undefined
          if (add) {
            const events = [...old.history.events, { ...add, atMs: at(on), id: nextEntry() }]
            now = now.map((l, i) => (i === which ? lotState(old, events, almanac) : l))
          }
          house = houseOn(on, now, house)
          expect(all(house)).toEqual(all(houseOn(on, now)))
        }
      }),
      { numRuns: 12, seed: 7 },
    )
  })
  it('what lies beside ripening fruit is told anew when the fruit is carried away', () => {
    const apples = stored('A26-1', 'apple-late', '2026-10-01', 'cellar', 60_000, 400)
    const beside = stored('R26-1', 'carrot', '2026-10-01', 'cellar')
    const before = houseOn('2026-10-03', [apples, beside])
    const gassed = keepsUntil(before, beside)
    const away = lotState(
      apples,
      [...apples.history.events, { ...draft('moved', { placeId: 'room' }), atMs: at('2026-10-03'), id: nextEntry() }],
      almanac,
    )
    const after = keepsUntil(houseOn('2026-10-03', [away, beside], before), beside)
    expect(after).toEqual(keepsUntil(houseOn('2026-10-03', [away, beside]), beside))
    expect(after.nineInTenUntil.p50 > gassed.nineInTenUntil.p50).toBe(true)
  })
  it('has the same setting as long as the gas that is felt is, whatever a giver weighs', () => {
    const apples = (weightG: number) => stored('A26-1', 'apple-late', '2026-10-01', 'cellar', weightG, 400)
    const beside = stored('R26-1', 'carrot', '2026-10-01', 'cellar')
    const before = houseOn('2026-10-03', [apples(9000), beside])
    const eaten = houseOn('2026-10-03', [apples(8990), beside], before)
    expect(eaten.setting).toBe(before.setting)
    const carriedAway = houseOn('2026-10-03', [beside], eaten)
    expect(carriedAway.setting).not.toBe(before.setting)
    expect(houseOn('2026-10-04', [apples(9000), beside], before).setting).not.toBe(before.setting)
  })
  it('a new reading changes the lots of its place, and no others', () => {
    const before = houseOn('2026-10-03', lots)
    all(before)
    const hours = 24 * 30
    const record = recordOf([
      {
        startMs: comingHour(before.nowMs) - hours * hourMs,
        temperatureC: new Float32Array(hours).fill(3),
        relativeHumidityPct: new Float32Array(hours).fill(95),
      },
    ])!
    const moment = { climate, nowMs: comingHour(before.nowMs) }
    const measured = before.places.map((place) =>
      place.id === 'cellar' ? placeState(place, record, before.nowMs - 1, moment, 1) : place,
    )
    const after = new House(
      { household, places: measured, lots, almanac, nowMs: before.nowMs, rainMm: new Map(), stands: [], lessons: [] },
      before,
    )
    const until = (house: House, code: string) => keepsUntil(house, house.lot(code)!).nineInTenUntil
    expect(until(after, 'G26-1')).toEqual(until(before, 'G26-1'))
    expect(until(after, 'R26-1').p50 > until(before, 'R26-1').p50).toBe(true)
  })
  it('what is noted or eaten moves no date, and nothing of the lot’s life is worked out again; its jobs are', () => {
    const events: [string, ReturnType<typeof draft>][] = [
      ['2026-10-01', draft('brought-in', { weightG: 9000, pieces: 60 })],
      ['2026-10-01', draft('finished', { placeId: 'cellar', details: { pack: 'box' } })],
    ]
    const on = '2026-10-20'
    const nowMs = at(on, 20)
    const before = houseOn(on, [lot('R26-1', 'carrot', events)], undefined, nowMs)
    const was = keepingOf(before, before.lot('R26-1')!)
    planOf(before)
    const note: [string, ReturnType<typeof draft>] = [
      on,
      draft('noted', { details: { text: 'the big ones lie below', mindOn: '2026-10-22' } }),
    ]
    const { everyPlace: places, rainMm, stands, lessons } = before
    const next = (lots: LotState[], earlier: House) =>
      new House({ household, places, lots, almanac, nowMs, rainMm, stands, lessons }, earlier)
    const noted = next([lot('R26-1', 'carrot', [...events, note])], before)
    expect(keepingOf(noted, noted.lot('R26-1')!)).toBe(was)
    const minded = (house: House) => planOf(house).filter(({ kind }) => kind === 'mind')
    expect(minded(noted)).toMatchObject([{ dueOn: '2026-10-22' }])
    const eaten = draft('used', { weightG: -3000, pieces: -20 })
    const after = next([lot('R26-1', 'carrot', [...events, note, [on, eaten]])], noted)
    const now = keepingOf(after, after.lot('R26-1')!)
    expect(now.forecast).toBe(was.forecast)
    expect(now.model).toBe(was.model)
    // how many to look at is another thing
    expect(now.lookAt).toBeLessThanOrEqual(was.lookAt)
  })
  it('a look that finds firm what should have withered weeks ago is believed, and asks for the next in a week', () => {
    const beets = (bad: number) =>
      lot('R26-1', 'beetroot', [
        ['2026-10-01', draft('brought-in', { weightG: 9000, pieces: 60 })],
        ['2026-10-01', draft('finished', { placeId: 'cellar', details: { pack: 'box' } })],
        ['2026-12-10', draft('checked', { details: { lookedAt: 40, bad, lotSize: 60 } })],
      ])
    const before = houseOn(
      '2026-10-02',
      [beets(0)].map((one) => ({ ...one, history: { ...one.history, checks: [] } })),
    )
    expect(keepsUntil(before, before.lot('R26-1')!).nineInTenUntil.p50 < '2026-10-25').toBe(true)
    const firm = houseOn('2026-12-10', [beets(0)])
    expect(keepsUntil(firm, firm.lot('R26-1')!).nineInTenUntil.p50 > '2027-01-10').toBe(true)
    expect(keepingOf(firm, firm.lot('R26-1')!).nextCheckInDays).toBeGreaterThanOrEqual(7)
    const limp = houseOn('2026-12-10', [beets(20)])
    expect(keepsUntil(limp, limp.lot('R26-1')!).nineInTenUntil.p50).toBe('2026-12-10')
  })
  it('one bruised apple gases nothing; a crate in a shut cellar does', () => {
    const carrots = stored('R26-1', 'carrot', '2026-10-01', 'cellar')
    const beside = (apples: LotState[]) => {
      const house = houseOn('2026-10-03', [carrots, ...apples])
      return house.gasReaching(house.place('cellar'), carrots)
    }
    expect(beside([stored('A26-1', 'apple-late', '2026-10-02', 'cellar', 150, 1)])).toBe(0)
    expect(beside([stored('A26-1', 'apple-late', '2026-10-02', 'cellar', 30_000, 200)])).toBe(1)
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
