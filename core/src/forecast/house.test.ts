import fc from 'fast-check'
import { describe, expect, it } from 'vitest'
import { hourMs } from '../air'
import { addDays } from '../households'
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
